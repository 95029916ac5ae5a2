/**
 * HarfBuzz, called through the foreign-function interface: {@link
 * dynamorph.typeset.harfbuzz.HarfBuzzFont} shapes text and tells what a font has, {@code Library}
 * holds the C functions. Native memory does not leave this package.
 */
package dynamorph.typeset.harfbuzz;
