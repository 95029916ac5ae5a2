package dynamorph.model.style;

import dynamorph.model.message.Messages;
import dynamorph.model.value.Rgba;

/** A colour that people give to styles to find and sort them; it says nothing about the look. */
public enum ColourLabel {
  SKY("sky", 0x3C7FB1),
  MOSS("moss", 0x7A8B2A),
  SUN("sun", 0xC9A227),
  LILAC("lilac", 0x8B7BC8),
  STONE("stone", 0x857B6E);

  private final String id;
  private final Rgba colour;

  ColourLabel(String id, int rgb) {
    this.id = id;
    this.colour = new Rgba(0xFF000000 | rgb);
  }

  /** What files call it. */
  public String id() {
    return id;
  }

  /** What people call it. */
  public String label() {
    return Messages.of("colour-label." + id);
  }

  public Rgba colour() {
    return colour;
  }
}
