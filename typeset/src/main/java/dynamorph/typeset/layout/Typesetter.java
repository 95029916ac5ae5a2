package dynamorph.typeset.layout;

import com.github.benmanes.caffeine.cache.Cache;
import com.github.benmanes.caffeine.cache.Caffeine;
import dynamorph.model.cascade.ResolvedLayer;
import dynamorph.model.text.Story;
import dynamorph.model.value.BoxFit;
import dynamorph.typeset.font.FontLibrary;
import dynamorph.typeset.shape.ParagraphShaper;
import dynamorph.typeset.shape.ShapeKey;
import dynamorph.typeset.shape.ShapedParagraph;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.TreeSet;

/**
 * Sets stories into lines. Remembers shaped paragraphs and whole layouts, so that what did not
 * change is not set again; a change of colour, coats or place sets nothing. Safe on any thread.
 */
public final class Typesetter {
  /** Units of text kept shaped: some 300 pages, about 60 MB. */
  private static final long SHAPED_UNITS = 1_000_000;

  /** Units of text kept in layouts. */
  private static final long LAID_OUT_UNITS = 1_000_000;

  private final ParagraphShaper shaper;
  private final Cache<ShapeKey, ShapedParagraph> shaped =
      Caffeine.newBuilder()
          .maximumWeight(SHAPED_UNITS)
          .weigher((ShapeKey key, ShapedParagraph _) -> key.text().length() + 16)
          .build();
  private final Cache<LayoutKey, TextLayout> layouts =
      Caffeine.newBuilder()
          .maximumWeight(LAID_OUT_UNITS)
          .weigher((LayoutKey key, TextLayout _) -> weight(key))
          .build();

  public Typesetter(FontLibrary fonts) {
    this.shaper = new ParagraphShaper(fonts);
  }

  /**
   * Sets a story.
   *
   * @param resolved the resolved look of the layer that the story stands in
   */
  public TextLayout layout(Story story, ResolvedLayer resolved) {
    return layouts.get(LayoutKey.of(story, resolved), this::set);
  }

  private static int weight(LayoutKey key) {
    return key.paragraphs().stream().mapToInt(paragraph -> paragraph.text().length() + 16).sum();
  }

  private TextLayout set(LayoutKey key) {
    Set<String> missingFamilies = new TreeSet<>();
    Set<Integer> missingGlyphs = new TreeSet<>();
    List<LineSetter> setters = new ArrayList<>();
    int start = 0;
    for (LayoutKey.ParagraphKey paragraph : key.paragraphs()) {
      ShapedParagraph shapedParagraph = shaped.get(paragraph.shapeKey(), shaper::shape);
      missingFamilies.addAll(shapedParagraph.missingFamilies());
      missingGlyphs.addAll(shapedParagraph.missingGlyphs());
      setters.add(
          new LineSetter(
              setters.size(),
              start,
              shapedParagraph,
              paragraph.looks(),
              paragraph.empty(),
              paragraph.settings()));
      start += paragraph.text().length() + 1;
    }
    boolean point = key.fit() == BoxFit.POINT;
    List<List<LineBreaker.Cut>> cuts =
        setters.stream()
            .map(setter -> setter.cut(point ? Double.POSITIVE_INFINITY : key.width()))
            .toList();
    double measure = point ? widest(setters, cuts) : key.width();
    List<Line> lines = stack(key, setters, cuts, measure);
    boolean tooWide = cuts.stream().flatMap(List::stream).anyMatch(LineBreaker.Cut::tooWide);
    double height = key.fit() == BoxFit.FIXED ? key.height() : lines.getLast().bottom();
    Optional<Overset> overset = point ? Optional.empty() : overset(lines, height, tooWide);
    return new TextLayout(lines, measure, height, overset, missingFamilies, missingGlyphs);
  }

  private static double widest(List<LineSetter> setters, List<List<LineBreaker.Cut>> cuts) {
    double widest = 0;
    for (int paragraph = 0; paragraph < setters.size(); paragraph++) {
      LineSetter setter = setters.get(paragraph);
      for (int line = 0; line < cuts.get(paragraph).size(); line++) {
        double width = setter.width(cuts.get(paragraph).get(line)) + setter.indents(line);
        widest = Math.max(widest, width);
      }
    }
    return widest;
  }

  private static List<Line> stack(
      LayoutKey key, List<LineSetter> setters, List<List<LineBreaker.Cut>> cuts, double measure) {
    List<Line> lines = new ArrayList<>();
    double baseline = 0;
    double gap = 0;
    for (int paragraph = 0; paragraph < setters.size(); paragraph++) {
      LineSetter setter = setters.get(paragraph);
      List<LineBreaker.Cut> own = cuts.get(paragraph);
      gap += paragraph == 0 ? 0 : key.paragraphs().get(paragraph).settings().spaceBefore();
      for (int index = 0; index < own.size(); index++) {
        Line line = setter.set(own.get(index), index, measure);
        baseline = lines.isEmpty() ? line.ascent() : baseline + gap + setter.leading(line);
        gap = 0;
        lines.add(line.movedDown(baseline));
      }
      gap = key.paragraphs().get(paragraph).settings().spaceAfter();
    }
    return lines;
  }

  /** How far below a fixed box a line may reach before it counts as hidden, in points. */
  private static final double SLACK = 0.01;

  private static Optional<Overset> overset(List<Line> lines, double height, boolean tooWide) {
    List<Line> below = lines.stream().filter(line -> line.bottom() > height + SLACK).toList();
    if (below.isEmpty() && !tooWide) {
      return Optional.empty();
    }
    // a box that is too low for anything still shows its first line, or the text would seem to be
    // gone
    List<Line> hidden = below.size() == lines.size() ? below.subList(1, below.size()) : below;
    int units = hidden.stream().mapToInt(line -> line.end() - line.start()).sum();
    return Optional.of(new Overset(hidden.size(), units, tooWide));
  }
}
