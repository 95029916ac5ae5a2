package dynamorph.formats.svg;

import dynamorph.formats.file.Sha256;
import dynamorph.formats.message.Messages;
import dynamorph.model.Asset;
import dynamorph.model.LengthUnit;
import dynamorph.model.document.drawing.WrittenDrawing;
import dynamorph.model.property.Address;
import dynamorph.model.property.Properties;
import dynamorph.model.property.PropertySet;
import dynamorph.model.shape.Shape;
import dynamorph.model.value.Colour;
import dynamorph.model.value.Length;
import dynamorph.model.value.PaintKind;
import dynamorph.model.value.PatternTile;
import dynamorph.paint.artwork.Affine;
import dynamorph.paint.artwork.PathData;
import dynamorph.paint.layer.ImageSize;
import dynamorph.typeset.layout.Box;
import java.io.IOException;
import java.util.ArrayList;
import java.util.Base64;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.jsoup.nodes.Element;

/** Goes through a drawing from the lowest to the highest element. */
final class SvgReader {
  private static final int DEEPEST = 200;
  private static final int MOST_ITEMS = 20_000;

  /** So many elements are gone through, those that are used again counted each time. */
  private static final int MOST_STEPS = 500_000;

  private static final int LONGEST_TITLE = 80;
  private static final double SMALLEST = 1;
  private static final double LARGEST = 28_346;

  private static final Pattern DATA =
      Pattern.compile(
          "data:image/([a-z0-9.+-]{1,20})(?:;[^,;]{0,40})*;base64,", Pattern.CASE_INSENSITIVE);

  /** Names that programs give without being asked. */
  private static final Pattern GIVEN =
      Pattern.compile(
          "(?i)(path|rect|circle|ellipse|line|polyline|polygon|image|text|tspan|g|group|layer|use|shape|object|svg|node|el|id)?[-_ ]?[0-9a-f]*[-_]?\\d*");

  /**
   * What percentages are of.
   *
   * @param width in user units
   * @param height in user units
   */
  record Viewport(double width, double height) {
    double diagonal() {
      return Math.hypot(width, height) / Math.sqrt(2);
    }
  }

  /** What holds for the elements within one. */
  private record Within(
      SvgStyle style,
      Affine place,
      double opacity,
      Optional<PathData> clip,
      Viewport viewport,
      int depth) {
    Within with(SvgStyle changed) {
      return new Within(changed, place, opacity, clip, viewport, depth + 1);
    }

    Within at(Affine more) {
      return new Within(style, place.after(more), opacity, clip, viewport, depth);
    }

    Within faded(double by) {
      return new Within(style, place, opacity * by, clip, viewport, depth);
    }

    Within clipped(PathData by) {
      return new Within(style, place, opacity, Optional.of(by), viewport, depth);
    }

    Within seenThrough(Viewport other) {
      return new Within(style, place, opacity, clip, other, depth);
    }
  }

  private final String name;
  private final Element root;
  private final Told told = new Told();
  private final SvgIndex index;
  private final SvgCascade cascade;
  private final SvgPaint paint;
  private final SvgEffects effects;
  private final SvgTexts texts;
  private final List<WrittenDrawing.Item> items = new ArrayList<>();
  private final Map<String, Asset> images = new LinkedHashMap<>();
  private final List<PathData> clips = new ArrayList<>();
  private int steps;
  private int shapes;

  private SvgReader(Element root, String name) {
    this.name = name;
    this.root = root;
    this.index = new SvgIndex(root);
    this.cascade = new SvgCascade(root, told);
    this.paint = new SvgPaint(index, cascade, told);
    this.effects = new SvgEffects(index, cascade, told);
    this.texts = new SvgTexts(cascade, index, paint, effects, told);
  }

  static WrittenDrawing read(Element root, String name) throws IOException {
    SvgReader reader = new SvgReader(root, name);
    try {
      return reader.drawing();
    } finally {
      reader.clips.forEach(PathData::close);
    }
  }

  private WrittenDrawing drawing() throws IOException {
    Page page = Page.of(root);
    if (page.width() < SMALLEST
        || page.height() < SMALLEST
        || page.width() > LARGEST
        || page.height() > LARGEST) {
      throw new IOException(
          Messages.of("svg.no-size", name, Math.round(page.width()), Math.round(page.height())));
    }
    SvgStyle style = SvgStyle.INITIAL.with(cascade.of(root));
    Within all =
        new Within(
            style, page.place(), style.share("opacity"), Optional.empty(), page.viewport(), 0);
    children(root, all);
    if (items.isEmpty()) {
      throw new IOException(Messages.of("svg.is-empty", name));
    }
    return new WrittenDrawing(
        title(),
        texts.document(name, told.lines()),
        page.width(),
        page.height(),
        page.unit(),
        style
            .find("background-color")
            .or(() -> style.find("background"))
            .flatMap(style::colour)
            .filter(colour -> colour.alpha() > 0)
            .map(Colour::of),
        items,
        List.copyOf(images.values()));
  }

  private String title() {
    return root.children().stream()
        .filter(child -> SvgIndex.name(child).equals("title"))
        .map(child -> child.text().strip())
        .filter(title -> !title.isEmpty())
        .findFirst()
        .map(title -> title.substring(0, Math.min(title.length(), LONGEST_TITLE)))
        .orElseGet(() -> name.replaceAll("\\.[^.]*$", ""));
  }

  /**
   * The size of a drawing.
   *
   * @param width in points
   * @param height in points
   * @param place from user units to points
   * @param viewport in user units
   */
  private record Page(
      double width, double height, LengthUnit unit, Affine place, Viewport viewport) {
    private static final double POINTS_PER_PHYSICAL = 0.75;

    static Page of(Element root) {
      Optional<List<Double>> box = SvgNumbers.box(root.attr("viewBox"));
      String across = root.attr("width");
      String down = root.attr("height");
      boolean physical = SvgNumbers.isPhysical(across) && SvgNumbers.isPhysical(down);
      double boxWidth = box.map(one -> one.get(2)).orElse(300.0);
      double boxHeight = box.map(one -> one.get(3)).orElse(150.0);
      double width = SvgNumbers.length(across, boxWidth, 16).orElse(boxWidth);
      double height = SvgNumbers.length(down, boxHeight, 16).orElse(width * boxHeight / boxWidth);
      if (SvgNumbers.length(across, 0, 16).isEmpty() && !down.isEmpty()) {
        width = height * boxWidth / boxHeight;
      }
      // a pixel of a screen artboard is a point
      double scale = physical ? POINTS_PER_PHYSICAL : 1;
      Affine place = Affine.scaling(scale, scale);
      if (box.isPresent()) {
        place =
            place.after(
                SvgNumbers.fitted(box.get(), root.attr("preserveAspectRatio"), width, height));
      }
      Viewport viewport =
          box.isPresent() ? new Viewport(boxWidth, boxHeight) : new Viewport(width, height);
      return new Page(
          width * scale, height * scale, unit(physical, SvgNumbers.unit(across)), place, viewport);
    }

    private static LengthUnit unit(boolean physical, String unit) {
      if (!physical) {
        return LengthUnit.PIXEL;
      }
      return switch (unit) {
        case "in" -> LengthUnit.INCH;
        case "pt", "pc" -> LengthUnit.POINT;
        default -> LengthUnit.MILLIMETRE;
      };
    }
  }

  private void children(Element element, Within within) throws IOException {
    for (Element child : element.children()) {
      element(child, within);
    }
  }

  private void element(Element element, Within around) throws IOException {
    if (++steps > MOST_STEPS || around.depth() > DEEPEST || items.size() > MOST_ITEMS) {
      throw new IOException(Messages.of("svg.grows-without-end", name, MOST_ITEMS));
    }
    String kind = SvgIndex.name(element);
    if (!isDrawn(kind)) {
      return;
    }
    SvgStyle style = around.style().with(cascade.of(element));
    if (style.get("display", "").equals("none")) {
      told.add(NotDrawn.HIDDEN);
      return;
    }
    String transform = style.get("transform", "none");
    Within here =
        around
            .with(style)
            .at(
                SvgNumbers.transform(
                    transform.equals("none") ? element.attr("transform") : transform))
            .faded(style.share("opacity"));
    here = clipped(style, here);
    if (!style.get("mask", "none").equals("none")) {
      told.add(NotDrawn.MASK);
    }
    switch (kind) {
      case "g", "a" -> group(element, here);
      case "svg" -> inner(element, element, here);
      case "switch" -> {
        for (Element choice : element.children()) {
          if (!choice.hasAttr("requiredExtensions")
              && !SvgIndex.name(choice).equals("foreignObject")) {
            element(choice, here);
            break;
          }
        }
      }
      case "use" -> use(element, here);
      case "text" -> text(element, here);
      case "image" -> image(element, here);
      case "foreignObject" -> told.add(NotDrawn.FOREIGN);
      default -> form(element, here);
    }
  }

  private static boolean isDrawn(String kind) {
    return switch (kind) {
      case "g",
          "a",
          "svg",
          "switch",
          "use",
          "text",
          "image",
          "foreignObject",
          "rect",
          "circle",
          "ellipse",
          "line",
          "polyline",
          "polygon",
          "path" ->
          true;
      default -> false;
    };
  }

  private void group(Element element, Within here) throws IOException {
    if (here.style().share("opacity") < 1 && element.childrenSize() > 1) {
      told.add(NotDrawn.GROUP_OPACITY);
    }
    if (!here.style().get("filter", "none").equals("none")) {
      told.add(NotDrawn.FILTER);
    }
    children(element, here);
  }

  /** A drawing in the drawing, or a symbol, with a view box of its own. */
  private void inner(Element element, Element sized, Within here) throws IOException {
    Viewport all = here.viewport();
    double width = SvgNumbers.length(sized.attr("width"), all.width(), 16).orElse(all.width());
    double height = SvgNumbers.length(sized.attr("height"), all.height(), 16).orElse(all.height());
    Within inside = here;
    if (sized == element) {
      inside =
          inside.at(
              Affine.translation(
                  SvgNumbers.length(element.attr("x"), all.width(), 16).orElse(0.0),
                  SvgNumbers.length(element.attr("y"), all.height(), 16).orElse(0.0)));
    }
    Optional<List<Double>> box = SvgNumbers.box(element.attr("viewBox"));
    if (box.isPresent()) {
      inside =
          inside
              .at(SvgNumbers.fitted(box.get(), element.attr("preserveAspectRatio"), width, height))
              .seenThrough(new Viewport(box.get().get(2), box.get().get(3)));
    }
    children(element, inside);
  }

  private void use(Element use, Within here) throws IOException {
    Optional<Element> used = index.referred(use);
    if (used.isEmpty()) {
      return;
    }
    Viewport all = here.viewport();
    Within there =
        here.at(
            Affine.translation(
                SvgNumbers.length(use.attr("x"), all.width(), 16).orElse(0.0),
                SvgNumbers.length(use.attr("y"), all.height(), 16).orElse(0.0)));
    if (SvgIndex.name(used.get()).equals("symbol")) {
      SvgStyle style = there.style().with(cascade.of(used.get()));
      inner(used.get(), use, there.with(style));
    } else {
      element(used.get(), there);
    }
  }

  // --- clips

  private Within clipped(SvgStyle style, Within here) throws IOException {
    String said = style.get("clip-path", "none");
    Optional<Element> clip =
        said.startsWith("url(")
            ? index.find(said.replaceAll("^url\\(\\s*['\"]?#|['\"]?\\)$", ""))
            : Optional.empty();
    if (clip.isEmpty()) {
      return here;
    }
    Affine place = here.place().after(SvgNumbers.transform(clip.get().attr("transform")));
    if (clip.get().attr("clipPathUnits").equals("objectBoundingBox")) {
      told.add(NotDrawn.CLIP);
      return here;
    }
    Optional<PathData> all = Optional.empty();
    for (Element part : clip.get().children()) {
      Optional<PathData> one = outline(part, place, here);
      if (one.isPresent()) {
        all = Optional.of(kept(all.isPresent() ? all.get().with(one.get()) : one.get()));
      }
    }
    if (all.isEmpty()) {
      told.add(NotDrawn.CLIP);
      return here;
    }
    PathData shown = all.get();
    return here.clipped(here.clip().isPresent() ? kept(here.clip().get().within(shown)) : shown);
  }

  private PathData kept(PathData clip) {
    clips.add(clip);
    return clip;
  }

  /** What a part of a clip lets show. */
  private Optional<PathData> outline(Element part, Affine place, Within here) throws IOException {
    if (++steps > MOST_STEPS) {
      throw new IOException(Messages.of("svg.grows-without-end", name, MOST_ITEMS));
    }
    SvgStyle style = SvgStyle.INITIAL.with(cascade.of(part));
    Affine there = place.after(SvgNumbers.transform(part.attr("transform")));
    if (SvgIndex.name(part).equals("use")) {
      return index
          .referred(part)
          .filter(used -> !SvgIndex.name(used).equals("use"))
          .flatMap(used ->
              shape(
                  used,
                  SvgStyle.INITIAL.with(cascade.of(used)),
                  there.after(SvgNumbers.transform(used.attr("transform"))),
                  here));
    }
    return shape(part, style, there, here);
  }

  private Optional<PathData> shape(Element part, SvgStyle style, Affine place, Within here) {
    try {
      Optional<SvgForms.Form> form =
          SvgForms.of(part, style, Affine.IDENTITY, Optional.empty(), here.viewport());
      return form.map(one ->
          switch (one.shape()) {
            case Shape.Drawn drawn ->
                kept(
                    PathData.of(
                        drawn.data(),
                        SvgForms.rule(style, "clip-rule"),
                        place.after(
                            Affine.translation(one.place().layer().x(), one.place().layer().y()))));
            case Shape.Ellipse _ -> {
              Box box = one.place().user();
              yield kept(
                  PathData.of(
                      SvgForms.rectangle(box, box.width() / 2, box.height() / 2),
                      SvgForms.rule(style, "clip-rule"),
                      place));
            }
            case Shape.Rectangle(var corners) -> {
              double round = corners.first().amount();
              yield kept(
                  PathData.of(
                      SvgForms.rectangle(one.place().user(), round, round),
                      SvgForms.rule(style, "clip-rule"),
                      place));
            }
            default -> throw new IllegalArgumentException(one.shape().name());
          });
    } catch (IllegalArgumentException unreadable) {
      told.add(NotDrawn.PATH);
      return Optional.empty();
    }
  }

  // --- what is drawn

  private boolean isSeen(Within here) {
    if (here.style().says("visibility", "hidden") || here.style().says("visibility", "collapse")) {
      told.add(NotDrawn.HIDDEN);
      return false;
    }
    return true;
  }

  private void text(Element element, Within here) throws IOException {
    if (isSeen(here)) {
      for (WrittenDrawing.Text text :
          texts.add(
              element, here.style(), here.place(), here.opacity(), here.clip(), label(element))) {
        items.add(text);
      }
    }
  }

  private void form(Element element, Within here) {
    SvgStyle style = here.style();
    boolean stroked = !style.get("stroke", "none").equals("none");
    if (!isSeen(here) || !stroked && style.get("fill", "black").equals("none")) {
      return;
    }
    // what is cut would be stroked along the cut
    Optional<PathData> clip = stroked ? Optional.empty() : here.clip();
    try {
      Optional<SvgForms.Form> form =
          SvgForms.of(element, style, here.place(), clip, here.viewport());
      if (form.isEmpty()) {
        return;
      }
      if (stroked
          && here.clip().filter(one -> !SvgForms.covers(one, onPage(form.get()))).isPresent()) {
        told.add(NotDrawn.CLIP);
      }
      for (String marker : List.of("marker-start", "marker-mid", "marker-end")) {
        if (!style.get(marker, "none").equals("none")) {
          told.add(NotDrawn.MARKER);
        }
      }
      PropertySet look =
          paint
              .coats(style, here.opacity(), form.get().place())
              .overlaidBy(effects.of(style, here.place().scale()));
      add(form.get(), element, look);
    } catch (IllegalArgumentException unreadable) {
      told.add(NotDrawn.PATH);
    }
  }

  private static Box onPage(SvgForms.Form form) {
    return new Box(
        form.frame().get(Properties.POSITION_X.key()).orElse(0.0),
        form.frame().get(Properties.POSITION_Y.key()).orElse(0.0),
        form.frame().get(Properties.BOX_WIDTH.key()).orElse(0.0),
        form.frame().get(Properties.BOX_HEIGHT.key()).orElse(0.0));
  }

  private void add(SvgForms.Form form, Element element, PropertySet look) {
    String named = label(element).orElse(form.shape().name());
    items.add(new WrittenDrawing.Form(form.layer("shape-" + ++shapes, named, look)));
  }

  /** What somebody called an element. */
  private static Optional<String> label(Element element) {
    return Optional.of(element.attr("inkscape:label"))
        .filter(label -> !label.isBlank())
        .or(() ->
            element.children().stream()
                .filter(child -> SvgIndex.name(child).equals("title"))
                .map(Element::text)
                .filter(title -> !title.isBlank())
                .findFirst())
        .or(() ->
            Optional.of(element.attr("id"))
                .filter(id -> !GIVEN.matcher(id).matches())
                // some programs write other letters as their numbers
                .map(id -> id.replaceAll("_x[0-9A-F]{2,4}_", " ").replaceAll("[-_]+", " ").strip())
                .filter(id -> !id.isEmpty()))
        .map(label -> label.substring(0, Math.min(label.length(), LONGEST_TITLE)));
  }

  // --- images

  private void image(Element element, Within here) {
    if (!isSeen(here)) {
      return;
    }
    String href = SvgIndex.href(element);
    Matcher data = DATA.matcher(href);
    if (!data.lookingAt()) {
      told.add(href.startsWith("data:") ? NotDrawn.UNREADABLE_IMAGE : NotDrawn.LINKED_IMAGE);
      return;
    }
    byte[] bytes;
    try {
      bytes = Base64.getMimeDecoder().decode(href.substring(data.end()));
    } catch (IllegalArgumentException broken) {
      told.add(NotDrawn.UNREADABLE_IMAGE);
      return;
    }
    Optional<ImageSize> size = ImageSize.of(bytes).filter(ImageSize::fits);
    if (size.isEmpty()) {
      told.add(NotDrawn.UNREADABLE_IMAGE);
      return;
    }
    placed(element, here, size.get(), asset(bytes, data.group(1)));
  }

  /** Equal images are one. */
  private Asset asset(byte[] bytes, String kind) {
    String ending = kind.toLowerCase(Locale.ROOT).replaceAll("[^a-z0-9].*", "");
    String hash = Sha256.hex(bytes);
    String stem = name.replaceAll("\\.[^.]*$", "").replaceAll("[^\\w ()-]", "-");
    return images.computeIfAbsent(
        hash,
        _ ->
            new Asset(
                "images/" + stem + "-" + hash.substring(0, 8) + "." + ending.replace("jpeg", "jpg"),
                bytes));
  }

  private void placed(Element element, Within here, ImageSize size, Asset image) {
    Viewport all = here.viewport();
    double width =
        SvgNumbers.length(element.attr("width"), all.width(), 16).orElse((double) size.width());
    double height =
        SvgNumbers.length(element.attr("height"), all.height(), 16)
            .orElse(width * size.height() / size.width());
    double x = SvgNumbers.length(element.attr("x"), all.width(), 16).orElse(0.0);
    double y = SvgNumbers.length(element.attr("y"), all.height(), 16).orElse(0.0);
    if (width <= 0 || height <= 0) {
      return;
    }
    Affine fitted =
        SvgNumbers.fitted(
            List.of(0.0, 0.0, (double) size.width(), (double) size.height()),
            element.attr("preserveAspectRatio"),
            width,
            height);
    // what stands out of its place is cut off there
    double shownWidth = Math.min(width, size.width() * fitted.a());
    double shownHeight = Math.min(height, size.height() * fitted.d());
    Box box =
        new Box(x + Math.max(0, fitted.e()), y + Math.max(0, fitted.f()), shownWidth, shownHeight);
    PropertySet faded = effects.of(here.style(), here.place().scale());
    boolean whole =
        here.place().keepsRightAngles()
            && here.opacity() == 1
            && Math.abs(here.place().scaleX() / here.place().scaleY() * fitted.a() / fitted.d() - 1)
                < 0.01;
    SvgForms.Form framed =
        here.place().keepsRightAngles()
            ? SvgForms.inBox(new Shape.Picture(image.name()), box, here.place(), here.viewport())
            : null;
    if (whole
        && framed != null
        && here.clip().filter(clip -> !SvgForms.covers(clip, onPage(framed))).isEmpty()) {
      add(framed, element, faded.with(Properties.COAT_REMOVED.at(SvgPaint.FILL), true));
      return;
    }
    tiled(element, here, box, fitted, x, y, size, image)
        .ifPresentOrElse(
            form -> add(form.form(), element, form.look().overlaidBy(faded)),
            () -> told.add(NotDrawn.UNREADABLE_IMAGE));
  }

  private record Tiled(SvgForms.Form form, PropertySet look) {}

  /** An image that is cut to a shape, or faded: a shape that is filled with it. */
  private Optional<Tiled> tiled(
      Element element,
      Within here,
      Box box,
      Affine fitted,
      double x,
      double y,
      ImageSize size,
      Asset image) {
    if (Math.abs(here.place().rotation()) > 0.01 || here.place().determinant() <= 0) {
      told.add(NotDrawn.CLIP);
    }
    Element form = new Element("path").attr("d", SvgForms.rectangle(box, 0, 0));
    Optional<SvgForms.Form> shown =
        SvgForms.of(form, SvgStyle.INITIAL, here.place(), here.clip(), here.viewport());
    Affine toPage = here.place().after(Affine.translation(x, y)).after(fitted);
    Affine.Place corner = toPage.apply(0, 0);
    double width = size.width() * toPage.scaleX();
    Address fill = SvgPaint.FILL;
    return shown.map(one ->
        new Tiled(
            one,
            PropertySet.EMPTY
                .with(Properties.COAT_PAINT.at(fill), PaintKind.PATTERN)
                .with(Properties.COAT_OPACITY.at(fill), here.opacity())
                .with(Properties.TILE.at(fill), PatternTile.IMAGE)
                .with(Properties.TILE_IMAGE.at(fill), image.name())
                .with(Properties.TILE_SIZE.at(fill), Length.points(Math.clamp(width, 0.001, 1e4)))
                .with(
                    Properties.TILE_X.at(fill),
                    Length.points(Math.clamp(corner.x() - one.place().layer().x(), -1e4, 1e4)))
                .with(
                    Properties.TILE_Y.at(fill),
                    Length.points(Math.clamp(corner.y() - one.place().layer().y(), -1e4, 1e4)))));
  }
}
