/** Pictures of styles. */
package dynamorph.app.styles.specimen;
