package dynamorph.model.survey;

import dynamorph.model.Artboard;
import dynamorph.model.Layer;
import dynamorph.model.Project;
import dynamorph.model.edit.style.ReplaceSizes;
import dynamorph.model.message.Messages;
import dynamorph.model.property.Properties;
import dynamorph.model.property.PropertySet;
import dynamorph.model.style.Style;
import dynamorph.model.survey.rule.Rule;
import dynamorph.model.survey.rule.RuleSet;
import dynamorph.model.value.FontSize;
import dynamorph.model.value.Numbers;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.SortedMap;
import java.util.TreeMap;
import java.util.stream.Collectors;

/** Sizes that are nearly the same, and sizes that are nearly a modular scale. */
public final class SizeFindings implements Findings {
  /** Ratios of modular scales: those of the intervals of music, and the golden section. */
  private static final double[] RATIOS = {
    16 / 15.0, 9 / 8.0, 6 / 5.0, 5 / 4.0, 4 / 3.0, Math.sqrt(2), 3 / 2.0, 8 / 5.0, 1.618, 5 / 3.0, 2
  };

  /** Fewer sizes are no scale. */
  private static final int FEWEST = 4;

  /** No size of a scale lies so many steps from its base. */
  private static final int MOST_STEPS = 12;

  /** A size this near to its place on a scale stands there. */
  private static final double ON_SCALE = 0.005;

  private final ArtboardMemory<Map<Double, Set<Spot>>> byHand = new ArtboardMemory<>();
  private List<Map<Double, Set<Spot>>> known = List.of();
  private RuleSet knownRules = RuleSet.USUAL;
  private List<Finding> found = List.of();

  @Override
  public List<Finding> in(Project project, RuleSet rules) {
    Map<Double, Set<Spot>> ofStyles = new LinkedHashMap<>();
    for (Style style : project.styles().list()) {
      note(ofStyles, style.properties(), new Spot.OfStyle(style.id()));
    }
    List<Map<Double, Set<Spot>>> set = new ArrayList<>(List.of(ofStyles));
    set.addAll(byHand.of(project, SizeFindings::byHand));
    if (!set.equals(known) || !rules.equals(knownRules)) {
      known = set;
      knownRules = rules;
      found = found(sizes(set), rules);
    }
    return found;
  }

  private static List<Finding> found(SortedMap<Double, List<Spot>> sizes, RuleSet rules) {
    List<Finding> found = new ArrayList<>();
    if (rules.has(Rule.NEAR_SIZES)) {
      near(sizes, rules, found);
    }
    if (rules.has(Rule.SCALE)) {
      scale(sizes, rules).ifPresent(found::add);
    }
    return found;
  }

  /** The sizes in points that are set anywhere, and where. */
  // a text stands on one artboard, so that no spot comes twice with one size
  private static SortedMap<Double, List<Spot>> sizes(List<Map<Double, Set<Spot>>> set) {
    SortedMap<Double, List<Spot>> sizes = new TreeMap<>();
    for (Map<Double, Set<Spot>> own : set) {
      own.forEach(
          (size, spots) -> sizes.computeIfAbsent(size, _ -> new ArrayList<>()).addAll(spots));
    }
    return sizes;
  }

  private static Map<Double, Set<Spot>> byHand(Artboard board) {
    Map<Double, Set<Spot>> sizes = new LinkedHashMap<>();
    for (Layer layer : board.layers()) {
      if (layer.isText()) {
        layer.locals().forEach(local -> note(sizes, local, new Spot.InText(layer.id())));
      }
    }
    return sizes;
  }

  private static void note(Map<Double, Set<Spot>> sizes, PropertySet values, Spot spot) {
    values
        .get(Properties.SIZE.key())
        .filter(FontSize.Absolute.class::isInstance)
        .ifPresent(
            size -> sizes.computeIfAbsent(size.over(0), _ -> new LinkedHashSet<>()).add(spot));
  }

  private static void near(
      SortedMap<Double, List<Spot>> sizes, RuleSet rules, List<Finding> found) {
    double share = rules.limit(Rule.NEAR_SIZES, "share");
    List<Double> left =
        sizes.entrySet().stream()
            .sorted(
                Comparator.comparingInt((Map.Entry<Double, List<Spot>> of) -> -of.getValue().size())
                    .thenComparing(Map.Entry::getKey))
            .map(Map.Entry::getKey)
            .toList();
    Gathered.around(left, (one, other) -> Math.abs(one - other) / Math.max(one, other), share)
        .forEach((kept, near) -> {
          if (!near.isEmpty()) {
            Map<Double, Double> replaced = new TreeMap<>();
            Set<Spot> spots = new LinkedHashSet<>();
            near.stream()
                .sorted()
                .forEach(size -> {
                  replaced.put(size, kept);
                  spots.addAll(spots(sizes, size));
                });
            found.add(
                new Finding(
                    Rule.NEAR_SIZES,
                    rules.severity(Rule.NEAR_SIZES),
                    Messages.of(
                        "size-findings.beside",
                        list(near.stream().sorted().toList()),
                        Numbers.format(kept, 2)),
                    List.copyOf(spots),
                    Optional.of(
                        new Remedy(
                            Messages.of("size-findings.make", Numbers.format(kept, 2)),
                            new ReplaceSizes(replaced),
                            true))));
          }
        });
  }

  private static List<Spot> spots(Map<Double, List<Spot>> sizes, double size) {
    return sizes.getOrDefault(size, List.of());
  }

  private static String list(java.util.Collection<Double> sizes) {
    return sizes.stream().map(size -> Numbers.format(size, 2)).collect(Collectors.joining(", "));
  }

  /** The scale of the largest ratio that all sizes lie near, if they do not lie on it already. */
  private static Optional<Finding> scale(SortedMap<Double, List<Spot>> sizes, RuleSet rules) {
    double share = rules.limit(Rule.SCALE, "share");
    if (sizes.size() < FEWEST) {
      return Optional.empty();
    }
    double base =
        sizes.keySet().stream()
            .min(Comparator.comparingInt((Double size) -> -spots(sizes, size).size()))
            .orElseThrow();
    for (int index = RATIOS.length - 1; index >= 0; index--) {
      Map<Double, Double> moved = new TreeMap<>();
      double ratio = RATIOS[index];
      boolean fits = 2 * share < Math.log(ratio);
      boolean stands = true;
      for (double size : sizes.keySet()) {
        double step = Math.rint(Math.log(size / base) / Math.log(ratio));
        double place = Math.round(100 * base * Math.pow(ratio, step)) / 100.0;
        double off = Math.abs(size - place) / place;
        fits &= off <= share && Math.abs(step) <= MOST_STEPS;
        stands &= off <= ON_SCALE;
        if (off > ON_SCALE) {
          moved.put(size, place);
        }
      }
      if (fits) {
        return stands ? Optional.empty() : Optional.of(onScale(sizes, rules, base, ratio, moved));
      }
    }
    return Optional.empty();
  }

  private static Finding onScale(
      SortedMap<Double, List<Spot>> sizes,
      RuleSet rules,
      double base,
      double ratio,
      Map<Double, Double> moved) {
    Set<Spot> spots = new LinkedHashSet<>();
    moved.keySet().forEach(size -> spots.addAll(spots(sizes, size)));
    return new Finding(
        Rule.SCALE,
        rules.severity(Rule.SCALE),
        Messages.of(
            "size-findings.scale",
            list(sizes.keySet()),
            Numbers.format(ratio, 3),
            Numbers.format(base, 2),
            list(moved.values())),
        List.copyOf(spots),
        Optional.of(
            new Remedy(Messages.of("size-findings.put-on"), new ReplaceSizes(moved), true)));
  }
}
