package dynamorph.formats.svg;

import dynamorph.formats.file.Sha256;
import dynamorph.model.Asset;
import dynamorph.model.property.Address;
import dynamorph.model.property.Properties;
import dynamorph.model.property.PropertySet;
import dynamorph.model.shape.Shape;
import dynamorph.model.value.Length;
import dynamorph.model.value.PaintKind;
import dynamorph.model.value.PatternTile;
import dynamorph.paint.artwork.Affine;
import dynamorph.paint.layer.ImageSize;
import dynamorph.typeset.layout.Box;
import java.util.Base64;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.jsoup.nodes.Element;

/** The images that lie in a drawing; those that lie elsewhere are never read. */
final class SvgImages {
  private static final Pattern DATA =
      Pattern.compile(
          "data:image/([a-z0-9.+-]{1,20})(?:;[^,;]{0,40})*;base64,", Pattern.CASE_INSENSITIVE);

  /** Sides in other proportions than this are stretched. */
  private static final double NEARLY = 0.01;

  private final String name;
  private final SvgEffects effects;
  private final Told told;
  private final Map<String, Asset> assets = new LinkedHashMap<>();

  SvgImages(String name, SvgEffects effects, Told told) {
    this.name = name;
    this.effects = effects;
    this.told = told;
  }

  /** The images that were placed, each once. */
  List<Asset> all() {
    return List.copyOf(assets.values());
  }

  /** An image in its place. */
  record Placed(SvgForms.Form form, PropertySet look) {}

  /**
   * Where an image stands in user units.
   *
   * @param fitted from its pixels
   * @param shown what of it is seen there
   */
  private record Framed(ImageSize size, Affine fitted, Box shown) {}

  /** An image; empty for one that cannot come along, which is told. */
  Optional<Placed> of(Element element, SvgReader.Within here) {
    String href = SvgIndex.href(element);
    Matcher data = DATA.matcher(href);
    if (!data.lookingAt()) {
      told.add(href.startsWith("data:") ? NotDrawn.UNREADABLE_IMAGE : NotDrawn.LINKED_IMAGE);
      return Optional.empty();
    }
    byte[] bytes;
    try {
      bytes = Base64.getMimeDecoder().decode(href.substring(data.end()));
    } catch (IllegalArgumentException broken) {
      told.add(NotDrawn.UNREADABLE_IMAGE);
      return Optional.empty();
    }
    Optional<ImageSize> size = ImageSize.of(bytes).filter(ImageSize::fits);
    if (size.isEmpty()) {
      told.add(NotDrawn.UNREADABLE_IMAGE);
      return Optional.empty();
    }
    return framed(element, size.get(), here.viewport())
        .flatMap(framed -> placed(framed, here, asset(bytes, data.group(1))))
        .map(placed ->
            new Placed(
                placed.form(),
                placed.look().overlaidBy(effects.of(here.style(), here.place().scale()))));
  }

  /** Equal images are one. */
  private Asset asset(byte[] bytes, String kind) {
    String ending = kind.toLowerCase(Locale.ROOT).replaceAll("[^a-z0-9].*", "");
    String hash = Sha256.hex(bytes);
    String stem = name.replaceAll("\\.[^.]*$", "").replaceAll("[^\\w ()-]", "-");
    return assets.computeIfAbsent(
        hash,
        _ ->
            new Asset(
                "images/" + stem + "-" + hash.substring(0, 8) + "." + ending.replace("jpeg", "jpg"),
                bytes));
  }

  private static Optional<Framed> framed(Element element, ImageSize size, SvgViewport all) {
    double width =
        SvgNumbers.length(element.attr("width"), all.width(), 16).orElse((double) size.width());
    double height =
        SvgNumbers.length(element.attr("height"), all.height(), 16)
            .orElse(width * size.height() / size.width());
    if (width <= 0 || height <= 0) {
      return Optional.empty();
    }
    double x = SvgNumbers.length(element.attr("x"), all.width(), 16).orElse(0.0);
    double y = SvgNumbers.length(element.attr("y"), all.height(), 16).orElse(0.0);
    Affine within =
        SvgNumbers.fitted(
            List.of(0.0, 0.0, (double) size.width(), (double) size.height()),
            element.attr("preserveAspectRatio"),
            width,
            height);
    // what stands out of its place is cut off there
    Box shown =
        new Box(
            x + Math.max(0, within.e()),
            y + Math.max(0, within.f()),
            Math.min(width, size.width() * within.a()),
            Math.min(height, size.height() * within.d()));
    return Optional.of(new Framed(size, Affine.translation(x, y).after(within), shown));
  }

  private Optional<Placed> placed(Framed image, SvgReader.Within here, Asset asset) {
    if (here.place().keepsRightAngles()) {
      SvgForms.Form whole =
          SvgForms.inBox(
              new Shape.Picture(asset.name()), image.shown(), here.place(), here.viewport());
      if (here.clip().filter(clip -> !SvgForms.covers(clip, whole.onPage())).isEmpty()) {
        boolean even =
            Math.abs(
                    here.place().scaleX()
                            / here.place().scaleY()
                            * image.fitted().a()
                            / image.fitted().d()
                        - 1)
                < NEARLY;
        return Optional.of(
            even && here.opacity() == 1
                ? new Placed(
                    whole, PropertySet.EMPTY.with(Properties.COAT_REMOVED.at(SvgPaint.FILL), true))
                : tiled(
                    SvgForms.inBox(
                        Shape.Rectangle.SHARP, image.shown(), here.place(), here.viewport()),
                    image,
                    here,
                    asset));
      }
    }
    if (!here.place().keepsRightAngles() || Math.abs(here.place().rotation()) > NEARLY) {
      told.add(NotDrawn.TURNED_IMAGE);
    }
    Element form = new Element("path").attr("d", SvgForms.rectangle(image.shown(), 0, 0));
    return SvgForms.of(form, SvgStyle.INITIAL, here.place(), here.clip(), here.viewport())
        .map(cut -> tiled(cut, image, here, asset));
  }

  /** A shape that is filled with an image, as it lies behind it. */
  private static Placed tiled(
      SvgForms.Form form, Framed image, SvgReader.Within here, Asset asset) {
    Affine toLayer = form.place().toLayer().after(image.fitted());
    Affine.Place corner = toLayer.apply(0, 0);
    Box layer = form.place().layer();
    Address fill = SvgPaint.FILL;
    return new Placed(
        form,
        PropertySet.EMPTY
            .with(Properties.COAT_PAINT.at(fill), PaintKind.PATTERN)
            .with(Properties.COAT_OPACITY.at(fill), here.opacity())
            .with(Properties.TILE.at(fill), PatternTile.IMAGE)
            .with(Properties.TILE_IMAGE.at(fill), asset.name())
            .with(
                Properties.TILE_SIZE.at(fill),
                points(image.size().width() * toLayer.scaleX(), 0.001))
            .with(Properties.TILE_X.at(fill), points(corner.x() - layer.x(), -1e4))
            .with(Properties.TILE_Y.at(fill), points(corner.y() - layer.y(), -1e4)));
  }

  private static Length points(double points, double least) {
    return Length.points(Math.clamp(points, least, 1e4));
  }
}
