package dynamorph.model.survey;

import dynamorph.model.Artboard;
import dynamorph.model.Layer;
import dynamorph.model.Project;
import dynamorph.model.edit.Edit;
import dynamorph.model.edit.Recoloured;
import dynamorph.model.edit.style.DeleteSwatch;
import dynamorph.model.edit.style.UseSwatch;
import dynamorph.model.message.Messages;
import dynamorph.model.reach.SwatchUse;
import dynamorph.model.style.Swatch;
import dynamorph.model.survey.rule.Rule;
import dynamorph.model.survey.rule.RuleSet;
import dynamorph.model.value.Colour;
import dynamorph.model.value.ColourDifference;
import dynamorph.model.value.Numbers;
import dynamorph.model.value.Rgba;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.TreeMap;
import java.util.function.UnaryOperator;
import java.util.stream.Collectors;

/** Swatches that are nearly the same or unused, and colours that are nearly a swatch. */
public final class ColourFindings implements Findings {
  /**
   * The colours of one artboard.
   *
   * @param literals those that are written out, by their value
   * @param swatches how many layers name each swatch
   */
  private record Painted(Map<Integer, Set<Spot>> literals, Map<String, Integer> swatches) {}

  private final ArtboardMemory<Painted> byHand = new ArtboardMemory<>();

  @Override
  public List<Finding> in(Project project, RuleSet rules) {
    List<Finding> found = new ArrayList<>();
    if (project.palette().swatches().isEmpty()) {
      return found;
    }
    List<Painted> boards = byHand.of(project, ColourFindings::painted);
    Map<String, SwatchUse> uses =
        SwatchUse.of(project, boards.stream().map(Painted::swatches).toList());
    if (rules.has(Rule.NEAR_SWATCHES)) {
      near(project, uses, rules, found);
    }
    if (rules.has(Rule.LOOSE_COLOUR)) {
      loose(project, literals(project, boards), rules, found);
    }
    if (rules.has(Rule.UNUSED_SWATCH)) {
      for (Swatch swatch : project.palette().swatches()) {
        if (uses(uses, swatch) == 0) {
          found.add(
              new Finding(
                  Rule.UNUSED_SWATCH,
                  rules.severity(Rule.UNUSED_SWATCH),
                  swatch.name(),
                  List.of(new Spot.OfSwatch(swatch.id())),
                  Optional.of(
                      new Remedy(
                          Messages.of("findings.delete"),
                          new DeleteSwatch(swatch.id(), Optional.empty()),
                          false))));
        }
      }
    }
    return found;
  }

  private static int uses(Map<String, SwatchUse> uses, Swatch swatch) {
    return uses.getOrDefault(swatch.id(), SwatchUse.NONE).all();
  }

  private static void near(
      Project project, Map<String, SwatchUse> uses, RuleSet rules, List<Finding> found) {
    double limit = rules.limit(Rule.NEAR_SWATCHES, "delta-e");
    List<Swatch> left = new ArrayList<>(project.palette().swatches());
    left.sort(
        Comparator.comparingInt((Swatch swatch) -> -uses(uses, swatch))
            .thenComparing(Swatch::name));
    Gathered.around(left, (one, other) -> distance(one.colour(), other.colour()), limit)
        .forEach((kept, near) -> {
          if (!near.isEmpty()) {
            found.add(nearOnes(rules, kept, near));
          }
        });
  }

  private static Finding nearOnes(RuleSet rules, Swatch kept, List<Swatch> near) {
    List<Swatch> all = new ArrayList<>(List.of(kept));
    all.addAll(near);
    String label = Messages.of("colour-findings.replace-by", kept.name());
    Edit[] edits =
        near.stream()
            .map(swatch -> new DeleteSwatch(swatch.id(), Optional.of(kept.id())))
            .toArray(Edit[]::new);
    double most =
        near.stream()
            .mapToDouble(swatch -> ColourDifference.between(kept.colour(), swatch.colour()))
            .max()
            .orElse(0);
    return new Finding(
        Rule.NEAR_SWATCHES,
        rules.severity(Rule.NEAR_SWATCHES),
        Messages.of(
            "colour-findings.differ-by",
            all.stream().map(Swatch::name).collect(Collectors.joining(", ")),
            Numbers.format(most, 1)),
        all.stream().<Spot>map(swatch -> new Spot.OfSwatch(swatch.id())).toList(),
        Optional.of(new Remedy(label, Edit.together(label, edits), most > 0)));
  }

  private static boolean isNear(Rgba one, Rgba other, double limit) {
    return distance(one, other) <= limit;
  }

  /** Colours of which one lets more through are not nearly the same. */
  private static double distance(Rgba one, Rgba other) {
    return one.alpha() == other.alpha()
        ? ColourDifference.between(one, other)
        : Double.POSITIVE_INFINITY;
  }

  // --- colours that are no swatch -------------------------------------------------------------

  private static void loose(
      Project project, Map<Integer, List<Spot>> literals, RuleSet rules, List<Finding> found) {
    double limit = rules.limit(Rule.LOOSE_COLOUR, "delta-e");
    literals.forEach((argb, spots) -> {
      Rgba colour = new Rgba(argb);
      project.palette().swatches().stream()
          .filter(swatch -> isNear(swatch.colour(), colour, limit))
          .min(
              Comparator.comparingDouble(
                  swatch -> ColourDifference.between(swatch.colour(), colour)))
          .ifPresent(swatch -> found.add(looseOne(rules, colour, swatch, spots)));
    });
  }

  private static Finding looseOne(RuleSet rules, Rgba colour, Swatch swatch, List<Spot> spots) {
    double off = ColourDifference.between(swatch.colour(), colour);
    return new Finding(
        Rule.LOOSE_COLOUR,
        rules.severity(Rule.LOOSE_COLOUR),
        off == 0
            ? Messages.of("colour-findings.is-the-swatch", colour, swatch.name())
            : Messages.of(
                "colour-findings.is-nearly-the-swatch",
                colour,
                swatch.name(),
                Numbers.format(off, 1)),
        spots,
        Optional.of(
            new Remedy(
                Messages.of("colour-findings.use-the-swatch", swatch.name()),
                new UseSwatch(colour, swatch.id()),
                off > 0)));
  }

  /** The colours that are written out in styles and texts, and where. */
  private static Map<Integer, List<Spot>> literals(Project project, List<Painted> boards) {
    Map<Integer, Set<Spot>> ofStyles = new LinkedHashMap<>();
    for (var style : project.styles().list()) {
      Recoloured.values(style.properties(), noting(ofStyles, new Spot.OfStyle(style.id())));
    }
    List<Map<Integer, Set<Spot>>> all = new ArrayList<>(List.of(ofStyles));
    boards.forEach(board -> all.add(board.literals));
    // a text stands on one artboard, so that no spot comes twice
    Map<Integer, List<Spot>> found = new TreeMap<>();
    for (Map<Integer, Set<Spot>> own : all) {
      own.forEach(
          (argb, spots) -> found.computeIfAbsent(argb, _ -> new ArrayList<>()).addAll(spots));
    }
    return found;
  }

  /** What the layers of an artboard are painted with by hand. */
  private static Painted painted(Artboard board) {
    Map<Integer, Set<Spot>> literals = new LinkedHashMap<>();
    for (Layer layer : board.layers()) {
      if (!layer.local().isEmpty() || layer.story().deviatesInside()) {
        Recoloured.layer(layer, noting(literals, new Spot.InText(layer.id())));
      }
    }
    return new Painted(literals, SwatchUse.byHand(board));
  }

  /** Changes nothing, and writes down what it meets. */
  private static UnaryOperator<Colour> noting(Map<Integer, Set<Spot>> found, Spot spot) {
    return colour -> {
      if (colour instanceof Colour.Literal(Rgba value)) {
        found.computeIfAbsent(value.argb(), _ -> new LinkedHashSet<>()).add(spot);
      }
      return colour;
    };
  }
}
