package dynamorph.model;

import dynamorph.model.message.Messages;
import dynamorph.model.property.PropertyKey;
import dynamorph.model.style.StyleId;
import dynamorph.model.text.Paragraph;
import dynamorph.model.text.Span;
import dynamorph.model.timeline.Timeline;
import dynamorph.model.timeline.TrackId;
import dynamorph.model.value.Colour;
import java.util.Collection;
import java.util.HashSet;
import java.util.List;
import java.util.Objects;
import java.util.Optional;
import java.util.Set;
import java.util.function.UnaryOperator;
import org.jspecify.annotations.Nullable;
import org.pcollections.PVector;
import org.pcollections.TreePVector;

/** A surface to set text on; with a timeline it is a film, whose texts are seen for a time each. */
public final class Artboard {
  /** Ten metres in points. */
  private static final double LARGEST = 28_346.5;

  private final ArtboardId id;
  private final String name;
  private final double width;
  private final double height;
  private final LengthUnit unit;
  private final Colour background;
  private final double x;
  private final double y;
  private final PVector<Layer> layers;
  private final Optional<StyleId> baseStyle;
  private final Optional<Timeline> timeline;
  // a style is edited far more often than an artboard
  private volatile @Nullable Set<PropertyKey<?>> setByHand;
  private volatile @Nullable List<Layer> continuing;

  /**
   * @param width in points, positive
   * @param height in points, positive
   * @param x where its left edge lies on the plane of all artboards, in points
   * @param y where its top edge lies on that plane, in points
   * @param layers in paint order, lowest first
   * @param baseStyle the style that plain text on it takes instead of the project's base style
   * @param timeline what makes it a film
   */
  public Artboard(
      ArtboardId id,
      String name,
      double width,
      double height,
      LengthUnit unit,
      Colour background,
      double x,
      double y,
      PVector<Layer> layers,
      Optional<StyleId> baseStyle,
      Optional<Timeline> timeline) {
    this.id = Objects.requireNonNull(id, "id");
    this.name = Objects.requireNonNull(name, "name");
    this.unit = Objects.requireNonNull(unit, "unit");
    this.background = Objects.requireNonNull(background, "background");
    this.layers = Objects.requireNonNull(layers, "layers");
    this.baseStyle = Objects.requireNonNull(baseStyle, "baseStyle");
    this.timeline = Objects.requireNonNull(timeline, "timeline");
    this.width = width;
    this.height = height;
    this.x = x;
    this.y = y;
    if (!(width >= 1 && width <= LARGEST && height >= 1 && height <= LARGEST)) {
      throw new IllegalArgumentException(
          Messages.of("artboard.an-artboard-is-between-1-pt", width, height));
    }
    if (!Double.isFinite(x) || !Double.isFinite(y)) {
      throw new IllegalArgumentException(Messages.of("artboard.the-place-of-an-artboard-must"));
    }
  }

  public ArtboardId id() {
    return id;
  }

  public String name() {
    return name;
  }

  /** In points. */
  public double width() {
    return width;
  }

  /** In points. */
  public double height() {
    return height;
  }

  public LengthUnit unit() {
    return unit;
  }

  public Colour background() {
    return background;
  }

  /** Where its left edge lies on the plane of all artboards, in points. */
  public double x() {
    return x;
  }

  /** Where its top edge lies on the plane of all artboards, in points. */
  public double y() {
    return y;
  }

  /** In paint order, lowest first. */
  public PVector<Layer> layers() {
    return layers;
  }

  /** The style that plain text on it takes instead of the project's base style. */
  public Optional<StyleId> baseStyle() {
    return baseStyle;
  }

  /** What makes it a film. */
  public Optional<Timeline> timeline() {
    return timeline;
  }

  public boolean isFilm() {
    return timeline.isPresent();
  }

  /** Every value that is set by hand anywhere on it. */
  public Set<PropertyKey<?>> setByHand() {
    @Nullable Set<PropertyKey<?>> known = setByHand;
    if (known == null) {
      known = new HashSet<>();
      for (Layer layer : layers) {
        known.addAll(layer.local().keys());
        if (layer.story().deviatesInside()) {
          for (Paragraph paragraph : layer.story().paragraphs()) {
            known.addAll(paragraph.local().keys());
            for (Span span : paragraph.spans()) {
              known.addAll(span.local().keys());
            }
          }
        }
      }
      known = Set.copyOf(known);
      setByHand = known;
    }
    return known;
  }

  /** The boxes on it that say to go on with the text of another. */
  public List<Layer> continuing() {
    @Nullable List<Layer> known = continuing;
    if (known == null) {
      known = layers.stream().filter(layer -> layer.continues().isPresent()).toList();
      continuing = known;
    }
    return known;
  }

  @Override
  public boolean equals(Object other) {
    return this == other
        || other instanceof Artboard board
            && board.id.equals(id)
            && board.name.equals(name)
            && Double.compare(board.width, width) == 0
            && Double.compare(board.height, height) == 0
            && board.unit == unit
            && board.background.equals(background)
            && Double.compare(board.x, x) == 0
            && Double.compare(board.y, y) == 0
            && board.baseStyle.equals(baseStyle)
            && board.timeline.equals(timeline)
            && board.layers.equals(layers);
  }

  @Override
  public int hashCode() {
    return Objects.hash(
        id, name, width, height, unit, background, x, y, layers, baseStyle, timeline);
  }

  @Override
  public String toString() {
    return "Artboard " + id + " \"" + name + "\", " + sizeText() + ", " + layers;
  }

  /** An empty artboard; sizes in its unit. */
  public static Artboard empty(
      String id, String name, double width, double height, LengthUnit unit) {
    return new Artboard(
        new ArtboardId(id),
        name,
        unit.toPoints(width),
        unit.toPoints(height),
        unit,
        Colour.hex("#ffffff"),
        0,
        0,
        TreePVector.empty(),
        Optional.empty(),
        Optional.empty());
  }

  public Artboard withId(ArtboardId changed) {
    return new Artboard(
        changed, name, width, height, unit, background, x, y, layers, baseStyle, timeline);
  }

  public Artboard withName(String changed) {
    return new Artboard(
        id, changed, width, height, unit, background, x, y, layers, baseStyle, timeline);
  }

  public Artboard withSize(double changedWidth, double changedHeight) {
    return new Artboard(
        id, name, changedWidth, changedHeight, unit, background, x, y, layers, baseStyle, timeline);
  }

  public Artboard withBackground(Colour changed) {
    return new Artboard(id, name, width, height, unit, changed, x, y, layers, baseStyle, timeline);
  }

  public Artboard withOrigin(double changedX, double changedY) {
    return new Artboard(
        id, name, width, height, unit, background, changedX, changedY, layers, baseStyle, timeline);
  }

  public Artboard withLayers(Collection<Layer> changed) {
    PVector<Layer> vector =
        changed instanceof PVector<Layer> same ? same : TreePVector.from(changed);
    return new Artboard(
        id, name, width, height, unit, background, x, y, vector, baseStyle, timeline);
  }

  public Artboard withBaseStyle(Optional<StyleId> changed) {
    return new Artboard(id, name, width, height, unit, background, x, y, layers, changed, timeline);
  }

  public Artboard withTimeline(Optional<Timeline> changed) {
    return new Artboard(
        id, name, width, height, unit, background, x, y, layers, baseStyle, changed);
  }

  /** With its timeline changed; itself if it has none or nothing changes. */
  public Artboard mapTimeline(UnaryOperator<Timeline> change) {
    Optional<Timeline> changed = timeline.map(change);
    return changed.equals(timeline) ? this : withTimeline(changed);
  }

  /** The texts that lie on a track, in paint order. */
  public List<Layer> on(TrackId track) {
    return layers.stream()
        .filter(layer -> layer.track().filter(track::equals).isPresent())
        .toList();
  }

  public Artboard plus(Layer layer) {
    return withLayers(layers.plus(layer));
  }

  /** With every layer changed; itself if none changes. Untouched parts are shared. */
  public Artboard mapLayers(UnaryOperator<Layer> change) {
    PVector<Layer> changed = layers;
    int index = 0;
    for (Layer layer : layers) {
      Layer after = change.apply(layer);
      if (after != layer) {
        changed = changed.with(index, after);
      }
      index++;
    }
    return changed == layers ? this : withLayers(changed);
  }

  public Optional<Layer> layer(LayerId wanted) {
    for (Layer layer : layers) {
      if (layer.id().equals(wanted)) {
        return Optional.of(layer);
      }
    }
    return Optional.empty();
  }

  /** Size as people say it: {@code 900 × 600 mm}. */
  public String sizeText() {
    return unit.format(width) + " \u00d7 " + unit.format(height) + " " + unit.symbol();
  }
}
