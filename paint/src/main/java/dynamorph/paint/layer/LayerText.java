package dynamorph.paint.layer;

import dynamorph.model.cascade.CharacterLook;
import dynamorph.model.cascade.Finish;
import dynamorph.model.cascade.ResolvedLayer;
import dynamorph.model.text.Story;
import dynamorph.model.value.Rgba;
import dynamorph.paint.artwork.TextRun;
import dynamorph.paint.artwork.TextRun.Cluster;
import dynamorph.paint.artwork.TextRun.Glyph;
import dynamorph.typeset.compose.GlyphRun;
import dynamorph.typeset.layout.Line;
import dynamorph.typeset.layout.TextLayout;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.TreeMap;
import java.util.function.Function;

/** The letters of a layout in reading order, each with the words it stands for. */
final class LayerText {
  private static final String SOFT_HYPHEN = "\u00AD";

  private final TextLayout layout;
  private final ResolvedLayer look;
  private final Story story;
  private final Function<Finish, Optional<Rgba>> colours;

  /**
   * A cluster of a run.
   *
   * @param order its first unit in the paragraph; between two of them for what nobody typed
   */
  private record Placed(double order, GlyphRun run, Cluster cluster) {}

  private LayerText(
      TextLayout layout,
      ResolvedLayer look,
      Story story,
      Function<Finish, Optional<Rgba>> colours) {
    this.layout = layout;
    this.look = look;
    this.story = story;
    this.colours = colours;
  }

  /**
   * The letters of a layout.
   *
   * @param colours what letters of a finish are shown in; empty if something else shows them
   */
  static List<TextRun> of(
      TextLayout layout,
      ResolvedLayer look,
      Story story,
      Function<Finish, Optional<Rgba>> colours) {
    LayerText text = new LayerText(layout, look, story, colours);
    List<TextRun> runs = new ArrayList<>();
    for (Line line : layout.shownLines()) {
      text.add(line, runs);
    }
    return List.copyOf(runs);
  }

  private void add(Line line, List<TextRun> runs) {
    List<Placed> clusters = new ArrayList<>();
    for (GlyphRun run : line.runs()) {
      collect(line, run, clusters);
    }
    clusters.sort(Comparator.comparingDouble(Placed::order));
    List<Cluster> same = new ArrayList<>();
    for (int index = 0; index < clusters.size(); index++) {
      same.add(clusters.get(index).cluster);
      boolean isLast = index + 1 == clusters.size();
      GlyphRun run = clusters.get(index).run;
      if (isLast || clusters.get(index + 1).run != run) {
        runs.add(run(line, run, same));
        same.clear();
      }
    }
  }

  private String words(Line line) {
    return story.paragraphs().get(line.paragraph()).text();
  }

  private TextRun run(Line line, GlyphRun run, List<Cluster> clusters) {
    CharacterLook own = look.paragraphs().get(line.paragraph()).spans().get(run.span());
    return new TextRun(
        run.face(),
        run.size(),
        run.stretch(),
        run.skew(),
        new GlyphShape.Placed(run, line).isTurned(),
        colours.apply(own.finish()),
        line.paragraph(),
        own.type().language(),
        clusters);
  }

  private void collect(Line line, GlyphRun run, List<Placed> clusters) {
    Map<Integer, List<Glyph>> byUnit = new TreeMap<>();
    for (int index = 0; index < run.glyphs().length; index++) {
      double along = line.x() + run.x()[index];
      double across = line.baseline() + run.y()[index];
      byUnit
          .computeIfAbsent(run.units()[index], _ -> new ArrayList<>())
          .add(
              new Glyph(
                  run.glyphs()[index] & 0xFFFF,
                  line.axes().x(along, across),
                  line.axes().y(along, across)));
    }
    if (run.starts().length == 0) {
      List<Glyph> glyphs = byUnit.values().stream().flatMap(List::stream).toList();
      if (!glyphs.isEmpty()) {
        clusters.add(new Placed(order(run), run, new Cluster(run.words(), glyphs)));
      }
      return;
    }
    String words = words(line);
    for (int cluster = 0; cluster < run.starts().length; cluster++) {
      int start = Math.min(run.starts()[cluster], words.length());
      int end = Math.clamp(run.ends()[cluster], start, words.length());
      List<Glyph> glyphs = byUnit.remove(run.starts()[cluster]);
      clusters.add(
          new Placed(
              start,
              run,
              new Cluster(words.substring(start, end), glyphs == null ? List.of() : glyphs)));
    }
    // what belongs to no cluster was put behind the line
    byUnit.forEach(
        (unit, glyphs) -> clusters.add(new Placed(unit, run, new Cluster(SOFT_HYPHEN, glyphs))));
  }

  /** Ruby is read behind its letters, bullets and numbers before all. */
  private static double order(GlyphRun run) {
    int behind = run.units()[0];
    return behind == 0 ? -1 : behind - 0.5;
  }
}
