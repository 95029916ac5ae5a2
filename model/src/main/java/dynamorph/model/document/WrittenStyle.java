package dynamorph.model.document;

import dynamorph.model.property.PropertySet;
import dynamorph.model.style.StyleLevel;
import java.util.Objects;
import java.util.Optional;

/**
 * A look that a document gives to paragraphs or to words.
 *
 * @param key stands for it in the document, and again in a later state of the same document
 * @param name what its writer calls it
 * @param basedOn key of the style whose values it takes over
 * @param look all values that it sets, those that it takes over included
 */
public record WrittenStyle(
    String key, String name, Role role, Optional<String> basedOn, PropertySet look) {
  /** What the keys of looks begin with that nobody gave a name. */
  public static final String UNNAMED = "look:";

  public WrittenStyle {
    Objects.requireNonNull(key, "key");
    Objects.requireNonNull(name, "name");
    Objects.requireNonNull(role, "role");
    Objects.requireNonNull(look, "look");
  }

  /** Whether its writer gave it a name. */
  public boolean isNamed() {
    return !key.startsWith(UNNAMED);
  }

  /** Whether it is for paragraphs or for words. */
  public StyleLevel level() {
    return role.level();
  }
}
