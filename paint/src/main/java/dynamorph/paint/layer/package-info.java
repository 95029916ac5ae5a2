/** Paints one laid-out text: its plate, then its coats from the lowest to the highest. */
package dynamorph.paint.layer;
