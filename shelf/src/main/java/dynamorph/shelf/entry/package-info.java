/**
 * One style or swatch of a shelf with its versions, and how versions of two sides come together.
 */
@org.jspecify.annotations.NullMarked
package dynamorph.shelf.entry;
