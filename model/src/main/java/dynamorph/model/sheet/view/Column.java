package dynamorph.model.sheet.view;

import dynamorph.model.message.Messages;
import dynamorph.model.property.Properties;
import dynamorph.model.property.PropertyKey;
import java.util.Locale;

/** What a sheet tells about a text. */
public sealed interface Column {
  /** What people call it. */
  String label();

  /** What files call it: the name of the fact, or the path of the property. */
  String id();

  /**
   * The column of an id.
   *
   * @throws IllegalArgumentException if neither a fact nor a property is called that
   */
  static Column of(String id) {
    for (Fact fact : Fact.values()) {
      if (fact.id().equals(id)) {
        return fact;
      }
    }
    return new Value(Properties.key(id));
  }

  /** What a text is as such. */
  enum Fact implements Column {
    WORDS(Messages.of("column.words")),
    PLACE(Messages.of("column.place")),
    TIME(Messages.of("column.time")),
    STYLES(Messages.of("column.styles")),
    LOCAL(Messages.of("column.local"));

    private final String label;

    Fact(String label) {
      this.label = label;
    }

    @Override
    public String label() {
      return label;
    }

    @Override
    public String id() {
      return name().toLowerCase(Locale.ROOT);
    }
  }

  /** The value of a property that most of its letters have. */
  record Value(PropertyKey<?> key) implements Column {
    @Override
    public String label() {
      return key.property().label();
    }

    @Override
    public String id() {
      return key.path();
    }
  }
}
