package dynamorph.model.style;

import dynamorph.model.message.Messages;
import dynamorph.model.property.Level;
import dynamorph.model.property.Property;

/** How much text a style is meant for. */
public enum StyleLevel {
  TEXT("text", Level.LAYER),
  PARAGRAPH("paragraph", Level.PARAGRAPH),
  CHARACTER("character", Level.SPAN);

  private final String id;
  private final Level level;

  StyleLevel(String id, Level level) {
    this.id = id;
    this.level = level;
  }

  /** What files call it. */
  public String id() {
    return id;
  }

  /** What people call it. */
  public String label() {
    return Messages.of("style-level." + id);
  }

  /** The level at which its followers follow it. */
  public Level level() {
    return level;
  }

  /** Whether a style of this level can carry the property. */
  public boolean carries(Property<?> property) {
    return property.countsOn(level);
  }

  public static StyleLevel of(Level level) {
    return switch (level) {
      case LAYER -> TEXT;
      case PARAGRAPH -> PARAGRAPH;
      case SPAN -> CHARACTER;
    };
  }
}
