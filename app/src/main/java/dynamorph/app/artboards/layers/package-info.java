/** The list of layers: their names and order, what is hidden and what is locked. */
package dynamorph.app.artboards.layers;
