package dynamorph.model.document;

import java.util.HashMap;
import java.util.Map;

/**
 * What becomes of the styles of a document.
 *
 * @param styles by key; words only where nothing is said
 * @param direct what stays of that which was set by hand besides
 */
public record StyleMapping(Map<String, Mapped> styles, DirectFormatting direct) {
  public StyleMapping {
    styles = Map.copyOf(styles);
  }

  public Mapped of(String key) {
    return styles.getOrDefault(key, new Mapped.WordsOnly());
  }

  public StyleMapping with(String key, Mapped mapped) {
    Map<String, Mapped> changed = new HashMap<>(styles);
    changed.put(key, mapped);
    return new StyleMapping(changed, direct);
  }

  public StyleMapping withDirect(DirectFormatting changed) {
    return new StyleMapping(styles, changed);
  }
}
