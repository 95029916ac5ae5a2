package dynamorph.model.document;

import dynamorph.model.message.Messages;
import dynamorph.model.property.Properties;
import dynamorph.model.property.PropertyKey;
import dynamorph.model.property.PropertySet;
import java.util.Locale;
import java.util.Set;

/**
 * How much stays of what was set by hand in a document, besides its styles. Which language words
 * are in, which way they run and how a list goes on always stays.
 */
public enum DirectFormatting {
  /** All of it becomes local changes. */
  ALL,
  /** Weight, slant, lines and script position of words. */
  EMPHASIS,
  NONE;

  private static final Set<PropertyKey<?>> STRUCTURE =
      Set.of(
          Properties.LANGUAGE.key(),
          Properties.DIRECTION.key(),
          Properties.LIST.key(),
          Properties.LIST_START.key());

  private static final Set<PropertyKey<?>> STRESS =
      Set.of(
          Properties.FONT_WEIGHT.key(),
          Properties.SLANT.key(),
          Properties.UNDERLINE.key(),
          Properties.STRIKE.key(),
          Properties.SCRIPT_POSITION.key());

  /** What people call it. */
  public String label() {
    return Messages.of("direct-formatting." + name().toLowerCase(Locale.ROOT));
  }

  /** What stays of values that were set by hand. */
  public PropertySet kept(PropertySet local) {
    return switch (this) {
      case ALL -> local;
      case EMPHASIS -> local.where(key -> STRUCTURE.contains(key) || STRESS.contains(key));
      case NONE -> local.where(STRUCTURE::contains);
    };
  }
}
