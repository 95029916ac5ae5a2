/** Everything that follows a style or that a pending change touches, before and after. */
package dynamorph.app.styles.reach;
