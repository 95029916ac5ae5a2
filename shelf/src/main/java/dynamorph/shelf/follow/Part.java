package dynamorph.shelf.follow;

import dynamorph.model.property.PropertyKey;
import dynamorph.model.property.PropertySet;
import dynamorph.model.style.Style;
import dynamorph.model.style.Swatch;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.TreeSet;

/** Something of a style or swatch that can be taken over by itself. */
public sealed interface Part {
  /** The value of a property. */
  record Value(PropertyKey<?> key) implements Part {
    /** What a style says here; empty where it says nothing. */
    public Optional<?> of(Style style) {
      return style.properties().get(key);
    }
  }

  /** What every style has beside its values. */
  enum Field implements Part {
    NAME,
    GROUP,
    LEVEL,
    BASED_ON,
    SAMPLE,
    LABEL,
    NOTE;

    Object of(Style style) {
      return switch (this) {
        case NAME -> style.name();
        case GROUP -> style.group();
        case LEVEL -> style.level();
        case BASED_ON -> style.basedOn();
        case SAMPLE -> style.sample();
        case LABEL -> style.label();
        case NOTE -> style.note();
      };
    }

    Style taken(Style mine, Style theirs) {
      return switch (this) {
        case NAME -> mine.withName(theirs.name());
        case GROUP -> mine.withGroup(theirs.group());
        case LEVEL -> mine.withLevel(theirs.level());
        case BASED_ON -> mine.withBasedOn(theirs.basedOn());
        case SAMPLE -> mine.withSample(theirs.sample());
        case LABEL -> mine.withLabel(theirs.label());
        case NOTE -> mine.withNote(theirs.note());
      };
    }
  }

  /** What every swatch has. */
  enum OfSwatch implements Part {
    NAME,
    COLOUR;

    Object of(Swatch swatch) {
      return this == NAME ? swatch.name() : swatch.colour();
    }

    Swatch taken(Swatch mine, Swatch theirs) {
      return this == NAME ? mine.withName(theirs.name()) : mine.withColour(theirs.colour());
    }
  }

  /** Every part in which one of these styles may say something. */
  static List<Part> of(Style... styles) {
    List<Part> parts = new ArrayList<>(List.of(Field.values()));
    TreeSet<PropertyKey<?>> keys = new TreeSet<>();
    for (Style style : styles) {
      keys.addAll(style.properties().keys());
    }
    keys.forEach(key -> parts.add(new Value(key)));
    return parts;
  }

  /** What a style says at a part. */
  static Object said(Style style, Part part) {
    return switch (part) {
      case Value value -> value.of(style);
      case Field field -> field.of(style);
      case OfSwatch _ -> Optional.empty();
    };
  }

  /** A style with one part taken over from another. */
  static Style taken(Style mine, Style theirs, Part part) {
    return switch (part) {
      case Value(PropertyKey<?> key) ->
          mine.withProperties(with(mine.properties(), theirs.properties(), key));
      case Field field -> field.taken(mine, theirs);
      case OfSwatch _ -> mine;
    };
  }

  private static PropertySet with(PropertySet mine, PropertySet theirs, PropertyKey<?> key) {
    return theirs.has(key) ? mine.withFrom(theirs, key) : mine.without(key);
  }
}
