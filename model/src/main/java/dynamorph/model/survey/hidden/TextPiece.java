package dynamorph.model.survey.hidden;

import dynamorph.model.Layer;
import dynamorph.model.edit.Target;
import dynamorph.model.property.PropertySet;
import dynamorph.model.style.StyleId;
import dynamorph.model.style.StyleLevel;
import dynamorph.model.text.TextRange;
import java.util.List;
import java.util.Optional;

/**
 * A piece of text that follows nothing at its level, or follows and was changed by hand.
 *
 * @param layer that it is in
 * @param base the style that plain text of its artboard takes
 * @param range its letters, offsets in the text
 * @param look the values that decide how it looks, as far as a style of the level goes
 */
record TextPiece(
    Layer layer, Optional<StyleId> base, TextRange range, Kind kind, PropertySet look) {
  /**
   * What pieces have in common that can be near each other.
   *
   * @param followed the styles that they follow at their level, last added last
   * @param category what their looks agree in
   */
  record Kind(StyleLevel level, List<StyleId> followed, LookSpace.Category category) {
    @Override
    public boolean equals(Object other) {
      return this == other
          || other instanceof Kind kind
              && level == kind.level
              && followed.equals(kind.followed)
              && category.equals(kind.category);
    }

    @Override
    public int hashCode() {
      return 31 * followed.hashCode() + category.hashCode() + level.ordinal();
    }
  }

  StyleLevel level() {
    return kind.level();
  }

  List<StyleId> follows() {
    return kind.followed();
  }

  Target.Words member() {
    return new Target.Words(layer.id(), range);
  }

  /** How many it has, in UTF-16 units. */
  int letters() {
    return range.end() - range.start();
  }

  String words() {
    return layer.story().text(range);
  }
}
