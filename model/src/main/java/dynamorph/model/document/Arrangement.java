package dynamorph.model.document;

import dynamorph.model.message.Messages;
import java.util.Locale;

/** Where the words of a document come to stand. */
public enum Arrangement {
  /** In one text, on the artboard. */
  ONE_TEXT,
  /** In a text for each section, on the artboard. */
  TEXT_PER_SECTION,
  /** On a new artboard for each section. */
  ARTBOARD_PER_SECTION,
  /** In texts that are there, a section in each. */
  INTO_TEXTS;

  /** What people call it. */
  public String label() {
    return Messages.of("arrangement." + id());
  }

  /** What files and commands call it. */
  public String id() {
    return name().toLowerCase(Locale.ROOT).replace('_', '-');
  }

  /** Whether the words are cut into sections. */
  public boolean inSections() {
    return this != ONE_TEXT;
  }
}
