/** How artboards leave a project as files. */
package dynamorph.model.export;
