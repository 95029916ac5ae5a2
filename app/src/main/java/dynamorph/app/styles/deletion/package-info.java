/** Settles what becomes of the followers of styles that are deleted or merged. */
package dynamorph.app.styles.deletion;
