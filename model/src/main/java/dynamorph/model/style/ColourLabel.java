package dynamorph.model.style;

import dynamorph.model.value.Rgba;

/** A colour that people give to styles to find and sort them; it says nothing about the look. */
public enum ColourLabel {
  SKY("sky", 0x3C7FB1),
  MOSS("moss", 0x7A8B2A),
  SUN("sun", 0xC9A227),
  LILAC("lilac", 0x8B7BC8),
  STONE("stone", 0x857B6E);

  private final String label;
  private final Rgba colour;

  ColourLabel(String label, int rgb) {
    this.label = label;
    this.colour = new Rgba(0xFF000000 | rgb);
  }

  public String label() {
    return label;
  }

  public Rgba colour() {
    return colour;
  }
}
