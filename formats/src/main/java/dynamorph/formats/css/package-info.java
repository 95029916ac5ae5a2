/** Styles as style sheets of the web: custom properties, classes, font faces. */
@org.jspecify.annotations.NullMarked
package dynamorph.formats.css;
