package dynamorph.typeset.layout;

import com.github.benmanes.caffeine.cache.Cache;
import com.github.benmanes.caffeine.cache.Caffeine;
import dynamorph.model.cascade.FontRequest;
import dynamorph.model.cascade.ResolvedLayer;
import dynamorph.model.cascade.TypeLook;
import dynamorph.model.text.Story;
import dynamorph.model.value.BoxFit;
import dynamorph.model.value.WritingMode;
import dynamorph.typeset.compose.ComposedLine;
import dynamorph.typeset.compose.ComposedParagraph;
import dynamorph.typeset.compose.ListMarks;
import dynamorph.typeset.compose.ParagraphComposer;
import dynamorph.typeset.compose.ParagraphKey;
import dynamorph.typeset.font.FontLibrary;
import dynamorph.typeset.font.OpticalSizes;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.TreeSet;

/**
 * Sets stories into lines. Remembers paragraphs and whole layouts, so that what did not change is
 * not set again; a change of colour, coats or place sets nothing. Safe on any thread.
 */
public final class Typesetter {
  /** Units of text kept in layouts. */
  private static final long LAID_OUT_UNITS = 1_000_000;

  private final ParagraphComposer composer;
  private final OpticalSizes opticalSizes;
  private final Cache<LayoutKey, TextLayout> layouts =
      Caffeine.newBuilder()
          .executor(Runnable::run)
          .maximumWeight(LAID_OUT_UNITS)
          .weigher((LayoutKey key, TextLayout _) -> weight(key))
          .build();

  public Typesetter(FontLibrary fonts) {
    this.composer = new ParagraphComposer(fonts);
    this.opticalSizes = new OpticalSizes(fonts);
  }

  /** What makes the lines of paragraphs. */
  public ParagraphComposer composer() {
    return composer;
  }

  /**
   * Sets a story.
   *
   * @param resolved the resolved look of the layer that the story stands in
   */
  public TextLayout layout(Story story, ResolvedLayer resolved) {
    return layout(story, resolved, true);
  }

  /**
   * Sets a story.
   *
   * @param fallback whether letters that a face lacks are taken from another
   */
  public TextLayout layout(Story story, ResolvedLayer resolved, boolean fallback) {
    return layouts.get(LayoutKey.of(story, resolved, fallback, this::sized), this::set);
  }

  /**
   * Sets what one of several boxes has of a story that flows through them.
   *
   * @param resolved the look of the story in the place of the box
   * @param from first unit that is set; beyond the end of the story nothing is left for the box
   * @param onward whether another box follows; then what finds no room in a fixed box is left to it
   *     instead of being overset
   */
  public TextLayout layout(Story story, ResolvedLayer resolved, int from, boolean onward) {
    LayoutKey key = LayoutKey.of(story, resolved, true, this::sized);
    return layouts.get(key.part(Math.min(from, story.length()), onward), this::set);
  }

  private TypeLook sized(TypeLook look) {
    FontRequest sized = opticalSizes.sized(look.font(), look.size());
    return sized == look.font() ? look : look.withFont(sized);
  }

  /** What the paragraphs of a story are set from, but for optical sizes. */
  public static List<ParagraphKey> paragraphs(Story story, ResolvedLayer resolved) {
    return LayoutKey.of(story, resolved, true, look -> look).paragraphs();
  }

  private static int weight(LayoutKey key) {
    return key.paragraphs().stream().mapToInt(paragraph -> paragraph.text().length() + 16).sum();
  }

  private TextLayout set(LayoutKey key) {
    return key.fit() == BoxFit.SHRINK && !key.onward() ? shrunk(key) : set(key, 1);
  }

  /** The largest size, in whole percents, at which the text fits its box; the least one if none. */
  private TextLayout shrunk(LayoutKey key) {
    TextLayout full = set(key, 1);
    if (full.overset().isEmpty()) {
      return full;
    }
    int low = (int) Math.ceil(key.inside().shrinkTo() * 100);
    int high = 99;
    TextLayout best = null;
    while (low <= high) {
      int middle = (low + high + 1) / 2;
      TextLayout tried = set(key.scaled(middle / 100.0), middle / 100.0);
      if (tried.overset().isEmpty()) {
        best = tried;
        low = middle + 1;
      } else {
        high = middle - 1;
      }
    }
    double least = key.inside().shrinkTo();
    return best != null ? best : set(key.scaled(least), least);
  }

  private TextLayout set(LayoutKey key, double scale) {
    int first = firstParagraph(key);
    List<ComposedParagraph> composed = composed(key, first);
    Set<String> missingFamilies = new TreeSet<>();
    Set<Integer> missingGlyphs = new TreeSet<>();
    for (ComposedParagraph paragraph : composed) {
      missingFamilies.addAll(paragraph.shaped().missingFamilies());
      missingGlyphs.addAll(paragraph.missingGlyphs());
    }
    double width = key.isPoint() ? widest(key, first, composed) : key.measure();
    List<ComposedParagraph> inWidth = key.isPoint() ? composed(key, first, width) : composed;
    Columns columns = new Columns(key.paragraphs(), first, inWidth, key.inside(), width);
    boolean high = key.isHigh();
    double height = high ? key.depth() : Double.POSITIVE_INFINITY;
    Columns.Stack stack =
        key.fit() == BoxFit.GROW ? columns.balanced() : columns.stack(height, key.onward());
    List<Line> lines = high ? columns.aligned(stack, height) : stack.lines();
    double shownHeight = high ? height : stack.bottom();
    Optional<Overset> overset = key.isPoint() ? Optional.empty() : overset(stack, lines, height);
    WritingMode mode = key.inside().mode();
    if (!mode.isVertical()) {
      return new TextLayout(
          lines, width, shownHeight, scale, overset, stack.rest(), missingFamilies, missingGlyphs);
    }
    LineAxes axes = new LineAxes(mode, shownHeight);
    return new TextLayout(
        lines.stream().map(line -> line.in(axes)).toList(),
        shownHeight,
        width,
        scale,
        overset,
        stack.rest(),
        missingFamilies,
        missingGlyphs);
  }

  /** The paragraph that the first unit of a box lies in. */
  private static int firstParagraph(LayoutKey key) {
    int start = 0;
    for (int index = 0; index < key.paragraphs().size(); index++) {
      start += key.paragraphs().get(index).text().length() + 1;
      if (key.from() < start) {
        return index;
      }
    }
    return key.paragraphs().size() - 1;
  }

  private static int startOf(LayoutKey key, int paragraph) {
    return key.paragraphs().subList(0, paragraph).stream()
        .mapToInt(before -> before.text().length() + 1)
        .sum();
  }

  private List<ComposedParagraph> composed(LayoutKey key, int first) {
    return key.isPoint()
        ? composed(key, first, 0)
        : composed(key, first, key.inside().columnWidth(key.measure()));
  }

  private List<ComposedParagraph> composed(LayoutKey key, int first, double width) {
    List<ComposedParagraph> composed = new ArrayList<>(key.paragraphs().size() - first);
    int cut = key.from() == 0 ? 0 : key.from() - startOf(key, first);
    double room = key.onward() ? key.depth() * key.inside().columns() : Double.POSITIVE_INFINITY;
    int place = 0;
    for (int index = 0; index < key.paragraphs().size(); index++) {
      ParagraphKey paragraph = key.paragraphs().get(index);
      boolean goesOn =
          index > 0
              && paragraph
                  .settings()
                  .list()
                  .countsOn(key.paragraphs().get(index - 1).settings().list());
      place = goesOn ? place + 1 : 0;
      if (index < first) {
        continue;
      }
      String mark = ListMarks.of(paragraph.settings().list(), place);
      double measure = key.isPoint() ? Double.POSITIVE_INFINITY : width;
      ParagraphKey set = index == first && cut > 0 ? paragraph.from(cut) : paragraph;
      ComposedParagraph lines = composer.compose(set, measure, width, mark);
      composed.add(lines);
      // what is left to later boxes need not be set for this one
      for (ComposedLine line : lines.lines()) {
        room -= line.leading();
      }
      if (room < -key.inside().columns() * paragraph.first().leading()) {
        break;
      }
    }
    return composed;
  }

  /** The width that the lines of point text take, indents included. */
  private static double widest(LayoutKey key, int first, List<ComposedParagraph> composed) {
    double widest = 0;
    for (int index = 0; index < composed.size(); index++) {
      double end = key.paragraphs().get(first + index).settings().indents().end();
      for (var line : composed.get(index).lines()) {
        widest = Math.max(widest, line.needed() + end);
      }
    }
    return widest;
  }

  private static Optional<Overset> overset(Columns.Stack stack, List<Line> lines, double height) {
    boolean tooWide = lines.stream().anyMatch(line -> line.set().tooWide());
    // where nothing is written nothing is lost, however low the box: a shape has no words
    if (lines.stream().allMatch(line -> line.start() == line.end())) {
      return Optional.empty();
    }
    boolean low = lines.getFirst().bottom() > height + Columns.SLACK;
    if (stack.hidden() == 0 && !tooWide && !low) {
      return Optional.empty();
    }
    List<Line> hidden = lines.subList(lines.size() - stack.hidden(), lines.size());
    int units = hidden.stream().mapToInt(line -> line.end() - line.start()).sum();
    return Optional.of(new Overset(stack.hidden(), units, tooWide));
  }
}
