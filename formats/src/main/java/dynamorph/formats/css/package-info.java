/**
 * Styles as style sheets of the web: custom properties, classes, font faces; and what declarations
 * of elsewhere say.
 */
@org.jspecify.annotations.NullMarked
package dynamorph.formats.css;
