/**
 * From words to glyphs: {@link dynamorph.typeset.shape.ParagraphShaper} maps the case, cuts the
 * paragraph into runs of one face, script and direction, and shapes each with HarfBuzz. Everything
 * is in em, so that it holds for every size.
 */
package dynamorph.typeset.shape;
