package dynamorph.model.cascade;

import dynamorph.model.property.PropertySet;
import dynamorph.model.style.StyleId;
import java.util.List;
import java.util.Optional;

/**
 * What lies below a layer: plain text, and for a cue what its track brings.
 *
 * @param base the style of plain text
 * @param follows what the track follows and its speaker brings, last added last
 * @param local what is set for the whole track
 */
record InheritedStyles(Optional<StyleId> base, List<StyleId> follows, PropertySet local) {
  static InheritedStyles plain(Optional<StyleId> base) {
    return new InheritedStyles(base, List.of(), PropertySet.EMPTY);
  }

  boolean isPlain() {
    return follows.isEmpty() && local.isEmpty();
  }
}
