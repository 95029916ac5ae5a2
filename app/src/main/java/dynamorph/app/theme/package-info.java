/** The themes of the window, and how the toolkit lays out letters. */
package dynamorph.app.theme;
