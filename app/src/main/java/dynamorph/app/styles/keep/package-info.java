/** The save step: which values of the selection a new style includes. */
package dynamorph.app.styles.keep;
