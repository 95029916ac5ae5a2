package dynamorph.paint.scene;

import static java.util.Objects.requireNonNull;

import dynamorph.model.Artboard;
import dynamorph.model.Layer;
import dynamorph.model.cascade.Placement;
import dynamorph.model.cascade.ResolvedLayer;
import dynamorph.model.text.Story;
import dynamorph.typeset.layout.Box;
import dynamorph.typeset.layout.TextLayout;
import io.github.humbleui.skija.Canvas;
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
    Placement placement = look.placement();
    return new PlacedLayer(
        layer,
        look,
        placement.anchorX(artboard.width()),
        placement.anchorY(artboard.height()),
        new Setting(maker, dressed, look));
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
    private final Box room;
    private volatile @Nullable TextLayout layout;
    private volatile @Nullable Box ink;

    Setting(SceneMaker maker, Layer layer, ResolvedLayer look) {
      this.maker = maker;
      this.layer = layer;
      this.look = look;
      this.room = LayoutEstimate.of(layer, look);
    }

    /** Two threads that ask at once get the same from the typesetter's memory. */
    TextLayout layout() {
      TextLayout known = layout;
      if (known == null) {
        known = maker.typesetter().layout(layer.story(), look);
        layout = known;
      }
      return known;
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

  /** The words as they are set, in their nested styles too; as many pieces as the look has. */
  public Story story() {
    return setting.layer.story();
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
