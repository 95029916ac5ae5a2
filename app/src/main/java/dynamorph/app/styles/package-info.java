/** The styles column: specimens to press, drag, derive and edit. */
package dynamorph.app.styles;
