/** Settles names when styles come from another project. */
package dynamorph.app.styles.importing;
