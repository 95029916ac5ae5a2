package dynamorph.model.cascade;

import static dynamorph.model.cascade.Coats.value;

import dynamorph.model.Layer;
import dynamorph.model.property.Properties;
import dynamorph.model.property.PropertyKey;
import dynamorph.model.property.PropertySet;
import dynamorph.model.style.Style;
import dynamorph.model.style.StyleBook;
import dynamorph.model.style.StyleId;
import dynamorph.model.value.Anchor;
import dynamorph.model.value.BoxFit;
import dynamorph.model.value.FrameArea;
import dynamorph.model.value.VerticalAlignment;
import dynamorph.model.value.WritingMode;
import java.util.Map;
import java.util.Optional;

/**
 * Works out where layers stand. Nearly every layer has a frame of its own, so its few values are
 * looked up one by one instead of being merged with the others, which are shared.
 *
 * @param known the placement of each style that was looked at
 */
record Placements(StyleBook styles, Map<StyleId, PropertySet> known) {
  private static final PropertyKey<FrameArea> AREA = Properties.RELATIVE_TO.key();
  private static final PropertyKey<Double> SHARE_X = Properties.SHARE_X.key();
  private static final PropertyKey<Double> SHARE_Y = Properties.SHARE_Y.key();
  private static final PropertyKey<Double> BOX_SHARE = Properties.BOX_SHARE.key();
  private static final PropertyKey<Anchor> ANCHOR = Properties.ANCHOR.key();
  private static final PropertyKey<Double> POSITION_X = Properties.POSITION_X.key();
  private static final PropertyKey<Double> POSITION_Y = Properties.POSITION_Y.key();
  private static final PropertyKey<Double> ROTATION = Properties.ROTATION.key();
  private static final PropertyKey<BoxFit> BOX = Properties.BOX.key();
  private static final PropertyKey<Double> BOX_WIDTH = Properties.BOX_WIDTH.key();
  private static final PropertyKey<Double> BOX_HEIGHT = Properties.BOX_HEIGHT.key();
  private static final PropertyKey<WritingMode> WRITING_MODE = Properties.WRITING_MODE.key();
  private static final PropertyKey<Double> COLUMNS = Properties.COLUMNS.key();
  private static final PropertyKey<Double> GUTTER = Properties.GUTTER.key();
  private static final PropertyKey<VerticalAlignment> VERTICAL_ALIGNMENT =
      Properties.VERTICAL_ALIGNMENT.key();
  private static final PropertyKey<Double> BASELINE_GRID = Properties.BASELINE_GRID.key();
  private static final PropertyKey<Double> SHRINK_TO = Properties.SHRINK_TO.key();

  /**
   * Where a layer stands.
   *
   * @param inherited what lies below it
   */
  Placement of(Layer layer, InheritedStyles inherited) {
    PropertySet given = given(layer, inherited);
    WritingMode mode = value(given, WRITING_MODE);
    // a text that is turned keeps the length of its lines until somebody gives its box a height
    boolean turned =
        mode.isVertical() && value(given, BOX) == BoxFit.GROW && !given.has(BOX_HEIGHT);
    return new Placement(
        value(given, ANCHOR),
        value(given, POSITION_X),
        value(given, POSITION_Y),
        value(given, ROTATION),
        value(given, BOX),
        value(given, BOX_WIDTH),
        value(given, turned ? BOX_WIDTH : BOX_HEIGHT),
        share(given),
        new Placement.Inside(
            mode,
            (int) Math.round(value(given, COLUMNS)),
            value(given, GUTTER),
            value(given, VERTICAL_ALIGNMENT),
            value(given, BASELINE_GRID),
            value(given, SHRINK_TO) / 100));
  }

  /** Nearly no layer has one, so the same is given to all others. */
  private Placement.Share share(PropertySet given) {
    Placement.Share share =
        new Placement.Share(
            value(given, AREA),
            value(given, SHARE_X) / 100,
            value(given, SHARE_Y) / 100,
            value(given, BOX_SHARE) / 100);
    return share.equals(Placement.Share.NONE) ? Placement.Share.NONE : share;
  }

  /** The values of the Placement facet that anything sets for a layer; mostly its frame alone. */
  private PropertySet given(Layer layer, InheritedStyles inherited) {
    Optional<StyleId> plain = inherited.base();
    PropertySet given = plain.isEmpty() ? PropertySet.EMPTY : of(plain.get());
    for (StyleId id : inherited.follows()) {
      given = given.overlaidBy(of(id));
    }
    given = given.overlaidBy(placed(inherited.local()));
    given = given.overlaidBy(layer.frame());
    for (StyleId id : layer.counting(layer.follows())) {
      given = given.overlaidBy(of(id));
    }
    return given.overlaidBy(placed(layer.local()));
  }

  private static PropertySet placed(PropertySet values) {
    return values.isEmpty() ? values : values.where(PropertyKey::places);
  }

  /** The placement that a style sets, itself or through what it is based on; mostly nothing. */
  private PropertySet of(StyleId id) {
    PropertySet found = known.get(id);
    return found != null
        ? found
        : known.computeIfAbsent(
            id,
            wanted -> {
              PropertySet merged = PropertySet.EMPTY;
              for (Style style : styles.chain(wanted).reversed()) {
                merged = merged.overlaidBy(style.properties().where(PropertyKey::places));
              }
              return merged;
            });
  }
}
