/**
 * Working with styles. {@code column} lists them, {@code desk} edits one, {@code keep} makes one of
 * a selection, {@code reach} shows what follows it, {@code palette} edits swatches, {@code
 * importing} and {@code deletion} settle names and followers.
 */
package dynamorph.app.styles;
