package dynamorph.formats.svg;

import dynamorph.formats.message.Messages;
import dynamorph.model.document.drawing.WrittenDrawing;
import dynamorph.model.property.PropertySet;
import dynamorph.model.shape.Shape;
import dynamorph.model.value.Colour;
import dynamorph.paint.artwork.Affine;
import dynamorph.paint.artwork.PathData;
import dynamorph.typeset.layout.Box;
import java.io.IOException;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
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

  /** Names that programs give without being asked. */
  private static final Pattern GIVEN =
      Pattern.compile(
          "(?i)(path|rect|circle|ellipse|line|polyline|polygon|image|text|tspan|g|group|layer|use|shape|object|svg|node|el|id)?[-_ ]?[0-9a-f]*[-_]?\\d*");

  /** What holds for the elements within one. */
  record Within(
      SvgStyle style,
      Affine place,
      double opacity,
      Optional<PathData> clip,
      SvgViewport viewport,
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

    Within seenThrough(SvgViewport other) {
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
  private final SvgImages images;
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
    this.images = new SvgImages(name, effects, told);
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
    SvgPage page = SvgPage.of(root);
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
        images.all());
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
      case "image" -> {
        if (isSeen(here)) {
          images.of(element, here).ifPresent(one -> add(one.form(), element, one.look()));
        }
      }
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
    SvgViewport all = here.viewport();
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
              .seenThrough(new SvgViewport(box.get().get(2), box.get().get(3)));
    }
    children(element, inside);
  }

  private void use(Element use, Within here) throws IOException {
    Optional<Element> used = index.referred(use);
    if (used.isEmpty()) {
      return;
    }
    SvgViewport all = here.viewport();
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
          && here.clip().filter(one -> !SvgForms.covers(one, form.get().onPage())).isPresent()) {
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
}
