/**
 * What a text looks like as areas, lines and pictures, for files that keep it sharp at any size.
 */
package dynamorph.paint.artwork;
