/** Find and replace. */
package dynamorph.app.artboards.text.find;
