package dynamorph.paint.survey;

import dynamorph.model.Artboard;
import dynamorph.model.Layer;
import dynamorph.model.LengthUnit;
import dynamorph.model.cascade.CharacterLook;
import dynamorph.model.cascade.Plate;
import dynamorph.model.cascade.ResolvedLayer;
import dynamorph.model.survey.Finding;
import dynamorph.model.survey.Spot;
import dynamorph.model.survey.rule.Rule;
import dynamorph.model.survey.rule.RuleSet;
import dynamorph.model.text.TextRange;
import dynamorph.model.value.Numbers;
import dynamorph.model.value.Rgba;
import dynamorph.paint.message.Messages;
import dynamorph.paint.reach.Examination;
import dynamorph.paint.reach.Legibility;
import dynamorph.paint.reach.Problem;
import dynamorph.paint.reach.ReachedText;
import dynamorph.paint.scene.PlacedLayer;
import dynamorph.paint.scene.Scene;
import dynamorph.typeset.layout.Line;
import dynamorph.typeset.survey.River;
import java.util.ArrayList;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.concurrent.ConcurrentHashMap;

/**
 * Finds what is wrong with texts that only shows when they are set and painted. Safe on any thread.
 */
final class SeenFindings {
  /** Of what the size of letters is, the height of most small ones; of usual faces. */
  private static final double X_HEIGHT = 0.5;

  /** Nobody reads from nearer. */
  private static final double NEAREST = 0.4;

  private static final double POINTS_PER_METRE = 72 / 0.0254;

  private static final Map<Problem.Kind, Rule> RULES =
      new EnumMap<>(
          Map.of(
              Problem.Kind.OVERSET, Rule.OVERSET,
              Problem.Kind.MISSING_GLYPHS, Rule.MISSING_GLYPHS,
              Problem.Kind.OFF_ARTBOARD, Rule.OFF_ARTBOARD,
              Problem.Kind.OUT_OF_SAFE_AREA, Rule.OUT_OF_SAFE_AREA));

  private final Examination examination;
  private final Legibility legibility;
  private final RuleSet rules;
  private final Map<Flat, Optional<Legibility.Reading>> flat = new ConcurrentHashMap<>();

  /** Letters of one look on a ground of one colour: where they stand makes no difference. */
  private record Flat(CharacterLook look, Plate plate, Rgba ground, double scale) {}

  SeenFindings(Examination examination, Legibility legibility, RuleSet rules) {
    this.examination = examination;
    this.legibility = legibility;
    this.rules = rules;
  }

  /** What is found on one text, without families that are missing. */
  List<Finding> of(Scene.Found found) {
    List<Finding> findings = new ArrayList<>();
    PlacedLayer text = found.text();
    if (text.words().isBlank()) {
      return findings;
    }
    Optional<ReachedText> glance = examination.glance(text.layer().id());
    for (Problem problem : glance.map(ReachedText::problems).orElse(List.of())) {
      Rule rule = RULES.get(problem.kind());
      if (rule != null) {
        add(findings, rule, text.layer(), problem.detail());
      }
    }
    if (rules.has(Rule.LOW_CONTRAST)) {
      contrast(found).ifPresent(detail -> add(findings, Rule.LOW_CONTRAST, text.layer(), detail));
    }
    if (rules.has(Rule.TOO_SMALL)) {
      tooSmall(found).ifPresent(detail -> add(findings, Rule.TOO_SMALL, text.layer(), detail));
    }
    lines(text, findings);
    if (rules.has(Rule.RIVER)) {
      rivers(text, findings);
    }
    return findings;
  }

  private void add(List<Finding> findings, Rule rule, Layer layer, String detail) {
    add(findings, rule, new Spot.InText(layer.id()), detail);
  }

  private void add(List<Finding> findings, Rule rule, Spot spot, String detail) {
    if (rules.has(rule)) {
      findings.add(
          new Finding(rule, rules.severity(rule), detail, List.of(spot), Optional.empty()));
    }
  }

  // --- contrast -------------------------------------------------------------------------------

  /** The reading of a text; of many that look alike on a plain ground one is painted. */
  private Optional<Legibility.Reading> reading(Scene.Found found) {
    if (found.board().artboard().isFilm()) {
      return painted(found);
    }
    Optional<Legibility.Reading> plain = legibility.plain(found);
    if (plain.isPresent() || !Legibility.liesAlone(found)) {
      return plain.or(() -> painted(found));
    }
    PlacedLayer text = found.text();
    CharacterLook look = text.look().paragraphs().getFirst().spans().getFirst();
    Flat key =
        new Flat(look, text.look().plate(), found.board().background(), text.layout().scale());
    return flat.computeIfAbsent(key, _ -> painted(found));
  }

  private Optional<Legibility.Reading> painted(Scene.Found found) {
    return found.board().artboard().isFilm()
        ? found
            .text()
            .layer()
            .timing()
            .flatMap(own -> legibility.of(found, own.in().plus(own.length().times(1, 2))))
        : legibility.of(found);
  }

  private Optional<String> contrast(Scene.Found found) {
    return reading(found)
        .flatMap(seen -> {
          double wanted = rules.limit(Rule.LOW_CONTRAST, seen.ofLarge() ? "large" : "ratio");
          return seen.contrast() >= wanted
              ? Optional.empty()
              : Optional.of(
                  Messages.of(
                      "seen-findings.contrast",
                      Numbers.format(Math.floor(seen.contrast() * 10) / 10, 1),
                      Numbers.format(wanted, 1)));
        });
  }

  // --- size -----------------------------------------------------------------------------------

  private Optional<String> tooSmall(Scene.Found found) {
    double smallest = Double.POSITIVE_INFINITY;
    for (ResolvedLayer.ResolvedParagraph paragraph : found.text().look().paragraphs()) {
      for (CharacterLook span : paragraph.spans()) {
        smallest = Math.min(smallest, span.type().size());
      }
    }
    double size = smallest * found.text().layout().scale();
    double wanted = leastSize(found.board().artboard());
    return size >= wanted - 1e-6
        ? Optional.empty()
        : Optional.of(
            Messages.of("seen-findings.size", Numbers.format(size, 1), Numbers.format(wanted, 1)));
  }

  /** The least size in points that can be read on an artboard from where it is looked at. */
  private double leastSize(Artboard board) {
    if (board.isFilm()) {
      return rules.limit(Rule.TOO_SMALL, "film-share") * board.height();
    }
    if (board.unit() == LengthUnit.PIXEL) {
      return rules.limit(Rule.TOO_SMALL, "pixels");
    }
    double distance = rules.limit(Rule.TOO_SMALL, "distance");
    double metres =
        distance > 0
            ? distance
            : Math.max(NEAREST, Math.hypot(board.width(), board.height()) / POINTS_PER_METRE);
    double angle = Math.toRadians(rules.limit(Rule.TOO_SMALL, "arc-minutes") / 60);
    return metres * Math.tan(angle) / X_HEIGHT * POINTS_PER_METRE;
  }

  // --- lines ----------------------------------------------------------------------------------

  private void lines(PlacedLayer text, List<Finding> findings) {
    List<Line> lines = text.layout().shownLines();
    int most = (int) rules.limit(Rule.HYPHENS, "most");
    int inRow = 0;
    for (int index = 0; index < lines.size(); index++) {
      Line line = lines.get(index);
      inRow = line.set().isHyphenated() ? inRow + 1 : 0;
      if (inRow == most + 1) {
        add(
            findings,
            Rule.HYPHENS,
            at(text, lines.get(index - most)),
            Messages.of("seen-findings.hyphens", inRow));
      }
      if (index > 0 && line.x() != lines.get(index - 1).x()) {
        parted(text, lines, index, findings);
      }
    }
  }

  private void rivers(PlacedLayer text, List<Finding> findings) {
    List<Line> lines = text.layout().shownLines();
    int most = (int) rules.limit(Rule.RIVER, "lines");
    if (lines.size() < most) {
      return;
    }
    for (River river :
        River.in(lines, text.story().text(), most, rules.limit(Rule.RIVER, "width"))) {
      TextRange range =
          new TextRange(lines.get(river.first()).start(), lines.get(river.last()).end());
      add(
          findings,
          Rule.RIVER,
          new Spot.InText(text.layer().id(), Optional.of(range)),
          Messages.of("seen-findings.river", river.length()));
    }
  }

  /** Looks where one column ends and the next begins. */
  private void parted(PlacedLayer text, List<Line> lines, int index, List<Finding> findings) {
    Line first = lines.get(index);
    Line last = lines.get(index - 1);
    if (first.paragraph() != last.paragraph()) {
      return;
    }
    boolean begins = index == 1 || lines.get(index - 2).paragraph() != last.paragraph();
    if (first.endsParagraph()) {
      add(findings, Rule.WIDOW, at(text, first), Messages.of("seen-findings.widow"));
    } else if (begins) {
      add(findings, Rule.WIDOW, at(text, last), Messages.of("seen-findings.orphan"));
    }
  }

  private static Spot at(PlacedLayer text, Line line) {
    return new Spot.InText(text.layer().id(), Optional.of(new TextRange(line.start(), line.end())));
  }
}
