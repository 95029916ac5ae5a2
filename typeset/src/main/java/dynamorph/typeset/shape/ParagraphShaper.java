package dynamorph.typeset.shape;

import com.ibm.icu.lang.UScript;
import com.ibm.icu.text.Bidi;
import com.ibm.icu.text.BreakIterator;
import com.ibm.icu.text.RuleBasedBreakIterator;
import com.ibm.icu.util.ULocale;
import dynamorph.typeset.font.FontFace;
import dynamorph.typeset.font.FontLibrary;
import io.github.humbleui.skija.Font;
import io.github.humbleui.skija.FontFeature;
import io.github.humbleui.skija.shaper.BidiRun;
import io.github.humbleui.skija.shaper.FontRun;
import io.github.humbleui.skija.shaper.LanguageRun;
import io.github.humbleui.skija.shaper.RunHandler;
import io.github.humbleui.skija.shaper.RunInfo;
import io.github.humbleui.skija.shaper.ScriptRun;
import io.github.humbleui.skija.shaper.Shaper;
import io.github.humbleui.skija.shaper.ShapingOptions;
import io.github.humbleui.types.Point;
import java.util.ArrayList;
import java.util.BitSet;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.TreeSet;

/**
 * Shapes paragraphs. Bidi levels after UAX #9 and line-break opportunities after UAX #14, both by
 * ICU; glyphs by HarfBuzz. Safe on any thread: each call has a shaper of its own.
 */
public final class ParagraphShaper {
  /**
   * The size at which HarfBuzz is asked; results are divided by it. Font units of common fonts are
   * 1000 or 2048.
   */
  private static final float SHAPING_SIZE = FontFace.METRICS_SIZE;

  /** Letters that are spaced out no longer touch, so they form no ligatures. */
  private static final String[] TOUCHING = {"liga", "clig"};

  /** The rule status from which ICU reports a line break that must be taken (ULineBreakTag). */
  private static final int HARD_BREAK = 100;

  private final FontLibrary fonts;

  public ParagraphShaper(FontLibrary fonts) {
    this.fonts = fonts;
  }

  public ShapedParagraph shape(ShapeKey key) {
    CaseMapping shown = CaseMapping.of(key.text(), key.spans());
    Optional<Bidi> bidi = bidi(shown.text());
    Set<String> missingFamilies = new TreeSet<>();
    Set<Integer> missingGlyphs = new TreeSet<>();
    List<Itemizer.Item> items =
        new Itemizer(fonts, missingFamilies, missingGlyphs).items(shown, key.spans(), bidi);
    List<ShapedRun> runs = items.isEmpty() ? List.of() : shape(shown, key.spans(), items);
    BitSet breaks = new BitSet();
    BitSet forced = new BitSet();
    findBreaks(key, breaks, forced);
    // levels are asked for by typed units when lines are cut, so they are taken from the typed text
    Optional<Bidi> typed = bidi.isPresent() ? bidi(key.text()) : Optional.empty();
    return new ShapedParagraph(
        key.text(),
        List.copyOf(runs),
        breaks,
        forced,
        typed,
        typed.map(levels -> (levels.getParaLevel() & 1) == 1).orElse(false),
        missingFamilies,
        missingGlyphs);
  }

  /**
   * The levels of a paragraph whose direction its first strong letter decides; empty if all is left
   * to right.
   */
  private static Optional<Bidi> bidi(String text) {
    char[] units = text.toCharArray();
    if (!Bidi.requiresBidi(units, 0, units.length)) {
      return Optional.empty();
    }
    Bidi bidi = new Bidi();
    bidi.setPara(text, Bidi.LEVEL_DEFAULT_LTR, null);
    return Optional.of(bidi);
  }

  private static void findBreaks(ShapeKey key, BitSet breaks, BitSet forced) {
    if (key.text().isEmpty()) {
      return;
    }
    String language = key.spans().getFirst().language();
    BreakIterator lines = BreakIterator.getLineInstance(ULocale.forLanguageTag(language));
    lines.setText(key.text());
    for (int at = lines.next(); at != BreakIterator.DONE; at = lines.next()) {
      breaks.set(at);
      int status = ((RuleBasedBreakIterator) lines).getRuleStatus();
      if (status >= HARD_BREAK && at < key.text().length()) {
        forced.set(at);
      }
    }
  }

  private List<ShapedRun> shape(
      CaseMapping shown, List<ShapeKey.SpanType> spans, List<Itemizer.Item> items) {
    Map<FontFace, Font> open = new HashMap<>();
    List<ShapedRun> runs = new ArrayList<>();
    try (Shaper shaper = Shaper.makeShapeDontWrapOrReorder()) {
      List<FontRun> fontRuns = new ArrayList<>();
      List<BidiRun> bidiRuns = new ArrayList<>();
      List<ScriptRun> scriptRuns = new ArrayList<>();
      List<LanguageRun> languageRuns = new ArrayList<>();
      List<FontFeature> features = new ArrayList<>();
      int from = 0;
      for (Itemizer.Item item : items) {
        Font font = open.computeIfAbsent(item.face(), face -> face.font(SHAPING_SIZE));
        fontRuns.add(new FontRun(item.end(), font));
        bidiRuns.add(new BidiRun(item.end(), item.level()));
        scriptRuns.add(new ScriptRun(item.end(), UScript.getShortName(item.script())));
        ShapeKey.SpanType span = spans.get(item.span());
        languageRuns.add(new LanguageRun(item.end(), span.language()));
        if (span.tracked()) {
          for (String tag : TOUCHING) {
            features.add(new FontFeature(tag, 0, from, item.end()));
          }
        }
        from = item.end();
      }
      ShapingOptions options =
          ShapingOptions.DEFAULT.withFeatures(features.toArray(FontFeature[]::new));
      shaper.shape(
          shown.text(),
          fontRuns.iterator(),
          bidiRuns.iterator(),
          scriptRuns.iterator(),
          languageRuns.iterator(),
          options,
          Float.POSITIVE_INFINITY,
          new Collector(shown, items, runs));
    } finally {
      open.values().forEach(Font::close);
    }
    return runs;
  }

  /** Takes the glyphs as HarfBuzz gives them. */
  private static final class Collector implements RunHandler {
    private final CaseMapping shown;
    private final List<Itemizer.Item> items;
    private final List<ShapedRun> runs;

    Collector(CaseMapping shown, List<Itemizer.Item> items, List<ShapedRun> runs) {
      this.shown = shown;
      this.items = items;
      this.runs = runs;
    }

    @Override
    public void commitRun(RunInfo info, short[] glyphs, Point[] positions, int[] units) {
      Itemizer.Item item = itemAt(info.getRangeBegin());
      if (glyphs.length == 0) {
        return;
      }
      boolean rightToLeft = (item.level() & 1) == 1;
      int[] clusters = clusterStarts(units);
      int count = clusters.length - 1;
      int[] starts = new int[count];
      int[] ends = new int[count];
      float[] advances = new float[count];
      float[] x = new float[glyphs.length];
      float[] y = new float[glyphs.length];
      for (int cluster = 0; cluster < count; cluster++) {
        float origin = positions[clusters[cluster]].getX();
        boolean last = cluster == count - 1;
        float next = last ? info.getAdvanceX() : positions[clusters[cluster + 1]].getX();
        advances[cluster] = (next - origin) / SHAPING_SIZE;
        for (int glyph = clusters[cluster]; glyph < clusters[cluster + 1]; glyph++) {
          x[glyph] = (positions[glyph].getX() - origin) / SHAPING_SIZE;
          y[glyph] = positions[glyph].getY() / SHAPING_SIZE;
        }
        int logicalNext = rightToLeft ? cluster - 1 : cluster + 1;
        int end =
            logicalNext >= 0 && logicalNext < count
                ? units[clusters[logicalNext]]
                : info.getRangeEnd();
        starts[cluster] = shown.source()[units[clusters[cluster]]];
        ends[cluster] = shown.source()[end];
      }
      runs.add(
          new ShapedRun(
              item.span(),
              item.face(),
              item.slanted(),
              item.level(),
              glyphs,
              clusters,
              starts,
              ends,
              advances,
              x,
              y));
    }

    private Itemizer.Item itemAt(int unit) {
      return items.stream().filter(item -> unit < item.end()).findFirst().orElseThrow();
    }

    private static int[] clusterStarts(int[] units) {
      int[] starts = new int[units.length + 1];
      int count = 0;
      for (int glyph = 0; glyph < units.length; glyph++) {
        if (glyph == 0 || units[glyph] != units[glyph - 1]) {
          starts[count++] = glyph;
        }
      }
      starts[count] = units.length;
      return java.util.Arrays.copyOf(starts, count + 1);
    }

    @Override
    public Point runOffset(RunInfo info) {
      return Point.ZERO;
    }

    @Override
    public void beginLine() {}

    @Override
    public void runInfo(RunInfo info) {}

    @Override
    public void commitRunInfo() {}

    @Override
    public void commitLine() {}
  }
}
