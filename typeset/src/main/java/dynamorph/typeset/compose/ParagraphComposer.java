package dynamorph.typeset.compose;

import com.github.benmanes.caffeine.cache.Cache;
import com.github.benmanes.caffeine.cache.Caffeine;
import com.github.benmanes.caffeine.cache.Interner;
import dynamorph.model.cascade.ParagraphLook;
import dynamorph.model.cascade.Spacing;
import dynamorph.model.cascade.TypeLook;
import dynamorph.model.value.Alignment;
import dynamorph.model.value.Breaker;
import dynamorph.typeset.font.FontFace;
import dynamorph.typeset.font.FontLibrary;
import dynamorph.typeset.language.Hyphenators;
import dynamorph.typeset.shape.ParagraphShaper;
import dynamorph.typeset.shape.ShapeKey;
import dynamorph.typeset.shape.ShapedParagraph;
import java.util.ArrayList;
import java.util.List;
import java.util.function.IntToDoubleFunction;

/**
 * Makes the lines of paragraphs. Remembers what was shaped, where words may be divided, and whole
 * paragraphs, so that what did not change is not done again. Safe on any thread.
 */
public final class ParagraphComposer {
  /** Units of text kept shaped: some 300 pages, about 60 MB. */
  private static final long SHAPED_UNITS = 1_000_000;

  private static final long COMPOSED_UNITS = 1_000_000;

  /** Units of text whose widths are kept: some 90 pages, about 15 MB. */
  private static final long MEASURED_UNITS = 300_000;

  private static final int HYPHENS = 20_000;

  /** Sizes are told in proportion to the first, which must not be nothing. */
  private static final double SMALLEST = 1e-6;

  /** Steps in which the narrowest balanced measure is looked for. */
  private static final int BALANCE_STEPS = 12;

  private record ComposeKey(ParagraphKey paragraph, double measure, double width, String mark) {
    /** By what differs most. */
    @Override
    public int hashCode() {
      return paragraph.hashCode() * 31 + Double.hashCode(measure);
    }
  }

  private record MeasuredKey(ParagraphKey paragraph, String mark) {
    @Override
    public int hashCode() {
      return paragraph.hashCode();
    }
  }

  /** What widths at a size of 1 depend on. */
  private record CoreKey(
      ShapeKey shape,
      List<TypeLook> looks,
      ParagraphLook.Justification justification,
      ParagraphLook.Hanging hanging,
      ParagraphLook.Hyphenation hyphenation,
      boolean justified,
      int first) {
    /** Told apart by the words alone, since the rest rarely differs by itself. */
    @Override
    public int hashCode() {
      return shape.hashCode();
    }
  }

  /** Widths at a size of 1, which hold for every size. */
  private record Core(Measures measures, LineModel model) {}

  private record Measured(Measures measures, Start start, Tabs tabs, LineModel model) {}

  private record CandidatesKey(ShapeKey paragraph, ParagraphLook.Hyphenation settings) {}

  /** Looks of a size as shares of it; the paragraphs of a text mostly have the same. */
  private record Proportion(List<TypeLook> looks, double size, List<TypeLook> shares) {}

  private record HyphenKey(ShapeKey.SpanType type, char before) {}

  private final ParagraphShaper shaper;
  private final Hyphenators languages = new Hyphenators();
  private final Cache<ShapeKey, ShapedParagraph> shaped =
      Caffeine.newBuilder()
          .executor(Runnable::run)
          .maximumWeight(SHAPED_UNITS)
          .weigher((ShapeKey key, ShapedParagraph _) -> key.text().length() + 16)
          .build();
  private final Cache<CandidatesKey, Candidates> candidates =
      Caffeine.newBuilder()
          .executor(Runnable::run)
          .maximumWeight(SHAPED_UNITS)
          .weigher((CandidatesKey key, Candidates _) -> key.paragraph.text().length() + 16)
          .build();
  private final Cache<MeasuredKey, Measured> allMeasured =
      Caffeine.newBuilder()
          .executor(Runnable::run)
          .maximumWeight(MEASURED_UNITS)
          .weigher((MeasuredKey key, Measured _) -> key.paragraph.text().length() + 16)
          .build();
  private final Cache<CoreKey, Core> cores =
      Caffeine.newBuilder()
          .executor(Runnable::run)
          .maximumWeight(MEASURED_UNITS)
          .weigher((CoreKey key, Core _) -> key.shape.text().length() + 16)
          .build();
  private final Cache<HyphenKey, Double> hyphens =
      Caffeine.newBuilder().executor(Runnable::run).maximumSize(HYPHENS).build();
  private final Cache<ComposeKey, ComposedParagraph> composed =
      Caffeine.newBuilder()
          .executor(Runnable::run)
          .maximumWeight(COMPOSED_UNITS)
          .weigher((ComposeKey key, ComposedParagraph _) -> key.paragraph.text().length() + 16)
          .build();

  private final Interner<List<TypeLook>> proportions = Interner.newWeakInterner();
  private volatile Proportion lastProportion;

  public ParagraphComposer(FontLibrary fonts) {
    this.shaper = new ParagraphShaper(fonts);
  }

  /** A paragraph, shaped. */
  public ShapedParagraph shape(ShapeKey key) {
    ShapedParagraph known = shaped.getIfPresent(key);
    return known != null ? known : shaped.get(key, shaper::shape);
  }

  /** Where the lines of a paragraph may end. */
  public Candidates candidates(ParagraphKey paragraph) {
    return candidates(paragraph.shapeKey(), paragraph.settings().hyphenation());
  }

  private Candidates candidates(ShapeKey paragraph, ParagraphLook.Hyphenation settings) {
    return candidates.get(
        new CandidatesKey(paragraph, settings.withoutZone()),
        key -> Candidates.of(shape(key.paragraph), key.settings, languages));
  }

  /**
   * Makes the lines of a paragraph.
   *
   * @param measure room for breaking; endless for text that is not wrapped
   * @param width of the column that the lines are set in
   * @param mark what stands before it; empty for nothing
   */
  public ComposedParagraph compose(
      ParagraphKey paragraph, double measure, double width, String mark) {
    ComposeKey key = new ComposeKey(paragraph, measure, width, mark);
    ComposedParagraph known = composed.getIfPresent(key);
    return known != null ? known : composed.get(key, this::make);
  }

  private ComposedParagraph make(ComposeKey key) {
    Measured measured = allMeasured.get(new MeasuredKey(key.paragraph, key.mark), this::measure);
    ShapedParagraph text = measured.measures.shaped();
    ParagraphLook settings = key.paragraph.settings();
    LineSetter setter =
        new LineSetter(
            measured.model,
            measured.measures,
            key.paragraph.looks(),
            settings,
            measured.tabs,
            measured.start.ornaments,
            this::shape);
    Start start = measured.start;
    IntToDoubleFunction room = room(settings, start, key.width);
    if (text.text().isEmpty()) {
      Cut empty = new Cut(0, 0, 0, false, true, false);
      double indent = start.indent(0);
      return new ComposedParagraph(
          text, List.of(setter.set(empty, 0, key.width, indent, room.applyAsDouble(0))), false);
    }
    int[] ends = ends(key, measured);
    IntToDoubleFunction broken = room(settings, start, key.measure);
    List<ComposedLine> lines = new ArrayList<>(ends.length + 1);
    boolean tooWide = false;
    int from = 0;
    for (int line = 0; line < ends.length; line++) {
      Cut cut = measured.model.cut(from, ends[line], broken.applyAsDouble(line));
      tooWide |= cut.tooWide();
      boolean tail = cut.last() && endsInForcedBreak(text.text());
      Cut own =
          tail ? new Cut(cut.start(), cut.ink(), cut.end(), false, false, cut.tooWide()) : cut;
      lines.add(setter.set(own, line, key.width, start.indent(line), room.applyAsDouble(line)));
      if (tail) {
        int end = cut.end();
        Cut empty = new Cut(end, end, end, false, true, false);
        double indent = start.indent(line + 1);
        lines.add(setter.set(empty, line + 1, key.width, indent, room.applyAsDouble(line + 1)));
      }
      from = ends[line];
    }
    return new ComposedParagraph(text, lines, tooWide);
  }

  private static boolean endsInForcedBreak(String text) {
    char last = text.charAt(text.length() - 1);
    return last == '\u2028' || last == '\u000B' || last == '\f';
  }

  /** Everything about a paragraph that does not depend on its measure. */
  private Measured measure(MeasuredKey key) {
    ParagraphKey paragraph = key.paragraph;
    ParagraphLook settings = paragraph.settings();
    ShapeKey shapeKey = paragraph.shapeKey();
    ShapedParagraph text = shape(shapeKey);
    Start start = start(paragraph, key.mark, text);
    double size = Math.max(SMALLEST, paragraph.first().size());
    CoreKey coreKey =
        new CoreKey(
            // the key it was shaped by, which is told equal at a glance
            text.key(),
            inProportion(paragraph.looks(), size),
            settings.justification(),
            settings.hanging(),
            settings.hyphenation().withoutZone(),
            settings.alignment() == Alignment.JUSTIFIED,
            start.first);
    Core core = cores.getIfPresent(coreKey);
    if (core == null) {
      core = cores.get(coreKey, wanted -> core(wanted, text, settings));
    }
    Measures measures = core.measures.at(size, paragraph.looks());
    Tabs tabs =
        text.text().indexOf('\t') < 0
            ? null
            : new Tabs(
                measures, settings.tabs(), start.first, start.indent(0), start.indent(start.deep));
    LineModel model = core.model.at(size, measures, settings, start.deep, tabs);
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

  private Core core(CoreKey key, ShapedParagraph text, ParagraphLook settings) {
    Measures measures = new Measures(text, key.looks, key.justification);
    Candidates places =
        text.text().isEmpty()
            ? new Candidates(new int[0], new int[0], new boolean[0], new boolean[0])
            : candidates(key.shape, settings.hyphenation());
    LineModel model =
        new LineModel(
            places,
            measures,
            settings,
            key.first,
            1,
            unit -> hyphenWidth(key.looks, measures, unit),
            null);
    return new Core(measures, model);
  }

  private static IntToDoubleFunction room(ParagraphLook settings, Start start, double measure) {
    return line -> Math.max(0, measure - start.indent(line) - settings.indents().end());
  }

  private static int[] ends(ComposeKey key, Measured measured) {
    boolean endless = Double.isInfinite(key.measure);
    ParagraphLook settings = key.paragraph.settings();
    ParagraphLook.Breaking breaking = settings.breaking();
    if (breaking.balance() && !endless) {
      return balanced(key, measured);
    }
    // where tabs take the text depends on the line, which the whole-paragraph sums do not know
    boolean whole =
        breaking.breaker() == Breaker.WHOLE_PARAGRAPH && measured.tabs == null && !endless;
    IntToDoubleFunction room = room(settings, measured.start, key.measure);
    return whole
        ? ParagraphBreaker.places(measured.model, room)
        : LineBreaker.places(measured.model, room);
  }

  /** The narrowest measure that needs no more lines makes lines of about the same length. */
  private static int[] balanced(ComposeKey key, Measured measured) {
    ParagraphLook settings = key.paragraph.settings();
    LineModel model = measured.model;
    int[] best = LineBreaker.places(model, room(settings, measured.start, key.measure));
    double low = 0;
    double high = key.measure;
    for (int step = 0; step < BALANCE_STEPS && best.length > 1; step++) {
      double middle = (low + high) / 2;
      IntToDoubleFunction narrower = room(settings, measured.start, middle);
      int[] ends = LineBreaker.places(model, narrower);
      if (ends.length <= best.length && fit(model, narrower, ends)) {
        best = ends;
        high = middle;
      } else {
        low = middle;
      }
    }
    return best;
  }

  private static boolean fit(LineModel model, IntToDoubleFunction room, int[] ends) {
    int from = 0;
    for (int line = 0; line < ends.length; line++) {
      if (!model.canFit(from, ends[line], room.applyAsDouble(line))) {
        return false;
      }
      from = ends[line];
    }
    return true;
  }

  /** Width of a hyphen behind the letter before a unit, kerned to it. */
  private double hyphenWidth(List<TypeLook> looks, Measures measures, int unit) {
    int span = measures.spanAt(unit - 1);
    TypeLook look = looks.get(span);
    ShapeKey.SpanType type = measures.shaped().key().spans().get(span).withLength(0);
    char before = measures.shaped().text().charAt(unit - 1);
    HyphenKey key = new HyphenKey(type, before);
    Double known = hyphens.getIfPresent(key);
    double em = known != null ? known : hyphens.get(key, this::measureHyphen);
    return em * look.size() * look.forms().scaleAcross()
        + look.spacing().letterExtra() * look.size();
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

  // --- how a paragraph begins

  /**
   * How a paragraph begins.
   *
   * @param first first unit of its first line, behind a drop capital
   * @param deep from this line on all lines begin at the same place
   * @param firstIndent where the first line begins
   * @param deepIndent where the others begin down to {@code deep}
   * @param indent where all others begin
   */
  private record Start(
      int first,
      int deep,
      double firstIndent,
      double deepIndent,
      double indent,
      List<LineSetter.Ornament> ornaments) {
    double indent(int line) {
      if (line == 0) {
        return firstIndent;
      }
      return line < deep ? deepIndent : indent;
    }
  }

  private Start start(ParagraphKey paragraph, String mark, ShapedParagraph text) {
    ParagraphLook settings = paragraph.settings();
    double indent = settings.indents().start();
    double first = indent + settings.indents().first();
    List<LineSetter.Ornament> ornaments = new ArrayList<>();
    if (!mark.isEmpty()) {
      ShapedParagraph sign = mark(mark, text);
      double width = Ornaments.width(sign, paragraph.looks(), 1);
      ornaments.add(new LineSetter.Ornament(sign, first, width, 0, 1, false));
      first = Math.max(indent, first + width + settings.list().gap());
    }
    int letters = dropped(settings.drop(), text.text());
    if (letters == 0) {
      return new Start(0, 1, first, indent, indent, ornaments);
    }
    LineSetter.Ornament capital = dropCapital(paragraph, text, letters, first);
    ornaments.add(capital);
    double beside = capital.width() + settings.drop().gap();
    return new Start(
        letters,
        settings.drop().lines(),
        first + beside,
        indent + beside + Math.min(0, first - indent),
        indent,
        ornaments);
  }

  private ShapedParagraph mark(String mark, ShapedParagraph text) {
    ShapeKey.SpanType type = text.key().spans().getFirst().withLength(mark.length());
    return shape(new ShapeKey(mark, List.of(type), text.key().flow()));
  }

  /** How many units are dropped: whole letters, and never all there are. */
  private static int dropped(ParagraphLook.DropCapital drop, String text) {
    if (!drop.isThere() || text.isBlank()) {
      return 0;
    }
    com.ibm.icu.text.BreakIterator letters =
        com.ibm.icu.text.BreakIterator.getCharacterInstance(com.ibm.icu.util.ULocale.ROOT);
    letters.setText(text);
    int end = letters.next(drop.letters());
    return end < 0 || end >= text.length() ? 0 : end;
  }

  /** Letters whose capital height reaches from the top of the first line to the last baseline. */
  private LineSetter.Ornament dropCapital(
      ParagraphKey paragraph, ShapedParagraph text, int letters, double x) {
    ParagraphLook.DropCapital drop = paragraph.settings().drop();
    ShapedParagraph capital = shape(text.key().part(0, letters, ""));
    TypeLook look = paragraph.first();
    FontFace face = capital.runs().getFirst().face();
    double capHeight = face.lines().capHeight();
    double below = (drop.lines() - 1) * look.leading();
    double share = (below + capHeight * look.size()) / (capHeight * look.size());
    double width = Ornaments.width(capital, paragraph.looks(), share);
    return new LineSetter.Ornament(capital, x, width, below, share, true);
  }
}
