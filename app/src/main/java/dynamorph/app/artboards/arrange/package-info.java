/** Texts among each other: aligned, with equal gaps, and the row of buttons for it. */
package dynamorph.app.artboards.arrange;
