/** The style desk: edits one style, apart from any selection. */
package dynamorph.app.styles.desk;
