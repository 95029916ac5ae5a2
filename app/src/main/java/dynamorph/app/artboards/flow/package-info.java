/** Boxes that a text flows through: linking them, and ending the flow. */
package dynamorph.app.artboards.flow;
