/**
 * Drawings in SVG (W3C SVG 2, CSS Fonts 4, CSS Masking 1, Filter Effects 1) with their texts, their
 * shapes and their looks.
 */
@NullMarked
package dynamorph.formats.svg;

import org.jspecify.annotations.NullMarked;
