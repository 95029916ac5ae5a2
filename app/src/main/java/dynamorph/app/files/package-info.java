/** Opening, saving, importing and exporting, and the folder of the person. */
package dynamorph.app.files;
