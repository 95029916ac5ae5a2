package dynamorph.shelf.follow;

import dynamorph.model.property.PropertyKey;
import dynamorph.model.style.ColourLabel;
import dynamorph.model.style.StyleId;
import dynamorph.model.style.StyleLevel;
import dynamorph.model.value.Colour;
import dynamorph.model.value.Rgba;
import dynamorph.shelf.Shelf;
import dynamorph.shelf.entry.Entry;
import dynamorph.shelf.message.Messages;
import java.util.Optional;

/**
 * What people read where a project and a shelf differ.
 *
 * @param shelf whose styles and swatches are called by their names
 */
public record PartWords(Shelf shelf) {
  /** What it is that differs. */
  public static String label(Part part) {
    return switch (part) {
      case Part.Value(PropertyKey<?> key) -> key.label();
      case Part.Field field ->
          switch (field) {
            case NAME -> Messages.of("part.name");
            case GROUP -> Messages.of("part.group");
            case LEVEL -> Messages.of("part.level");
            case BASED_ON -> Messages.of("part.based-on");
            case SAMPLE -> Messages.of("part.sample");
            case LABEL -> Messages.of("part.label");
            case NOTE -> Messages.of("part.note");
          };
      case Part.OfSwatch swatch ->
          switch (swatch) {
            case NAME -> Messages.of("part.name");
            case COLOUR -> Messages.of("part.colour");
          };
    };
  }

  /** What one side says there, as a {@link Update.Difference} has it. */
  public String text(Part part, Object said) {
    return switch (said) {
      case Optional<?> none when none.isEmpty() ->
          part instanceof Part.Value ? Messages.of("part.not-set") : Messages.of("part.none");
      case Optional<?> some -> text(part, some.get());
      case Colour.SwatchReference(String swatch) ->
          shelf.find(swatch).map(Entry::name).orElse(swatch);
      case StyleId style -> shelf.find(style.value()).map(Entry::name).orElse(style.value());
      case StyleLevel level -> level.label();
      case ColourLabel label -> label.label();
      case String words when words.isEmpty() -> Messages.of("part.none");
      case Object value when part instanceof Part.Value(PropertyKey<?> key) -> value(key, value);
      case Object value -> value.toString();
    };
  }

  @SuppressWarnings("unchecked") // the value is one of the key's own
  private static <T> String value(PropertyKey<T> key, Object value) {
    return key.property().type().label((T) value);
  }

  /** The colour that a value shows, where it is one. */
  public Optional<Rgba> colour(Object said) {
    return switch (said) {
      case Optional<?> some when some.isPresent() -> colour(some.get());
      case Rgba colour -> Optional.of(colour);
      case Colour colour -> Optional.of(shelf.palette().colour(colour));
      default -> Optional.empty();
    };
  }
}
