package dynamorph.typeset.compose;

import com.github.benmanes.caffeine.cache.Cache;
import com.github.benmanes.caffeine.cache.Caffeine;
import com.github.benmanes.caffeine.cache.Interner;
import dynamorph.model.cascade.ParagraphLook;
import dynamorph.model.cascade.Spacing;
import dynamorph.model.cascade.TypeLook;
import dynamorph.model.value.Alignment;
import dynamorph.model.value.LineBreaking;
import dynamorph.model.value.OverlongWords;
import dynamorph.typeset.compose.MeasuredText.Columns;
import dynamorph.typeset.compose.MeasuredText.Core;
import dynamorph.typeset.compose.MeasuredText.CoreKey;
import dynamorph.typeset.compose.MeasuredText.Measured;
import dynamorph.typeset.compose.MeasuredText.MeasuredKey;
import dynamorph.typeset.compose.MeasuredText.PlacesKey;
import dynamorph.typeset.font.FontLibrary;
import dynamorph.typeset.language.Hyphenators;
import dynamorph.typeset.shape.ParagraphShaper;
import dynamorph.typeset.shape.ShapeKey;
import dynamorph.typeset.shape.ShapedParagraph;
import java.util.ArrayList;
import java.util.BitSet;
import java.util.List;
import java.util.Set;
import java.util.function.IntToDoubleFunction;
import java.util.stream.IntStream;
import org.jspecify.annotations.Nullable;

/**
 * Makes the lines of paragraphs. Remembers what was shaped, where words may be divided, and whole
 * paragraphs, so that what did not change is not done again. Safe on any thread.
 */
public final class ParagraphComposer {
  /** Units of text that something is known of: some 300 pages, about 100 MB. */
  private static final long KNOWN_UNITS = 1_000_000;

  private static final int HYPHENS = 20_000;

  /** Sizes are told in proportion to the first, which must not be nothing. */
  private static final double SMALLEST = 1e-6;

  /** Steps in which the narrowest balanced measure is looked for. */
  private static final int BALANCE_STEPS = 12;

  /** Looks of a size as shares of it; the paragraphs of a text mostly have the same. */
  private record Proportion(List<TypeLook> looks, double size, List<TypeLook> shares) {}

  private record HyphenKey(ShapeKey.SpanType type, char before) {}

  private final ParagraphShaper shaper;
  private final Hyphenators languages = new Hyphenators();
  // housekeeping takes less time than waking another thread for it
  private final Cache<ShapeKey, MeasuredText> texts =
      Caffeine.newBuilder()
          .executor(Runnable::run)
          .maximumWeight(KNOWN_UNITS)
          .weigher((ShapeKey key, MeasuredText _) -> key.text().length() + 16)
          .build();
  private final Cache<HyphenKey, Double> hyphens =
      Caffeine.newBuilder().executor(Runnable::run).maximumSize(HYPHENS).build();

  private final Interner<List<TypeLook>> proportions = Interner.newWeakInterner();
  private volatile @Nullable Proportion lastProportion;

  public ParagraphComposer(FontLibrary fonts) {
    this.shaper = new ParagraphShaper(fonts);
  }

  /** A paragraph, shaped. */
  public ShapedParagraph shape(ShapeKey key) {
    return known(key).shaped();
  }

  private MeasuredText known(ShapeKey key) {
    MeasuredText known = texts.getIfPresent(key);
    return known != null ? known : texts.get(key, wanted -> MeasuredText.of(shaper.shape(wanted)));
  }

  /** Where the lines of a paragraph may end. */
  public Breakpoints candidates(ParagraphKey paragraph) {
    return candidates(
        known(paragraph.shapeKey()),
        new PlacesKey(paragraph.settings().hyphenation().withoutZone(), paragraph.ruby()));
  }

  private Breakpoints candidates(MeasuredText text, PlacesKey key) {
    return text.places()
        .get(
            key,
            wanted ->
                Breakpoints.of(text.shaped(), wanted.hyphenation(), languages, wanted.ruby()));
  }

  /**
   * Makes the lines of a paragraph.
   *
   * @param measure line width for breaking; endless for text that is not wrapped
   * @param width of the column that the lines are set in
   * @param mark what stands before it; empty for nothing
   */
  public ComposedParagraph compose(
      ParagraphKey paragraph, double measure, double width, String mark) {
    MeasuredText text = known(paragraph.shapeKey());
    Measured measured =
        text.measured().get(new MeasuredKey(paragraph, mark), key -> measure(text, key));
    return measured
        .composed()
        .get(
            new Columns(measure, width),
            columns -> make(paragraph, withEmergency(paragraph, measured, measure), columns));
  }

  /** Words that are longer than a line may be cut where that is wanted. */
  private Measured withEmergency(ParagraphKey paragraph, Measured measured, double measure) {
    if (paragraph.settings().breaking().overlong() != OverlongWords.BREAK
        || Double.isInfinite(measure)) {
      return measured;
    }
    ParagraphStart start = measured.start();
    IntToDoubleFunction lineWidth = lineWidth(paragraph.settings(), start, measure);
    double narrowest =
        IntStream.rangeClosed(0, start.deep()).mapToDouble(lineWidth).min().orElse(measure);
    BitSet inWords = OverlongPieces.places(measured.model(), narrowest, paragraph.ruby());
    if (inWords.isEmpty()) {
      return measured;
    }
    LineWidths model =
        new LineWidths(
            measured.model().candidates().with(inWords),
            measured.measures(),
            paragraph.settings(),
            start.first(),
            start.deep(),
            unit -> hyphenWidth(paragraph.looks(), measured.measures(), unit),
            measured.tabs());
    return new Measured(measured.measures(), start, measured.tabs(), model);
  }

  private ComposedParagraph make(ParagraphKey paragraph, Measured measured, Columns columns) {
    ShapedParagraph text = measured.measures().shaped();
    ParagraphLook settings = paragraph.settings();
    ParagraphStart start = measured.start();
    LineSetter setter =
        new LineSetter(
            measured.model(),
            measured.measures(),
            paragraph.looks(),
            settings,
            measured.tabs(),
            paragraph.from(),
            start.ornaments(),
            this::shape);
    double width = columns.width();
    IntToDoubleFunction lineWidth = lineWidth(settings, start, width);
    int length = text.text().length();
    if (paragraph.from() >= length) {
      LineRange empty = new LineRange(length, length, length, false, true, false);
      return new ComposedParagraph(
          text,
          List.of(setter.set(empty, 0, width, start.indent(0), lineWidth.applyAsDouble(0))),
          1,
          Set.of());
    }
    int[] ends = ends(settings, measured, columns.measure());
    IntToDoubleFunction broken = lineWidth(settings, start, columns.measure());
    List<ComposedLine> lines = new ArrayList<>(ends.length + 1);
    int from = 0;
    for (int line = 0; line < ends.length; line++) {
      LineRange cut = measured.model().cut(from, ends[line], broken.applyAsDouble(line));
      boolean tail = cut.last() && endsInForcedBreak(text.text());
      LineRange own =
          tail
              ? new LineRange(cut.start(), cut.ink(), cut.end(), false, false, cut.tooWide())
              : cut;
      lines.add(setter.set(own, line, width, start.indent(line), lineWidth.applyAsDouble(line)));
      if (tail) {
        int end = cut.end();
        LineRange empty = new LineRange(end, end, end, false, true, false);
        double indent = start.indent(line + 1);
        lines.add(setter.set(empty, line + 1, width, indent, lineWidth.applyAsDouble(line + 1)));
      }
      from = ends[line];
    }
    return new ComposedParagraph(
        text, lines, start.deep(), missing(text, measured.measures().ruby()));
  }

  private static Set<Integer> missing(ShapedParagraph text, Ruby ruby) {
    if (ruby.isEmpty()) {
      return text.missingGlyphs();
    }
    Set<Integer> missing = ruby.missingGlyphs();
    missing.addAll(text.missingGlyphs());
    return missing;
  }

  private static boolean endsInForcedBreak(String text) {
    char last = text.charAt(text.length() - 1);
    return last == '\u2028' || last == '\u000B' || last == '\f';
  }

  private Measured measure(MeasuredText known, MeasuredKey key) {
    ParagraphKey paragraph = key.paragraph();
    ParagraphLook settings = paragraph.settings();
    ShapedParagraph text = known.shaped();
    ParagraphStart start = ParagraphStart.of(paragraph, key.mark(), text, this::shape);
    double size = Math.max(SMALLEST, paragraph.first().size());
    CoreKey coreKey =
        new CoreKey(
            inProportion(paragraph.looks(), size),
            settings.justification(),
            settings.hanging(),
            settings.hyphenation().withoutZone(),
            settings.alignment() == Alignment.JUSTIFIED,
            start.first(),
            paragraph.ruby());
    Core core = known.cores().get(coreKey, wanted -> core(known, wanted, settings));
    WidthSums measures = core.measures().at(size, paragraph.looks());
    @Nullable Tabs tabs =
        text.text().indexOf('\t') < 0
            ? null
            : new Tabs(
                measures,
                settings.tabs(),
                start.first(),
                start.indent(0),
                start.indent(start.deep()));
    LineWidths model = core.model().at(size, measures, settings, start.deep(), tabs);
    return new Measured(measures, start, tabs, model);
  }

  private List<TypeLook> inProportion(List<TypeLook> looks, double size) {
    Proportion last = lastProportion;
    if (last == null || last.looks != looks || last.size != size) {
      List<TypeLook> shares = looks.stream().map(look -> inProportion(look, size)).toList();
      last = new Proportion(looks, size, proportions.intern(shares));
      lastProportion = last;
    }
    return last.shares;
  }

  /** What widths depend on, all sizes being shares of the first. */
  private static TypeLook inProportion(TypeLook look, double size) {
    Spacing spacing = look.spacing();
    return new TypeLook(
        look.font(),
        look.size() / size,
        new Spacing(
            0,
            spacing.tracking(),
            spacing.kerning(),
            spacing.kernAfter(),
            spacing.wordSpacing(),
            0),
        look.forms(),
        look.language());
  }

  private Core core(MeasuredText known, CoreKey key, ParagraphLook settings) {
    WidthSums measures = measures(known.shaped(), key);
    Breakpoints places =
        known.shaped().text().isEmpty()
            ? Breakpoints.NONE
            : candidates(known, key.places()).behind(key.first());
    LineWidths model =
        new LineWidths(
            places,
            measures,
            settings,
            key.first(),
            1,
            unit -> hyphenWidth(key.looks(), measures, unit),
            null);
    return new Core(measures, model);
  }

  private WidthSums measures(ShapedParagraph shaped, CoreKey key) {
    WidthSums plain = new WidthSums(shaped, key.looks(), key.justification());
    return key.ruby().isEmpty()
        ? plain
        : new WidthSums(
            shaped,
            key.looks(),
            key.justification(),
            Ruby.over(key.ruby(), plain, key.looks(), this::shape));
  }

  private static IntToDoubleFunction lineWidth(
      ParagraphLook settings, ParagraphStart start, double measure) {
    return line -> Math.max(0, measure - start.indent(line) - settings.indents().end());
  }

  private static int[] ends(ParagraphLook settings, Measured measured, double measure) {
    boolean endless = Double.isInfinite(measure);
    ParagraphLook.Breaking breaking = settings.breaking();
    if (breaking.balance() && !endless) {
      return balanced(settings, measured, measure);
    }
    // where tabs take the text depends on the line, which the whole-paragraph sums do not know
    boolean whole =
        breaking.breaker() == LineBreaking.WHOLE_PARAGRAPH && measured.tabs() == null && !endless;
    IntToDoubleFunction lineWidth = lineWidth(settings, measured.start(), measure);
    return whole
        ? OptimumFitBreaker.places(measured.model(), lineWidth)
        : FirstFitBreaker.places(measured.model(), lineWidth);
  }

  /** The narrowest measure that needs no more lines makes lines of about the same length. */
  private static int[] balanced(ParagraphLook settings, Measured measured, double measure) {
    LineWidths model = measured.model();
    int[] best = FirstFitBreaker.places(model, lineWidth(settings, measured.start(), measure));
    double low = 0;
    double high = measure;
    for (int step = 0; step < BALANCE_STEPS && best.length > 1; step++) {
      double middle = (low + high) / 2;
      IntToDoubleFunction narrower = lineWidth(settings, measured.start(), middle);
      int[] ends = FirstFitBreaker.places(model, narrower);
      if (ends.length <= best.length && fit(model, narrower, ends)) {
        best = ends;
        high = middle;
      } else {
        low = middle;
      }
    }
    return best;
  }

  private static boolean fit(LineWidths model, IntToDoubleFunction lineWidth, int[] ends) {
    int from = 0;
    for (int line = 0; line < ends.length; line++) {
      if (!model.canFit(from, ends[line], lineWidth.applyAsDouble(line))) {
        return false;
      }
      from = ends[line];
    }
    return true;
  }

  /** Width of a hyphen behind the letter before a unit, kerned to it. */
  private double hyphenWidth(List<TypeLook> looks, WidthSums measures, int unit) {
    int span = measures.spanAt(unit - 1);
    TypeLook look = looks.get(span);
    ShapeKey.SpanType type = measures.shaped().key().spans().get(span).withLength(0);
    char before = measures.shaped().text().charAt(unit - 1);
    HyphenKey key = new HyphenKey(type, before);
    Double known = hyphens.getIfPresent(key);
    double em = known != null ? known : hyphens.get(key, this::measureHyphen);
    return em * look.size() * look.forms().scaleAcross()
        + look.spacing().letterExtra(measures.isCursive(unit - 1)) * look.size();
  }

  private double measureHyphen(HyphenKey key) {
    String letter = String.valueOf(key.before);
    return em(letter + LineSetter.HYPHEN, key.type) - em(letter, key.type);
  }

  private double em(String text, ShapeKey.SpanType type) {
    ShapedParagraph part =
        shaper.shape(new ShapeKey(text, List.of(type.withLength(text.length()))));
    return part.runs().stream()
        .mapToDouble(run -> {
          double sum = 0;
          for (float advance : run.advances()) {
            sum += advance;
          }
          return sum;
        })
        .sum();
  }
}
