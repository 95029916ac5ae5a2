/**
 * The pixels of a view on the plane of all artboards, kept up to date with as little painting as
 * possible.
 */
package dynamorph.paint.stage;
