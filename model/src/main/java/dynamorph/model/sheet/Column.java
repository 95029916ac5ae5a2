package dynamorph.model.sheet;

import dynamorph.model.message.Messages;
import dynamorph.model.property.PropertyKey;

/** What a sheet tells about a text. */
public sealed interface Column {
  /** What people call it. */
  String label();

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
  }

  /** The value of a property that most of its letters have. */
  record Value(PropertyKey<?> key) implements Column {
    @Override
    public String label() {
      return key.property().label();
    }
  }
}
