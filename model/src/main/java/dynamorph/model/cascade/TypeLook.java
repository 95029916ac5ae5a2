package dynamorph.model.cascade;

import dynamorph.model.value.TextCase;

/**
 * What moves the glyphs of a span.
 *
 * @param size points
 * @param language BCP 47 tag
 */
public record TypeLook(
    FontRequest font, double size, Spacing spacing, Letterforms forms, String language) {
  public String family() {
    return font.family();
  }

  public double weight() {
    return font.weight();
  }

  public TextCase textCase() {
    return forms.textCase();
  }

  public TypeLook withFont(FontRequest other) {
    return new TypeLook(other, size, spacing, forms, language);
  }

  /** Points from baseline to baseline. */
  public double leading() {
    return spacing.leading();
  }

  /** The same look at a share of its size, leading and shift included. */
  public TypeLook scaled(double by) {
    Spacing smaller =
        new Spacing(
            spacing.leading() * by,
            spacing.tracking(),
            spacing.kerning(),
            spacing.kernAfter(),
            spacing.wordSpacing(),
            spacing.baselineShift() * by);
    return new TypeLook(font, size * by, smaller, forms, language);
  }
}
