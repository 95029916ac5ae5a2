package dynamorph.typeset.shape;

import static java.util.Objects.requireNonNull;

import com.ibm.icu.lang.UScript;
import com.ibm.icu.text.Bidi;
import com.ibm.icu.text.BreakIterator;
import com.ibm.icu.text.RuleBasedBreakIterator;
import com.ibm.icu.util.ULocale;
import dynamorph.model.value.PunctuationSpacing;
import dynamorph.model.value.TextDirection;
import dynamorph.typeset.font.FontLibrary;
import dynamorph.typeset.harfbuzz.HarfBuzzShaper;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.BitSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.TreeSet;
import java.util.concurrent.ConcurrentHashMap;

/**
 * Shapes paragraphs. Bidi levels after UAX #9 and line-break opportunities after UAX #14, both by
 * ICU; glyphs by HarfBuzz. Safe on any thread: each call has a shaper of its own.
 */
public final class ParagraphShaper {
  /** The rule status from which ICU reports a line break that must be taken (ULineBreakTag). */
  private static final int HARD_BREAK = 100;

  private final FontLibrary fonts;
  private final OpticalKerning optical = new OpticalKerning();
  private final WordShaper words = new WordShaper();
  private final Map<String, BreakIterator> iterators = new ConcurrentHashMap<>();

  public ParagraphShaper(FontLibrary fonts) {
    this.fonts = fonts;
  }

  /** Shapes a paragraph. */
  public ShapedParagraph shape(ShapeKey key) {
    List<ShapePlan> treatments = treatments(key);
    CaseMapping shown = CaseMapping.of(key.text(), key.spans(), treatments);
    Optional<Bidi> bidi = bidi(shown.text(), key.flow().direction());
    Set<String> missingFamilies = new TreeSet<>();
    Set<Integer> missingGlyphs = new TreeSet<>();
    List<Itemizer.Item> items =
        new Itemizer(fonts, key.flow(), missingFamilies, missingGlyphs)
            .items(shown, key.spans(), treatments, bidi);
    List<ShapedRun> runs = items.isEmpty() ? List.of() : shape(key, shown, treatments, items);
    BitSet breaks = new BitSet();
    BitSet forced = new BitSet();
    findBreaks(key, breaks, forced);
    if (key.flow().vertical()) {
      keepTogether(runs, breaks);
    }
    // levels are asked for by typed units when lines are cut, so they are taken from the typed text
    Optional<Bidi> typed =
        bidi.isEmpty() || shown.text().equals(key.text())
            ? bidi
            : bidi(key.text(), key.flow().direction());
    return new ShapedParagraph(
        key,
        List.copyOf(runs),
        breaks,
        forced,
        unsafe(runs),
        typed,
        typed.map(levels -> (levels.getParaLevel() & 1) == 1).orElse(false),
        missingFamilies,
        missingGlyphs);
  }

  /** What is set across a vertical line is not divided. */
  private static void keepTogether(List<ShapedRun> runs, BitSet breaks) {
    for (ShapedRun run : runs) {
      for (int cluster = 0; run.isUpright() && cluster < run.clusterCount(); cluster++) {
        if (run.ends()[cluster] > run.starts()[cluster] + 1) {
          breaks.clear(run.starts()[cluster] + 1, run.ends()[cluster]);
        }
      }
    }
  }

  private static BitSet unsafe(List<ShapedRun> runs) {
    BitSet unsafe = new BitSet();
    for (ShapedRun run : runs) {
      for (int cluster = 0; cluster < run.clusterCount(); cluster++) {
        int start = run.starts()[cluster];
        unsafe.set(start, start > 0 && run.unsafe().get(cluster));
        if (run.ends()[cluster] > start + 1) {
          unsafe.set(start + 1, run.ends()[cluster]);
        }
      }
    }
    return unsafe;
  }

  private List<ShapePlan> treatments(ShapeKey key) {
    List<ShapePlan> treatments = new ArrayList<>(key.spans().size());
    int from = 0;
    for (ShapeKey.SpanType span : key.spans()) {
      String words = key.text().substring(from, from + span.length());
      treatments.add(ShapePlan.of(fonts, words, span));
      from += span.length();
    }
    return treatments;
  }

  /**
   * The levels of a paragraph whose direction its first strong letter decides, unless it is given;
   * empty if all is left to right.
   */
  private static Optional<Bidi> bidi(String text, TextDirection direction) {
    char[] units = text.toCharArray();
    boolean plain = !Bidi.requiresBidi(units, 0, units.length);
    if (plain && direction != TextDirection.RIGHT_TO_LEFT) {
      return Optional.empty();
    }
    Bidi bidi = new Bidi();
    byte level =
        switch (direction) {
          case AUTOMATIC -> Bidi.LEVEL_DEFAULT_LTR;
          case LEFT_TO_RIGHT -> 0;
          case RIGHT_TO_LEFT -> 1;
        };
    bidi.setPara(units, level, null);
    return Optional.of(bidi);
  }

  private void findBreaks(ShapeKey key, BitSet breaks, BitSet forced) {
    if (key.text().isEmpty()) {
      return;
    }
    // an iterator costs more to make than a paragraph to break, so each call copies a known one
    String language = key.spans().getFirst().language();
    String strictness =
        switch (key.flow().breaks()) {
          case LOOSE -> "loose";
          case NORMAL -> "normal";
          case STRICT -> "strict";
        };
    RuleBasedBreakIterator lines =
        (RuleBasedBreakIterator)
            iterators
                .computeIfAbsent(
                    language + "-u-lb-" + strictness,
                    _ -> BreakIterator.getLineInstance(locale(language, strictness)))
                .clone();
    lines.setText(key.text());
    for (int at = lines.next(); at != BreakIterator.DONE; at = lines.next()) {
      breaks.set(at);
      if (at < key.text().length() && lines.getRuleStatus() >= HARD_BREAK) {
        forced.set(at);
      }
    }
  }

  /**
   * Strictness is a matter of Chinese and Japanese; in other languages the default rules are the
   * strict ones, and asking for them by name would change how they treat some signs.
   */
  private static ULocale locale(String language, String strictness) {
    ULocale plain = ULocale.forLanguageTag(language);
    boolean eastAsian = Set.of("ja", "zh", "ko").contains(plain.getLanguage());
    return eastAsian
        ? new ULocale.Builder().setLocale(plain).setUnicodeLocaleKeyword("lb", strictness).build()
        : plain;
  }

  private List<ShapedRun> shape(
      ShapeKey key, CaseMapping shown, List<ShapePlan> treatments, List<Itemizer.Item> items) {
    List<ShapedRun> runs = new ArrayList<>(items.size());
    int[] spanEnds = key.spans().stream().mapToInt(ShapeKey.SpanType::length).toArray();
    Arrays.parallelPrefix(spanEnds, Integer::sum);
    try (HarfBuzzShaper shaper = new HarfBuzzShaper()) {
      String text = Invisibles.forShaping(shown.text(), items);
      shaper.text(text);
      int from = 0;
      List<HarfBuzzShaper.Feature> features = List.of();
      ShapePlan last = null;
      Itemizer.Item before = items.getFirst();
      for (Itemizer.Item item : items) {
        ShapePlan treatment = treatments.get(item.span());
        if (treatment != last || item.script() != before.script() || item.face() != before.face()) {
          features =
              treatment.features(item.face(), item.script()).entrySet().stream()
                  .map(feature ->
                      new HarfBuzzShaper.Feature(
                          feature.getKey(), feature.getValue(), 0, Integer.MAX_VALUE))
                  .toList();
          last = treatment;
        }
        RunCollector collector = new RunCollector(shown, item, treatment, optical);
        String language = key.spans().get(item.span()).language();
        if (words.suits(text, from, item, features)) {
          words.shape(shaper, text, from, item, language, features, collector);
        } else {
          shape(shaper, from, item, language, features, collector);
        }
        ShapedRun run = collector.run();
        if (run != null && spanEnds.length == 1) {
          runs.add(run);
        } else if (run != null) {
          SpanCuts cuts = new SpanCuts(spanEnds, run);
          List<HarfBuzzShaper.Feature> apart = cuts.apart(shown);
          if (!apart.isEmpty()) {
            RunCollector again = new RunCollector(shown, item, treatment, optical);
            List<HarfBuzzShaper.Feature> all = new ArrayList<>(features);
            all.addAll(apart);
            shape(shaper, from, item, language, all, again);
            cuts = new SpanCuts(spanEnds, requireNonNull(again.run()));
          }
          runs.addAll(cuts.runs());
        }
        before = item;
        from = item.end();
      }
    }
    List<ShapedRun> trimmed =
        key.flow().punctuation() == PunctuationSpacing.FULL_WIDTH
            ? runs
            : FullWidthSigns.trimmed(runs, key);
    return key.flow().scriptSpacing() ? ScriptSpacing.added(trimmed, key.text()) : trimmed;
  }

  private static void shape(
      HarfBuzzShaper shaper,
      int from,
      Itemizer.Item item,
      String language,
      List<HarfBuzzShaper.Feature> features,
      RunCollector collector) {
    shaper.shape(
        item.face().shaping(),
        from,
        item.end(),
        item.direction(),
        UScript.getShortName(item.script()),
        language,
        features,
        collector);
  }
}
