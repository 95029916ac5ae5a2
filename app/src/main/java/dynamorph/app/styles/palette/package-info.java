/** The swatches of the project, and the pane that edits one. */
package dynamorph.app.styles.palette;
