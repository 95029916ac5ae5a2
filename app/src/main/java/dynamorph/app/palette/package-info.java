/** The swatches of the project: where they are listed, and where one is edited for all its uses. */
package dynamorph.app.palette;
