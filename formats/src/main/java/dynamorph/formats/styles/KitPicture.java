package dynamorph.formats.styles;

import dynamorph.model.Artboard;
import dynamorph.model.Layer;
import dynamorph.model.LengthUnit;
import dynamorph.model.Project;
import dynamorph.model.cascade.Cascade;
import dynamorph.model.cascade.Coats;
import dynamorph.model.edit.importing.StyleBundle;
import dynamorph.model.property.Address;
import dynamorph.model.property.Properties;
import dynamorph.model.property.PropertySet;
import dynamorph.model.style.Palette;
import dynamorph.model.style.Style;
import dynamorph.model.style.StyleBook;
import dynamorph.model.style.StyleLevel;
import dynamorph.model.value.Anchor;
import dynamorph.model.value.BoxFit;
import dynamorph.model.value.Colour;
import dynamorph.model.value.FontSize;
import dynamorph.model.value.Rgba;
import dynamorph.paint.export.ArtboardPicture;
import dynamorph.paint.layer.LayerPainter;
import dynamorph.paint.scene.SceneMaker;
import dynamorph.typeset.font.FontLibrary;
import dynamorph.typeset.layout.Typesetter;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;

/** A picture of a kit: some of its looks, one below another, each in its own words. */
public final class KitPicture {
  public static final int WIDTH = 480;
  public static final int HEIGHT = 300;

  private static final int MOST = 5;
  private static final double MARGIN = 24;
  private static final double SIZE = 34;
  private static final Rgba PAPER = Rgba.parse("#f7f4ee");
  private static final Rgba SLATE = Rgba.parse("#22303b");

  private KitPicture() {}

  /** The picture as PNG; none if there is no look that text could follow. */
  public static Optional<byte[]> png(StyleBundle bundle) {
    List<Style> shown = shown(bundle.styles());
    if (shown.isEmpty()) {
      return Optional.empty();
    }
    Project plain =
        Project.empty("")
            .withPalette(new Palette(bundle.swatches()))
            .withStyles(StyleBook.of(bundle.styles()))
            .withAssets(bundle.assets());
    Cascade cascade = Cascade.of(plain);
    long pale = shown.stream().filter(style -> isPale(plain, cascade.values(style))).count();
    Artboard board =
        Artboard.empty("kit", "Kit", WIDTH, HEIGHT, LengthUnit.PIXEL)
            .withBackground(Colour.of(pale * 2 > shown.size() ? SLATE : PAPER))
            .withLayers(layers(shown));
    try (FontLibrary fonts = FontLibrary.forProject(bundle.assets())) {
      LayerPainter painter = new LayerPainter();
      var scene = new SceneMaker(new Typesetter(fonts), painter).make(plain.plus(board));
      return Optional.of(
          new ArtboardPicture(painter).png(scene.board(board.id()).orElseThrow(), 2));
    }
  }

  /** Different families first, since they tell most. */
  private static List<Style> shown(List<Style> styles) {
    List<Style> texts =
        styles.stream().filter(style -> style.level() != StyleLevel.CHARACTER).toList();
    Set<String> families = new HashSet<>();
    List<Style> first =
        texts.stream()
            .filter(style ->
                style
                    .properties()
                    .get(Properties.FONT_FAMILY.key())
                    .filter(families::add)
                    .isPresent())
            .toList();
    List<Style> shown = new ArrayList<>(first);
    texts.stream().filter(style -> !first.contains(style)).forEach(shown::add);
    return shown.stream().limit(MOST).toList();
  }

  private static List<Layer> layers(List<Style> shown) {
    List<Layer> layers = new ArrayList<>();
    double step = (HEIGHT - 2 * MARGIN) / MOST;
    for (Style style : shown) {
      String words = style.sample().isBlank() ? style.name() : style.sample();
      layers.add(
          Layer.of("look-" + layers.size(), style.name(), words.lines().findFirst().orElse(words))
              .withFollows(List.of(style.id()))
              .withLocal(
                  PropertySet.EMPTY
                      .with(Properties.SIZE, FontSize.points(SIZE))
                      .with(Properties.ANCHOR, Anchor.TOP_LEFT)
                      .with(Properties.BOX, BoxFit.POINT)
                      .with(Properties.ROTATION, 0.0)
                      .with(Properties.POSITION_X, MARGIN)
                      .with(Properties.POSITION_Y, MARGIN + layers.size() * step)));
    }
    return layers;
  }

  private static boolean isPale(Project project, PropertySet values) {
    List<Rgba> painted =
        Coats.of(values, Address.FINISH).stream()
            .map(coat ->
                project.palette().colour(Coats.value(values, Properties.COAT_COLOUR.at(coat))))
            .toList();
    return !painted.isEmpty() && painted.stream().allMatch(colour -> colour.contrast(PAPER) < 2);
  }
}
