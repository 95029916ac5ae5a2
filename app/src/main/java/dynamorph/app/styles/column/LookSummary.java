package dynamorph.app.styles.column;

import dynamorph.app.field.ColourChip;
import dynamorph.app.message.Messages;
import dynamorph.model.cascade.Coats;
import dynamorph.model.property.Address;
import dynamorph.model.property.Properties;
import dynamorph.model.property.PropertySet;
import dynamorph.model.style.Palette;
import dynamorph.model.value.Rgba;
import java.util.List;

/**
 * A style in one line: what its letters are set in, and the colours of its coats.
 *
 * @param letters family and size
 * @param colours those of the first coats, each once
 */
record LookSummary(String letters, List<Rgba> colours) {
  private static final double CHIP = 10;
  private static final int MOST_COLOURS = 3;

  /**
   * Of all that a style sets, also by what it is based on.
   *
   * @param palette where its colours are looked up
   */
  static LookSummary of(PropertySet values, Palette palette) {
    return new LookSummary(
        Messages.of(
            "shelf-list.family-and-size",
            values.get(Properties.FONT_FAMILY.key()).orElse("\u2013"),
            values.get(Properties.SIZE.key()).map(Properties.SIZE.type()::label).orElse("\u2013")),
        Coats.of(values, Address.FINISH).stream()
            .map(coat -> palette.colour(Coats.value(values, Properties.COAT_COLOUR.at(coat))))
            .distinct()
            .limit(MOST_COLOURS)
            .toList());
  }

  /** A square of each colour. */
  List<ColourChip> chips() {
    return colours.stream().map(colour -> new ColourChip(colour, CHIP)).toList();
  }
}
