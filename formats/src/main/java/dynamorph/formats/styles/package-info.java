/** Styles in files of whatever kind: kits, projects, design tokens, style sheets. */
@org.jspecify.annotations.NullMarked
package dynamorph.formats.styles;
