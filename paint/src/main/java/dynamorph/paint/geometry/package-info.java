/** Edges moved in and out, and dashes along them; in points. */
package dynamorph.paint.geometry;
