/** Opening, saving and exporting, with recent files remembered in the user's data folder. */
package dynamorph.app.files;
