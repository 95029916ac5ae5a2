package dynamorph.typeset.layout;

import com.ibm.icu.text.Bidi;
import com.ibm.icu.text.BidiRun;
import dynamorph.model.cascade.ParagraphLook;
import dynamorph.model.cascade.TypeLook;
import dynamorph.model.value.Alignment;
import dynamorph.typeset.shape.ShapedParagraph;
import dynamorph.typeset.shape.ShapedRun;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;

/**
 * Places the glyphs of the lines of one paragraph. Lives for one paragraph; all lengths in points.
 */
final class LineSetter {
  private final int paragraph;
  private final int storyStart;
  private final ShapedParagraph shaped;
  private final List<TypeLook> looks;
  private final TypeLook emptyLook;
  private final ParagraphLook settings;
  private final double[] widths;

  LineSetter(
      int paragraph,
      int storyStart,
      ShapedParagraph shaped,
      List<TypeLook> looks,
      TypeLook emptyLook,
      ParagraphLook settings) {
    this.paragraph = paragraph;
    this.storyStart = storyStart;
    this.shaped = shaped;
    this.looks = looks;
    this.emptyLook = emptyLook;
    this.settings = settings;
    this.widths = widths();
  }

  private double[] widths() {
    double[] sums = new double[shaped.text().length() + 1];
    for (ShapedRun run : shaped.runs()) {
      for (int cluster = 0; cluster < run.clusterCount(); cluster++) {
        int unit = Math.min(run.starts()[cluster], sums.length - 2);
        sums[unit + 1] += advance(run, cluster);
      }
    }
    Arrays.parallelPrefix(sums, Double::sum);
    return sums;
  }

  private double advance(ShapedRun run, int cluster) {
    TypeLook look = looks.get(run.span());
    return (run.advances()[cluster] + look.tracking() / 1000) * look.size();
  }

  /** The lines for a measure; an endless one gives a line for each forced break. */
  List<LineBreaker.Cut> cut(double measure) {
    return LineBreaker.lines(shaped, widths, line -> measure - indents(line));
  }

  /** What the indents take from the measure of a line. */
  double indents(int line) {
    return settings.indentStart() + settings.indentEnd() + (line == 0 ? settings.indentFirst() : 0);
  }

  /**
   * Width of a line's content, without trailing spaces and without the tracking behind its last
   * letter.
   */
  double width(LineBreaker.Cut cut) {
    if (cut.inkEnd() == cut.start()) {
      return 0;
    }
    TypeLook last = lookAt(cut.inkEnd() - 1);
    return widths[cut.inkEnd()] - widths[cut.start()] - last.tracking() / 1000 * last.size();
  }

  private TypeLook lookAt(int unit) {
    for (ShapedRun run : shaped.runs()) {
      for (int cluster = 0; cluster < run.clusterCount(); cluster++) {
        if (unit >= run.starts()[cluster] && unit < run.ends()[cluster]) {
          return looks.get(run.span());
        }
      }
    }
    return emptyLook;
  }

  /** Sets one line into a measure, its baseline at 0. */
  Line set(LineBreaker.Cut cut, int index, double measure) {
    double width = width(cut);
    double room = measure - indents(index);
    int spaces = settings.alignment() == Alignment.JUSTIFIED && !endsFlush(cut) ? spaces(cut) : 0;
    double stretch = spaces > 0 && room > width ? (room - width) / spaces : 0;
    double shownWidth = width + stretch * spaces;
    double first = index == 0 ? settings.indentFirst() : 0;
    double start = settings.indentStart() + first;
    double leftIndent = shaped.rightToLeft() ? settings.indentEnd() : start;
    double left = leftIndent + (room - shownWidth) * share();
    double trailing = widths[cut.end()] - widths[cut.inkEnd()];
    double origin = shaped.rightToLeft() ? left - trailing : left;
    List<GlyphRun> runs = new ArrayList<>();
    Pen pen = new Pen(origin, stretch, cut);
    for (Segment segment : segments(cut)) {
      GlyphRun run = pen.set(segment);
      if (run.starts().length > 0) {
        runs.add(run);
      }
    }
    double ascent = emptyAscent(runs);
    double descent = emptyDescent(runs);
    return new Line(
        paragraph,
        storyStart + cut.start(),
        storyStart + cut.end(),
        left,
        shownWidth,
        0,
        ascent,
        descent,
        shaped.rightToLeft(),
        cut.last(),
        List.copyOf(runs));
  }

  private double emptyAscent(List<GlyphRun> runs) {
    return runs.stream()
        .mapToDouble(run -> run.face().ascent() * run.size())
        .max()
        .orElse(emptyLook.size());
  }

  private double emptyDescent(List<GlyphRun> runs) {
    return runs.stream()
        .mapToDouble(run -> run.face().descent() * run.size())
        .max()
        .orElse(emptyLook.size() * 0.25);
  }

  /**
   * The largest leading on a line; that of an empty paragraph's own type if there is nothing on it.
   */
  double leading(Line line) {
    return line.runs().stream()
        .mapToDouble(run -> looks.get(run.span()).leading())
        .max()
        .orElse(emptyLook.leading());
  }

  /** Lines that are not stretched: the last of a paragraph, and one before a forced break. */
  private boolean endsFlush(LineBreaker.Cut cut) {
    return cut.last() || shaped.forced().get(cut.end());
  }

  private int spaces(LineBreaker.Cut cut) {
    return (int)
        shaped
            .text()
            .substring(cut.start(), cut.inkEnd())
            .chars()
            .filter(LineSetter::isSpace)
            .count();
  }

  private static boolean isSpace(int unit) {
    return unit == ' ' || unit == '\u00A0';
  }

  /** Share of the free room that lies to the left of a line. */
  private double share() {
    boolean rtl = shaped.rightToLeft();
    return switch (settings.alignment()) {
      case LEFT -> 0;
      case RIGHT -> 1;
      case CENTRE -> 0.5;
      case START, JUSTIFIED -> rtl ? 1 : 0;
      case END -> rtl ? 0 : 1;
    };
  }

  /** A part of a shaped run that lies on the line. */
  private record Segment(ShapedRun run, int start, int end) {}

  /** What lies on a line, in visual order (UAX #9, rules L1 and L2, by ICU). */
  private List<Segment> segments(LineBreaker.Cut cut) {
    List<Segment> segments = new ArrayList<>();
    if (shaped.bidi().isEmpty() || cut.start() == cut.end()) {
      addSegments(segments, cut.start(), cut.end(), false);
      return segments;
    }
    Bidi line = shaped.bidi().get().setLine(cut.start(), cut.end());
    for (int index = 0; index < line.countRuns(); index++) {
      BidiRun visual = line.getVisualRun(index);
      addSegments(
          segments,
          cut.start() + visual.getStart(),
          cut.start() + visual.getLimit(),
          visual.isOddRun());
    }
    return segments;
  }

  private void addSegments(List<Segment> segments, int start, int end, boolean reversed) {
    int at = segments.size();
    for (ShapedRun run : shaped.runs()) {
      if (run.start() < end && run.end() > start) {
        segments.add(reversed ? at : segments.size(), new Segment(run, start, end));
      }
    }
  }

  /** Walks along the line and puts down glyphs. */
  private final class Pen {
    private final double stretch;
    private final LineBreaker.Cut cut;
    private double x;

    Pen(double x, double stretch, LineBreaker.Cut cut) {
      this.x = x;
      this.stretch = stretch;
      this.cut = cut;
    }

    GlyphRun set(Segment segment) {
      ShapedRun run = segment.run();
      int from = 0;
      while (from < run.clusterCount() && !lies(run, from, segment)) {
        from++;
      }
      int to = from;
      while (to < run.clusterCount() && lies(run, to, segment)) {
        to++;
      }
      int firstGlyph = run.clusters()[from];
      int glyphCount = run.clusters()[to] - firstGlyph;
      TypeLook look = looks.get(run.span());
      float[] xs = new float[glyphCount];
      float[] ys = new float[glyphCount];
      float[] left = new float[to - from];
      float[] right = new float[to - from];
      for (int cluster = from; cluster < to; cluster++) {
        for (int glyph = run.clusters()[cluster]; glyph < run.clusters()[cluster + 1]; glyph++) {
          xs[glyph - firstGlyph] = (float) (x + run.x()[glyph] * look.size());
          ys[glyph - firstGlyph] = (float) (run.y()[glyph] * look.size());
        }
        left[cluster - from] = (float) x;
        x += advance(run, cluster) + stretchAt(run.starts()[cluster]);
        right[cluster - from] = (float) x;
      }
      return new GlyphRun(
          paragraph,
          run.span(),
          run.face(),
          run.slanted(),
          look.size(),
          run.rightToLeft(),
          Arrays.copyOfRange(run.glyphs(), firstGlyph, firstGlyph + glyphCount),
          xs,
          ys,
          inStory(run.starts(), from, to),
          inStory(run.ends(), from, to),
          left,
          right);
    }

    private boolean lies(ShapedRun run, int cluster, Segment segment) {
      return run.starts()[cluster] >= segment.start() && run.starts()[cluster] < segment.end();
    }

    private double stretchAt(int unit) {
      boolean inside = unit < cut.inkEnd() && isSpace(shaped.text().charAt(unit));
      return inside ? stretch : 0;
    }

    private int[] inStory(int[] units, int from, int to) {
      int[] moved = new int[to - from];
      for (int index = from; index < to; index++) {
        moved[index - from] = units[index] + storyStart;
      }
      return moved;
    }
  }
}
