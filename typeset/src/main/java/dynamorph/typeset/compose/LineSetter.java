package dynamorph.typeset.compose;

import com.ibm.icu.text.Bidi;
import com.ibm.icu.text.BidiRun;
import dynamorph.model.cascade.ParagraphLook;
import dynamorph.model.cascade.TypeLook;
import dynamorph.model.value.LastLine;
import dynamorph.typeset.shape.ShapeKey;
import dynamorph.typeset.shape.ShapedParagraph;
import dynamorph.typeset.shape.ShapedRun;
import java.util.ArrayList;
import java.util.List;
import java.util.function.Function;
import java.util.function.Supplier;
import org.jspecify.annotations.Nullable;

/** Places the glyphs of the lines of one paragraph. All lengths in points. */
final class LineSetter {
  /** What is put behind a word that is divided: the hyphen of the font, or the plain one. */
  static final String HYPHEN = "-";

  private final WidthSums measures;
  private final ShapedParagraph shaped;
  private final List<TypeLook> looks;
  private final ParagraphLook settings;
  private final LineWidths model;
  private final @Nullable Tabs tabs;
  private final Function<ShapeKey, ShapedParagraph> shaper;
  private final int from;
  private final List<Ornament> ornaments;

  /** Of every line, where all letters are set alike. */
  private ComposedLine.@Nullable Height whole;

  /**
   * Glyphs on the first line that are no text of it: a bullet, a drop capital.
   *
   * @param x from the edge where lines start
   * @param width how much they take there
   * @param y below the baseline of the first line
   * @param size share of the size of the text
   * @param text whether they are typed letters, for the caret
   */
  record Ornament(
      ShapedParagraph shaped, double x, double width, double y, double size, boolean text) {}

  /**
   * @param from first unit of the first line, with letters that are dropped before it
   */
  LineSetter(
      LineWidths model,
      WidthSums measures,
      List<TypeLook> looks,
      ParagraphLook settings,
      @Nullable Tabs tabs,
      int from,
      List<Ornament> ornaments,
      Function<ShapeKey, ShapedParagraph> shaper) {
    this.model = model;
    this.measures = measures;
    this.shaped = measures.shaped();
    this.looks = looks;
    this.settings = settings;
    this.tabs = tabs;
    this.from = from;
    this.ornaments = ornaments;
    this.shaper = shaper;
  }

  /** A line's pieces and what they have together. */
  private record Pieces(Supplier<List<RunSegment>> parts, WidthSums.Sums sums) {
    List<RunSegment> segments() {
      return parts.get();
    }
  }

  /** Where a line goes; see {@link #set}. */
  private record Slot(int index, double measure, double indent, double lineWidth) {}

  /** How far the ends of a line hang out. */
  private record Hang(double start, double end) {}

  /**
   * Sets one line.
   *
   * @param measure width of the column
   * @param indent where the line begins, from the edge where lines start
   * @param lineWidth what the line has from there
   */
  ComposedLine set(LineRange cut, int index, double measure, double indent, double lineWidth) {
    return new ComposedLine(
        index == 0 ? from : cut.start(),
        cut,
        height(cut),
        shaped.rightToLeft(),
        () -> content(cut, new Slot(index, measure, indent, lineWidth)));
  }

  private ComposedLine.Content content(LineRange cut, Slot slot) {
    boolean any = cut.ink() > cut.start();
    double hangStart = any ? model.hangAtStart(cut.start()) : 0;
    boolean flush = !model.isJustified() || isFlush(cut);
    if (!flush && tabs == null && isWhole(cut)) {
      Hang hang = new Hang(hangStart, any ? model.hangAtEnd(cut.ink(), false, 0) : 0);
      double wanted = slot.lineWidth + hang.start + hang.end;
      double best = measures.lineWidth(cut.start(), cut.ink());
      // the most common line by far, whose spaces fill the room whatever is asked of them
      if (best <= wanted && measures.spaces(cut.start(), cut.ink()) > 0) {
        double from = slot.indent - hang.start;
        double left = shaped.rightToLeft() ? slot.measure - from - wanted : from;
        double needed = from + best - hang.end;
        return new ComposedLine.Content(
            left, wanted, needed, () -> filled(cut, whole(cut), slot, hang));
      }
    }
    Pieces pieces = pieces(cut);
    double hyphenWidth = cut.hyphenated() ? hyphenWidth(pieces) : 0;
    Hang hang =
        new Hang(hangStart, any ? model.hangAtEnd(cut.ink(), cut.hyphenated(), hyphenWidth) : 0);
    ComposedLine.Filled filled = filled(cut, pieces, slot, hang);
    double needed = slot.indent + pieces.sums.width() + tabbed(cut) - hang.start - hang.end;
    return new ComposedLine.Content(filled.left(), filled.width(), needed, () -> filled);
  }

  private double tabbed(LineRange cut) {
    return tabs == null ? 0 : tabs.width(cut.start(), cut.ink());
  }

  private ComposedLine.Filled filled(LineRange cut, Pieces pieces, Slot slot, Hang hang) {
    WidthSums.Sums sums = pieces.sums;
    double wanted = slot.lineWidth + hang.start + hang.end;
    double tabbed = tabbed(cut);
    boolean flush = !model.isJustified() || isFlush(cut);
    boolean fits = sums.width() + tabbed <= wanted + LineWidths.SLACK;
    boolean spread = model.isJustified() && tabbed == 0 && (!flush || !fits);
    Glue.Filled filled =
        spread
            ? Glue.filling(settings.justification(), sums, wanted)
            : new Glue.Filled(Glue.best(settings.justification()), sums.width() + tabbed);
    double width = filled.width();
    double shown = width - hang.start - hang.end;
    double fromStart = slot.indent - hang.start + (slot.lineWidth - shown) * share(cut);
    double left = shaped.rightToLeft() ? slot.measure - fromStart - width : fromStart;
    return new ComposedLine.Filled(
        left,
        width,
        spread ? ratio(sums, wanted) : 0,
        () -> runs(cut, pieces, slot, filled.spread(), left));
  }

  private static double ratio(WidthSums.Sums sums, double lineWidth) {
    double lack = lineWidth - sums.width();
    double limit = lack >= 0 ? sums.stretch() : sums.shrink();
    return limit > 0 ? lack / limit : lack == 0 ? 0 : Math.signum(lack) * Demerits.LOOSEST;
  }

  /** Lines that are not stretched: the last of a paragraph, and one before a forced break. */
  private boolean isFlush(LineRange cut) {
    boolean ends = cut.last() || shaped.forced().get(cut.end());
    return ends && settings.lastLine() != LastLine.JUSTIFIED;
  }

  /** Share of the free space that lies before a line, from the edge where lines start. */
  private double share(LineRange cut) {
    boolean rtl = shaped.rightToLeft();
    return switch (settings.alignment()) {
      case LEFT -> rtl ? 1 : 0;
      case RIGHT -> rtl ? 0 : 1;
      case CENTRE -> 0.5;
      case START -> 0;
      case END -> 1;
      case JUSTIFIED ->
          cut.last() || shaped.forced().get(cut.end())
              ? switch (settings.lastLine()) {
                case START, JUSTIFIED -> 0;
                case CENTRE -> 0.5;
                case END -> 1;
              }
              : 0;
    };
  }

  private ComposedLine.Height height(LineRange cut) {
    ComposedLine.Height plain = withoutRuby(cut);
    return measures.ruby().isEmpty() ? plain : measures.ruby().heightened(plain, cut, looks);
  }

  private ComposedLine.Height withoutRuby(LineRange cut) {
    if (shaped.runs().size() != 1 || cut.start() == cut.end()) {
      return measured(cut);
    }
    if (whole == null) {
      whole = measured(cut);
    }
    return whole;
  }

  private ComposedLine.Height measured(LineRange cut) {
    double ascent = 0;
    double descent = 0;
    double leading = 0;
    boolean any = false;
    for (ShapedRun run : shaped.runs()) {
      boolean lies = run.start() < cut.end() && run.end() > cut.start();
      if (lies) {
        TypeLook look = looks.get(run.span());
        double size = look.size() * run.across(look.forms());
        double shift = look.spacing().baselineShift() + run.rise() * size;
        ascent = Math.max(ascent, run.ascent() * size * run.scale() + shift);
        descent = Math.max(descent, run.descent() * size * run.scale() - shift);
        leading = Math.max(leading, look.leading());
        any = true;
      }
    }
    return any
        ? EmphasisMarks.heightened(
            new ComposedLine.Height(ascent, descent, leading), shaped, cut, looks)
        : empty();
  }

  /** An empty line is as high as most letters, and lies on both sides of a vertical baseline. */
  private ComposedLine.Height empty() {
    TypeLook look = looks.getFirst();
    boolean vertical = shaped.key().flow().vertical();
    double above = look.size() * (vertical ? 0.5 : 1);
    double below = look.size() * (vertical ? 0.5 : 0.25);
    return new ComposedLine.Height(above, below, look.leading());
  }

  // --- pieces

  /**
   * The parts of shaped runs that make up a line. Where its ends cut through what was shaped
   * together, such as a ligature or a kerned pair, the words there are shaped anew.
   */
  private Pieces pieces(LineRange cut) {
    if (isWhole(cut)) {
      return whole(cut);
    }
    int start = cut.start();
    int ink = cut.ink();
    String behind = cut.hyphenated() ? HYPHEN : "";
    boolean safeEnd = behind.isEmpty() && shaped.isSafeToCut(ink);
    if (shaped.bidi().isPresent()) {
      return alone(start, ink, behind, cut);
    }
    int from = start;
    while (!shaped.isSafeToCut(from)) {
      from++;
    }
    int to = safeEnd ? ink : ink - 1;
    while (to > start && !shaped.isSafeToCut(to)) {
      to--;
    }
    if (from >= to) {
      return alone(start, ink, behind, cut);
    }
    int middleFrom = from;
    int middleTo = to;
    Pieces head = from == start ? null : alone(start, from, "", cut);
    Pieces tail = safeEnd ? null : alone(to, ink, behind, cut);
    WidthSums.Sums sums = measures.sums(from, to, safeEnd);
    sums = head == null ? sums : head.sums.plus(sums);
    sums = tail == null ? sums : sums.plus(tail.sums);
    return new Pieces(
        () -> {
          List<RunSegment> segments = new ArrayList<>();
          if (head != null) {
            segments.addAll(head.segments());
          }
          int end = safeEnd ? cut.end() : middleTo;
          segments.addAll(segments(shaped, middleFrom, end, 0, Integer.MAX_VALUE));
          if (tail != null) {
            segments.addAll(tail.segments());
          }
          return segments;
        },
        sums);
  }

  /** Whether a line is a piece of the paragraph as it was shaped. */
  private boolean isWhole(LineRange cut) {
    return cut.ink() == cut.start()
        || !cut.hyphenated() && shaped.isSafeToCut(cut.ink()) && shaped.isSafeToCut(cut.start());
  }

  private Pieces whole(LineRange cut) {
    return new Pieces(
        () -> segments(shaped, cut.start(), cut.end(), 0, Integer.MAX_VALUE),
        measures.sums(cut.start(), cut.ink(), true));
  }

  private Pieces alone(int start, int ink, String behind, LineRange cut) {
    ShapedParagraph part = shaper.apply(shaped.key().part(start, ink, behind));
    WidthSums own =
        new WidthSums(part, looks, settings.justification(), measures.rubyOf(start, ink));
    int length = part.text().length();
    boolean ends = ink == cut.ink();
    List<RunSegment> segments = new ArrayList<>(segments(part, 0, length, start, ink - start));
    if (ends && cut.end() > ink) {
      // the spaces behind the line keep their place for the caret
      int outside = shaped.rightToLeft() ? 0 : segments.size();
      segments.addAll(outside, segments(shaped, ink, cut.end(), 0, Integer.MAX_VALUE));
    }
    return new Pieces(() -> segments, own.sums(0, length, ends));
  }

  private static double hyphenWidth(Pieces pieces) {
    for (RunSegment segment : pieces.segments().reversed()) {
      for (int cluster = segment.to() - 1; cluster >= segment.from(); cluster--) {
        if (segment.run().starts()[cluster] >= segment.behind()) {
          return segment.run().advances()[cluster];
        }
      }
    }
    return 0;
  }

  /** What lies between two units, in visual order (UAX #9, rules L1 and L2, by ICU). */
  private static List<RunSegment> segments(
      ShapedParagraph of, int start, int end, int offset, int behind) {
    List<RunSegment> segments = new ArrayList<>();
    if (of.bidi().isEmpty() || start >= end) {
      add(segments, of, start, end, offset, behind, false);
      return segments;
    }
    Bidi line = of.bidi().get().setLine(start, end);
    for (int index = 0; index < line.countRuns(); index++) {
      BidiRun visual = line.getVisualRun(index);
      add(
          segments,
          of,
          start + visual.getStart(),
          start + visual.getLimit(),
          offset,
          behind,
          visual.isOddRun());
    }
    return segments;
  }

  private static void add(
      List<RunSegment> segments,
      ShapedParagraph of,
      int start,
      int end,
      int offset,
      int behind,
      boolean reversed) {
    int at = segments.size();
    for (ShapedRun run : of.runs()) {
      if (run.start() < end && run.end() > start) {
        RunSegment segment = RunSegment.of(run, start, end, offset, behind);
        if (!segment.isEmpty()) {
          segments.add(reversed ? at : segments.size(), segment);
        }
      }
    }
  }

  // --- glyphs

  private List<GlyphRun> runs(LineRange cut, Pieces pieces, Slot slot, Glue glue, double left) {
    List<GlyphRun> runs = new ArrayList<>();
    List<Tabs.Advance> advances = tabs == null ? List.of() : tabs.advances(cut.start(), cut.ink());
    double trailing = measures.width(cut.ink(), cut.end());
    GlyphPlacer pen =
        new GlyphPlacer(
            measures, looks, glue, cut, advances, shaped.rightToLeft() ? left - trailing : left);
    for (RunSegment segment : pieces.segments()) {
      pen.set(segment, runs);
    }
    for (GlyphPlacer.Lengthened join : pen.lengthened()) {
      Tatweel.add(runs, join, shaped, looks, shaper);
    }
    measures.ruby().add(runs, cut, looks);
    EmphasisMarks.add(runs, shaped, looks, measures.ruby(), shaper);
    for (Tabs.Advance tab : advances) {
      if (!tab.leader().isEmpty()) {
        Leaders.add(runs, tab, pen.xOf(tab.unit()), shaped, looks, shaper, measures);
      }
    }
    if (slot.index == 0) {
      for (Ornament ornament : ornaments) {
        MarkPlacer.add(runs, ornament, looks, shaped.rightToLeft(), slot.measure);
      }
    }
    return List.copyOf(runs);
  }
}
