package dynamorph.paint.scene;

import static java.util.Objects.requireNonNull;

import dynamorph.model.Artboard;
import dynamorph.model.Layer;
import dynamorph.model.LayerId;
import dynamorph.model.cascade.Placement;
import dynamorph.model.cascade.ResolvedLayer;
import dynamorph.model.text.Story;
import dynamorph.typeset.layout.Box;
import dynamorph.typeset.layout.Line;
import dynamorph.typeset.layout.TextLayout;
import io.github.humbleui.skija.Canvas;
import java.util.List;
import org.jspecify.annotations.Nullable;

/**
 * A text where it stands on its artboard. Its own coordinates are those of its layout; they are
 * turned about the anchor. The text is set when its lines are first asked for, so that of many
 * texts only those in sight have to be set before a frame shows.
 */
public final class PlacedLayer {
  private final Layer layer;
  private final ResolvedLayer look;
  private final double anchorX;
  private final double anchorY;
  private final Setting setting;

  private PlacedLayer(
      Layer layer, ResolvedLayer look, double anchorX, double anchorY, Setting setting) {
    this.layer = layer;
    this.look = look;
    this.anchorX = anchorX;
    this.anchorY = anchorY;
    this.setting = setting;
  }

  /**
   * @param dressed the layer as it is set
   * @param look of the dressed layer
   */
  static PlacedLayer of(
      Artboard artboard, Layer layer, Layer dressed, ResolvedLayer look, SceneMaker maker) {
    return of(artboard, layer, look, new Setting(maker, dressed, look, null, false));
  }

  private static PlacedLayer of(
      Artboard artboard, Layer layer, ResolvedLayer look, Setting setting) {
    Placement placement = look.placement();
    return new PlacedLayer(
        layer,
        look,
        placement.anchorX(artboard.width()),
        placement.anchorY(artboard.height()),
        setting);
  }

  /**
   * One of the boxes that a text flows through.
   *
   * @param dressed the layer with the words of the text as they are set
   * @param ahead the box before it; null for the first
   * @param onward whether another box follows
   * @param before what is known of the box from before, which is used again if it still holds
   */
  static PlacedLayer linked(
      Artboard artboard,
      Layer layer,
      Layer dressed,
      ResolvedLayer look,
      SceneMaker maker,
      @Nullable PlacedLayer ahead,
      boolean onward,
      @Nullable PlacedLayer before) {
    Setting setting =
        new Setting(maker, dressed, look, ahead == null ? null : ahead.setting, onward);
    if (before != null && before.setting.holds(setting)) {
      PlacedLayer again = of(artboard, layer, look, before.setting);
      boolean same =
          before.layer == layer
              && before.anchorX == again.anchorX
              && before.anchorY == again.anchorY;
      return same ? before : again;
    }
    return of(artboard, layer, look, setting);
  }

  /** Whether it is one of several boxes of a text. */
  boolean isLinked() {
    return setting.ahead != null || setting.onward;
  }

  /** Whether it is the same state of a layer, set the same in the same place. */
  public boolean isAs(PlacedLayer other) {
    return this == other
        || layer == other.layer
            && setting == other.setting
            && anchorX == other.anchorX
            && anchorY == other.anchorY;
  }

  /** The same text in the same place, as another state of its layer. */
  PlacedLayer as(Layer changed) {
    return new PlacedLayer(changed, look, anchorX, anchorY, setting);
  }

  /** The lines of a text and what is painted of them, worked out when first asked for. */
  private static final class Setting {
    private final SceneMaker maker;
    private final Layer layer;
    private final ResolvedLayer look;
    private final @Nullable Setting ahead;
    private final boolean onward;
    private final Box room;
    private volatile @Nullable TextLayout layout;
    private volatile @Nullable Box ink;

    Setting(
        SceneMaker maker,
        Layer layer,
        ResolvedLayer look,
        @Nullable Setting ahead,
        boolean onward) {
      this.maker = maker;
      this.ahead = ahead;
      this.onward = onward;
      this.layer = layer;
      this.look = look;
      this.room = LayoutEstimate.of(layer, look);
    }

    /** Two threads that ask at once get the same from the typesetter's memory. */
    TextLayout layout() {
      TextLayout known = layout;
      if (known == null) {
        boolean alone = ahead == null && !onward;
        known =
            alone
                ? maker.typesetter().layout(layer.story(), look)
                : maker.typesetter().layout(layer.story(), look, from(), onward);
        layout = known;
      }
      return known;
    }

    /** Where the text goes on; beyond its end if the boxes before have room for all of it. */
    private int from() {
      return ahead == null ? 0 : ahead.layout().rest().orElse(Integer.MAX_VALUE);
    }

    LayerId text() {
      return ahead == null ? layer.id() : ahead.text();
    }

    boolean holds(Setting now) {
      return ahead == now.ahead
          && onward == now.onward
          && look.equals(now.look)
          && layer.story().equals(now.layer.story());
    }

    Box ink() {
      Box known = ink;
      if (known == null) {
        known = maker.painter().bounds(layout(), look);
        ink = known;
      }
      return known;
    }
  }

  public Layer layer() {
    return layer;
  }

  /** The layer that holds the words: itself, but for a box that goes on with those of another. */
  public LayerId text() {
    return setting.text();
  }

  /** The words as they are set, in their nested styles too; as many pieces as the look has. */
  public Story story() {
    return setting.layer.story();
  }

  /** The words that show in it: of a text that flows through several boxes those of this one. */
  public String words() {
    String all = layer.isText() ? story().text() : "";
    if (!isLinked()) {
      return all;
    }
    List<Line> lines = layout().shownLines();
    return all.substring(lines.getFirst().start(), lines.getLast().end());
  }

  public ResolvedLayer look() {
    return look;
  }

  public TextLayout layout() {
    return setting.layout();
  }

  /** Where the anchor lies on the artboard, in points. */
  public double anchorX() {
    return anchorX;
  }

  /** Where the anchor lies on the artboard, in points. */
  public double anchorY() {
    return anchorY;
  }

  /** What is painted, in points of the layout. */
  public Box ink() {
    return setting.ink();
  }

  /**
   * Whether anything of the text could lie in a box of the artboard; told without setting it, and
   * rather yes than no.
   */
  public boolean mayTouch(Box onArtboard) {
    return setting.room == LayoutEstimate.UNKNOWN
        || setting.room.moved(anchorX, anchorY).overlaps(onArtboard);
  }

  /** How far right of the layout's left edge the anchor lies. */
  public double pivotX() {
    return look.placement().anchor().across() * layout().width();
  }

  /** How far below the layout's top edge the anchor lies. */
  public double pivotY() {
    return look.placement().anchor().down() * layout().height();
  }

  /** Lets a canvas that counts in points of the artboard count in points of the layout. */
  public void enter(Canvas canvas) {
    canvas.translate((float) anchorX, (float) anchorY);
    canvas.rotate((float) look.placement().rotation());
    canvas.translate((float) -pivotX(), (float) -pivotY());
  }

  /** The point of the artboard where a point of the layout lies. */
  public PlanePoint toArtboard(double x, double y) {
    double angle = Math.toRadians(look.placement().rotation());
    double dx = x - pivotX();
    double dy = y - pivotY();
    return new PlanePoint(
        (anchorX + dx * Math.cos(angle) - dy * Math.sin(angle)),
        (anchorY + dx * Math.sin(angle) + dy * Math.cos(angle)));
  }

  /** The point of the layout that lies at a point of the artboard. */
  public PlanePoint toLayout(double x, double y) {
    double angle = Math.toRadians(look.placement().rotation());
    double dx = x - anchorX;
    double dy = y - anchorY;
    return new PlanePoint(
        (pivotX() + dx * Math.cos(angle) + dy * Math.sin(angle)),
        (pivotY() - dx * Math.sin(angle) + dy * Math.cos(angle)));
  }

  /** The upright box on the artboard around a box of the layout. */
  public Box onArtboard(Box box) {
    if (look.placement().rotation() == 0) {
      return box.moved(anchorX - pivotX(), anchorY - pivotY());
    }
    @Nullable Box bounds = null;
    double[][] corners = {
      {box.x(), box.y()},
      {box.right(), box.y()},
      {box.x(), box.bottom()},
      {box.right(), box.bottom()}
    };
    for (double[] corner : corners) {
      PlanePoint point = toArtboard(corner[0], corner[1]);
      Box dot = new Box(point.x(), point.y(), 0, 0);
      bounds = bounds == null ? dot : bounds.with(dot);
    }
    return requireNonNull(bounds);
  }

  /** The upright box on the artboard around the layout. */
  public Box bounds() {
    return onArtboard(layout().box());
  }

  /** Whether a point of the artboard hits the text's box or its ink, give or take some points. */
  public boolean isHit(double x, double y, double tolerance) {
    PlanePoint point = toLayout(x, y);
    return layout().box().grown(tolerance, tolerance).contains(point.x(), point.y());
  }
}
