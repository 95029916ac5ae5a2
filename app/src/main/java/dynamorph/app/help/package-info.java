/**
 * The guide inside the window: read, searched, opened at a place by the question marks of panes.
 */
package dynamorph.app.help;
