/**
 * From shaped paragraphs to lines in a box: {@link dynamorph.typeset.layout.Typesetter} is the way
 * in, {@link dynamorph.typeset.layout.TextLayout} what comes out. Coordinates are in points from
 * the top left of the layout, y down.
 */
package dynamorph.typeset.layout;
