package dynamorph.shelf.order;

import dynamorph.model.cascade.Cascade;
import dynamorph.model.cascade.Coats;
import dynamorph.model.property.Address;
import dynamorph.model.property.Properties;
import dynamorph.model.property.PropertySet;
import dynamorph.model.value.OkLab;
import dynamorph.model.value.Rgba;
import dynamorph.shelf.Shelf;
import dynamorph.shelf.entry.Entry;
import dynamorph.shelf.entry.Kept;
import dynamorph.shelf.entry.Version;
import dynamorph.shelf.message.Messages;
import java.time.Instant;
import java.util.Comparator;
import java.util.List;
import java.util.Map;
import java.util.Optional;

/** In which order the looks of a shelf are listed. */
public enum ShelfOrder {
  /** By group, and in it as the shelf has them. */
  GROUP(Messages.of("shelf-order.group")),
  NAME(Messages.of("shelf-order.name")),
  /** What was changed last comes first. */
  DATE(Messages.of("shelf-order.date")),
  /** What most texts of all projects have comes first. */
  USE(Messages.of("shelf-order.use")),
  /** Greys from dark to light, then round the circle of hues. */
  COLOUR(Messages.of("shelf-order.colour"));

  /** Colours with less chroma in OKLCh than this look grey. */
  private static final double GREY = 0.03;

  private final String label;

  ShelfOrder(String label) {
    this.label = label;
  }

  public String label() {
    return label;
  }

  /**
   * The looks in this order; those that are alike in it stand by name.
   *
   * @param texts how many texts have a look, by its entry; only asked for the order by use
   */
  public List<Kept.OfStyle> sorted(
      Shelf shelf, List<Kept.OfStyle> looks, Map<String, Integer> texts) {
    Comparator<Kept.OfStyle> byName =
        Comparator.comparing(look -> look.style().name(), String.CASE_INSENSITIVE_ORDER);
    return switch (this) {
      case GROUP -> looks;
      case NAME -> looks.stream().sorted(byName).toList();
      case DATE ->
          looks.stream()
              .sorted(
                  Comparator.comparing((Kept.OfStyle look) -> changed(shelf, look))
                      .reversed()
                      .thenComparing(byName))
              .toList();
      case USE ->
          looks.stream()
              .sorted(
                  Comparator.comparingInt((Kept.OfStyle look) -> -texts.getOrDefault(look.id(), 0))
                      .thenComparing(byName))
              .toList();
      case COLOUR -> byColour(shelf, looks, byName);
    };
  }

  private static Instant changed(Shelf shelf, Kept.OfStyle look) {
    return shelf.find(look.id()).map(Entry::versions).stream()
        .flatMap(List::stream)
        .map(Version::time)
        .max(Comparator.naturalOrder())
        .orElse(Instant.EPOCH);
  }

  private static List<Kept.OfStyle> byColour(
      Shelf shelf, List<Kept.OfStyle> looks, Comparator<Kept.OfStyle> byName) {
    var drawn = shelf.asProject();
    Cascade cascade = Cascade.of(drawn);
    return looks.stream()
        .map(look ->
            new Placed(
                look,
                place(
                    colour(
                        shelf,
                        drawn
                            .styles()
                            .find(look.style().id())
                            .map(cascade::values)
                            .orElse(PropertySet.EMPTY)))))
        .sorted(
            Comparator.comparingDouble((Placed placed) -> placed.place[0])
                .thenComparingDouble(placed -> placed.place[1])
                .thenComparing(Placed::look, byName))
        .map(Placed::look)
        .toList();
  }

  /** A look at its place in the circle of colours. */
  private record Placed(Kept.OfStyle look, double[] place) {}

  /** What is on top of the letters: the last fill, else the last stroke; black if there is none. */
  private static Rgba colour(Shelf shelf, PropertySet values) {
    List<Address> coats = Coats.of(values, Address.FINISH);
    return Optional.of(coats)
        .filter(all -> !all.isEmpty())
        .map(List::getLast)
        .map(coat ->
            switch (Coats.value(values, Properties.COAT_PAINT.at(coat))) {
              case SOLID, PATTERN -> Coats.value(values, Properties.COAT_COLOUR.at(coat));
              case LINEAR, RADIAL, CONIC ->
                  Coats.value(values, Properties.GRADIENT_STOPS.at(coat))
                      .stops()
                      .getFirst()
                      .colour();
            })
        .map(shelf.palette()::colour)
        .orElse(Rgba.BLACK);
  }

  /** Greys first by lightness; the others by hue and then by lightness. */
  private static double[] place(Rgba colour) {
    double[] lch = OkLab.lch(colour);
    return lch[1] < GREY ? new double[] {-1, lch[0]} : new double[] {lch[2], lch[0]};
  }
}
