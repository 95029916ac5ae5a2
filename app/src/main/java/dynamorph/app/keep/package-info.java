/**
 * Keeps the look of the selection as a style: what it would hold, under which name, based on what.
 */
package dynamorph.app.keep;
