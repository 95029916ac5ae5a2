package dynamorph.model.cascade;

import dynamorph.model.value.Slant;
import dynamorph.model.value.TextCase;

/**
 * What moves the glyphs of a span.
 *
 * @param weight 1 to 1000
 * @param size points
 * @param leading points from baseline to baseline
 * @param tracking thousandths of an em
 * @param language BCP 47 tag
 */
public record TypeLook(
    String family,
    double weight,
    Slant slant,
    double size,
    double leading,
    double tracking,
    TextCase textCase,
    String language) {}
