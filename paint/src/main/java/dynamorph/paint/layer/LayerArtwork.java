package dynamorph.paint.layer;

import static java.util.Objects.requireNonNull;

import dynamorph.model.cascade.Coat;
import dynamorph.model.cascade.Effect;
import dynamorph.model.cascade.Finish;
import dynamorph.model.cascade.Paint;
import dynamorph.model.cascade.ResolvedLayer;
import dynamorph.model.cascade.ResolvedShape;
import dynamorph.model.text.Story;
import dynamorph.model.value.BlendMode;
import dynamorph.model.value.PaintBounds;
import dynamorph.model.value.Rgba;
import dynamorph.paint.artwork.AreaPaint;
import dynamorph.paint.artwork.Mark;
import dynamorph.paint.message.Messages;
import dynamorph.typeset.layout.Box;
import dynamorph.typeset.layout.TextLayout;
import io.github.humbleui.skija.Canvas;
import io.github.humbleui.skija.Data;
import io.github.humbleui.skija.EncodePNGFilterFlag;
import io.github.humbleui.skija.EncodePNGOptions;
import io.github.humbleui.skija.EncoderPNG;
import io.github.humbleui.skija.Image;
import io.github.humbleui.skija.Matrix33;
import io.github.humbleui.skija.Path;
import io.github.humbleui.skija.Surface;
import io.github.humbleui.types.Rect;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.function.Consumer;

/**
 * What {@link LayerPainter} paints, as marks: areas where a coat is one, pictures for shadows,
 * glows, blurs, bevels, conic gradients and grain.
 */
public final class LayerArtwork {
  private static final String LETTERS = Messages.of("layer-artwork.letters");

  /** The most pixels of one picture: 64 million. */
  private static final double MOST_PIXELS = 64e6;

  /** Shadows and glows are smooth: harder work makes their files little smaller. */
  private static final EncodePNGOptions QUICK =
      EncodePNGOptions.DEFAULT.withZlibLevel(3).withFlags(EncodePNGFilterFlag.UP);

  private final double scale;
  private final Optional<Story> words;
  private final MaskCache planes = new MaskCache();
  private final List<Mark> marks = new ArrayList<>();

  /** Finishes whose letters are shown as text. */
  private final Set<Finish> asText = new HashSet<>();

  private LayerArtwork(double scale, Optional<Story> words) {
    this.scale = scale;
    this.words = words;
  }

  /**
   * The marks of a layout in the looks of its layer, in points of the layout.
   *
   * @param scale pixels of pictures per point
   * @throws IllegalArgumentException if a picture would have too many pixels
   */
  public static List<Mark> marks(TextLayout layout, ResolvedLayer look, double scale) {
    return new LayerArtwork(scale, Optional.empty()).of(layout, look);
  }

  /**
   * The marks of a layout as {@link #marks} has them, and its words: letters that have one opaque
   * colour and nothing else stay text, those of richer finishes are areas with unseen text over
   * them.
   */
  public static List<Mark> marksAndWords(
      TextLayout layout, ResolvedLayer look, Story words, double scale) {
    return new LayerArtwork(scale, Optional.of(words)).of(layout, look);
  }

  /** The words of a layout alone, not seen: something else shows them. */
  public static Mark words(TextLayout layout, ResolvedLayer look, Story words) {
    return new Mark.Text(LayerText.of(layout, look, words, _ -> Optional.empty()));
  }

  private List<Mark> of(TextLayout layout, ResolvedLayer look) {
    if (look.form().isPresent()) {
      addShape(layout.box(), look, look.form().get());
      return List.copyOf(marks);
    }
    addPlate(layout, look);
    addRules(layout, look, false);
    addLetters(layout, look);
    addRules(layout, look, true);
    return List.copyOf(marks);
  }

  private void addShape(Box box, ResolvedLayer look, ResolvedShape form) {
    try (Stencil.Shape shape = ShapeGeometry.shape(form, box, planes)) {
      addFinish(ShapeGeometry.finish(look, form, box), shape, Messages.of("layer-artwork.shape"));
    }
  }

  private void addPlate(TextLayout layout, ResolvedLayer look) {
    List<List<Box>> runs =
        look.plate().coats().isEmpty() ? List.of() : PlateGeometry.runs(layout, look);
    if (!runs.isEmpty()) {
      try (Stencil.Shape shape =
          PathShape.plate(runs, look.plate().corners(), layout.axes().isVertical(), planes)) {
        addFinish(look.plate().finish(), shape, Messages.of("layer-artwork.plate"));
      }
    }
  }

  private void addRules(TextLayout layout, ResolvedLayer look, boolean through) {
    for (DecorationPainter.Coloured rule : DecorationPainter.coloured(layout, look, through)) {
      addRule(rule.rect(), rule.colour());
    }
  }

  private void addRule(Rect rule, Rgba colour) {
    marks.add(
        new Mark.Area(
            Path.makeRect(rule),
            new AreaPaint.Plain(colour),
            Matrix33.IDENTITY,
            1,
            BlendMode.NORMAL));
  }

  private void addLetters(TextLayout layout, ResolvedLayer look) {
    OutlineCache outlines = new OutlineCache();
    List<FinishedGlyphs> all = new ArrayList<>();
    LayerPainter.groups(layout, look)
        .forEach((finish, pieces) ->
            all.add(new FinishedGlyphs(finish, pieces, layout, outlines, planes)));
    if (words.isPresent()) {
      asText.addAll(PlainLetters.among(all));
    }
    try {
      LayerPainter.inOrder(
          all,
          letters -> addFinish(letters.finish(), letters, LETTERS),
          (letters, rank) -> addCoat(letters.finish(), rank, letters, LETTERS));
    } finally {
      all.forEach(FinishedGlyphs::close);
    }
    words.ifPresent(story ->
        marks.add(
            new Mark.Text(
                LayerText.of(
                    layout,
                    look,
                    story,
                    finish ->
                        asText.contains(finish)
                            ? Optional.of(PlainLetters.colour(finish))
                            : Optional.empty()))));
  }

  private void addFinish(Finish finish, Stencil.Shape shape, String what) {
    Finish.Group group = finish.group();
    if (group.isPlain()) {
      addAll(finish, shape, what);
    } else if (group.mask().isPresent()) {
      picture(
              FinishBrush.reach(finish, shape),
              canvas -> FinishBrush.paintMasked(canvas, finish, shape),
              group.opacity(),
              group.blend(),
              Messages.of(
                  "layer-artwork.with",
                  Messages.of("layer-artwork.all-coats-of-the", what),
                  Messages.of("layer-artwork.a-mask")))
          .ifPresent(marks::add);
    } else {
      int first = marks.size();
      addAll(finish, shape, what);
      List<Mark> own = marks.subList(first, marks.size());
      Mark together = new Mark.Group(List.copyOf(own), group.opacity(), group.blend());
      own.clear();
      marks.add(together);
    }
  }

  private void addAll(Finish finish, Stencil.Shape shape, String what) {
    EffectBrush.Subject whole = FinishBrush.whole(finish, shape);
    addBelow(whole, finish.effects(), 1, Messages.of("layer-artwork.all-coats-of-the", what));
    List<Effect> inside = inside(finish.effects());
    if (!inside.isEmpty()) {
      marks.add(
          body(
              whole,
              inside,
              1,
              BlendMode.NORMAL,
              Messages.of("layer-artwork.all-coats-of-the", what)));
      return;
    }
    for (int rank = 0; rank < finish.coats().size(); rank++) {
      addCoat(finish, rank, shape, what);
    }
  }

  private static List<Effect> inside(List<Effect> effects) {
    return effects.stream().filter(effect -> !effect.liesBelow()).toList();
  }

  private void addBelow(
      EffectBrush.Subject subject, List<Effect> effects, double opacity, String what) {
    for (int index = 0; index < effects.size(); index++) {
      Effect effect = effects.get(index);
      if (effect.liesBelow()) {
        int own = index;
        Box reach = grown(subject.reach(), effects);
        String name =
            effect instanceof Effect.DropShadow
                ? Messages.of("layer-artwork.drop-shadow")
                : Messages.of("layer-artwork.outer-glow");
        picture(
                reach,
                canvas -> EffectBrush.paintBelow(canvas, subject, effects, own),
                opacity,
                effect.blendBelow(),
                Messages.of("layer-artwork.of", name, what))
            .ifPresent(marks::add);
      }
    }
  }

  private static Box grown(Box reach, List<Effect> effects) {
    double outset = InkOverflow.outset(effects);
    return reach.grown(outset, outset);
  }

  private Mark body(
      EffectBrush.Subject subject,
      List<Effect> inside,
      double opacity,
      BlendMode blend,
      String what) {
    return picture(
            grown(subject.reach(), inside),
            canvas -> EffectBrush.paintBody(canvas, subject, inside),
            opacity,
            blend,
            Messages.of(
                "layer-artwork.with",
                what,
                String.join(", ", inside.stream().map(LayerArtwork::name).toList())))
        .orElseGet(() -> new Mark.Group(List.of(), 1, BlendMode.NORMAL));
  }

  private static String name(Effect effect) {
    return switch (effect) {
      case Effect.InnerShadow _ -> Messages.of("layer-artwork.inner-shadow");
      case Effect.InnerGlow _ -> Messages.of("layer-artwork.inner-glow");
      case Effect.Blur _ -> Messages.of("layer-artwork.blur");
      case Effect.Bevel _ -> Messages.of("layer-artwork.bevel");
      case Effect.DropShadow _ -> Messages.of("layer-artwork.drop-shadow");
      case Effect.OuterGlow _ -> Messages.of("layer-artwork.outer-glow");
    };
  }

  private void addCoat(Finish finish, int rank, Stencil.Shape shape, String of) {
    Coat coat = finish.coats().get(rank);
    Neighbours neighbours = Neighbours.of(finish.coats(), rank);
    CoatBrush.Subject subject = new CoatBrush.Subject(coat, shape, neighbours);
    String what =
        Messages.of(
            coat.shape() instanceof Coat.Fill
                ? "layer-artwork.a-fill-of-the"
                : "layer-artwork.a-stroke-of-the",
            of);
    addBelow(subject, coat.effects(), coat.opacity(), what);
    List<Effect> inside = inside(coat.effects());
    if (!inside.isEmpty()) {
      marks.add(body(subject, inside, coat.opacity(), coat.blend(), what));
      return;
    }
    if (shape instanceof FinishedGlyphs letters && asText.contains(finish)) {
      letters.rules().forEach(rule -> addRule(rule, PlainLetters.colour(finish)));
      return;
    }
    if (shape instanceof FinishedGlyphs letters && letters.isColourful()) {
      pixels(subject, Messages.of("layer-artwork.colours-of-the-font"), what);
      return;
    }
    Optional<List<Mark>> areas = areas(coat, shape, neighbours);
    if (areas.isEmpty()) {
      String paint =
          coat.paint() instanceof Paint.Pattern
              ? Messages.of("layer-artwork.grain")
              : Messages.of("layer-artwork.a-conic-gradient");
      pixels(subject, paint, what);
    } else if (coat.opacity() == 1 && coat.blend() == BlendMode.NORMAL) {
      marks.addAll(areas.get());
    } else {
      marks.add(new Mark.Group(areas.get(), coat.opacity(), coat.blend()));
    }
  }

  /** A coat that cannot be told as areas, because of its paint. */
  private void pixels(CoatBrush.Subject subject, String paint, String what) {
    picture(
            subject.reach().grown(1, 1),
            subject::paint,
            subject.coat().opacity(),
            subject.coat().blend(),
            Messages.of("layer-artwork.in", what, paint))
        .ifPresent(marks::add);
  }

  /** A coat as areas, without its opacity and blend mode; empty if its paint cannot be told so. */
  private static Optional<List<Mark>> areas(Coat coat, Stencil.Shape shape, Neighbours neighbours) {
    List<Mark> areas = new ArrayList<>();
    CoatCopies steps = new CoatCopies(coat);
    for (int copy : steps.fromBelow()) {
      Coat plain = steps.plain(copy);
      for (CoatCopies.Place place : steps.places(copy, shape)) {
        for (Stencil.Part part : parts(plain.paint(), place.shape())) {
          Optional<AreaPaint> paint = paint(plain.paint(), part.box());
          if (paint.isEmpty()) {
            return Optional.empty();
          }
          areas.add(
              new Mark.Area(
                  Stencil.area(plain.shape(), part.shape(), neighbours),
                  paint.get(),
                  place.matrix(),
                  plain.opacity(),
                  BlendMode.NORMAL));
        }
      }
    }
    return Optional.of(areas);
  }

  private static List<Stencil.Part> parts(Paint paint, Stencil.Shape shape) {
    PaintBounds fit =
        switch (paint) {
          case Paint.Solid _ -> PaintBounds.LAYER;
          case Paint.Gradient gradient -> gradient.fit();
          case Paint.Pattern pattern -> pattern.fit();
        };
    return shape.parts(fit);
  }

  private static Optional<AreaPaint> paint(Paint paint, Box box) {
    return switch (paint) {
      case Paint.Solid solid -> Optional.of(new AreaPaint.Plain(solid.colour()));
      case Paint.Gradient gradient when gradient.course() == Paint.Course.CONIC -> Optional.empty();
      case Paint.Gradient gradient -> Optional.of(GradientShaders.ramp(gradient, box));
      case Paint.Pattern pattern -> PatternShaders.repeated(pattern, box);
    };
  }

  /** Pixels of a box, on whole ones. */
  private Optional<Mark> picture(
      Box box, Consumer<Canvas> drawing, double opacity, BlendMode blend, String what) {
    double left = Math.floor(box.x() * scale);
    double top = Math.floor(box.y() * scale);
    double width = Math.ceil(box.right() * scale) - left;
    double height = Math.ceil(box.bottom() * scale) - top;
    if (width < 1 || height < 1) {
      return Optional.empty();
    }
    if (width * height > MOST_PIXELS) {
      throw new IllegalArgumentException(
          Messages.of(
              "layer-artwork.would-take-pixels-64-million-is", what, (long) width, (long) height));
    }
    try (Surface surface = Surface.makeRasterN32Premul((int) width, (int) height)) {
      Canvas canvas = surface.getCanvas();
      canvas.translate((float) -left, (float) -top);
      canvas.scale((float) scale, (float) scale);
      drawing.accept(canvas);
      try (Image image = surface.makeImageSnapshot();
          Data data = requireNonNull(EncoderPNG.encode(image, QUICK))) {
        Box place = new Box(left / scale, top / scale, width / scale, height / scale);
        return Optional.of(new Mark.Picture(data.getBytes(), place, opacity, blend, what));
      }
    }
  }
}
