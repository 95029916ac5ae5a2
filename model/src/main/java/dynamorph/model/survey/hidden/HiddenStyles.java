package dynamorph.model.survey.hidden;

import dynamorph.model.Layer;
import dynamorph.model.Project;
import dynamorph.model.cascade.Cascade;
import dynamorph.model.cascade.Coats;
import dynamorph.model.property.Properties;
import dynamorph.model.property.PropertyKey;
import dynamorph.model.property.PropertySet;
import dynamorph.model.style.Style;
import dynamorph.model.style.StyleId;
import dynamorph.model.style.StyleLevel;
import dynamorph.model.survey.hidden.HiddenStyle.Deviating;
import dynamorph.model.survey.hidden.LookClusters.Cluster;
import dynamorph.model.value.FontSize;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashMap;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;

/**
 * Finds the styles that hide in a project: texts, paragraphs and words that look alike and follow
 * nothing, or follow the same and were changed alike by hand. The pieces are taken apart once; how
 * near is near enough can then be tried at will. One thread at a time.
 */
public final class HiddenStyles {
  /** So many pieces alike are no accident. */
  public static final int USUAL_FEWEST = 3;

  /** An outlier differs in no more values than these. */
  private static final int MOST_DIFFERENCES = 2;

  /** Nor is it larger or smaller by more than this factor. */
  private static final double MOST_SIZE = 1.35;

  /** A ratio of two sizes is told when it is one that people use. */
  private static final double[] RATIOS = {
    0.5, 0.6, 0.618, 0.625, 0.64, 2 / 3.0, 0.7, 0.75, 0.8, 0.875, 0.9, 1.1, 1.125, 1.2, 1.25, 1.333,
    4 / 3.0, 1.4, 1.414, 1.5, 1.6, 1.618, 1.75, 1.8, 2, 2.25, 2.4, 2.5, 3, 3.5, 4, 5, 6, 8
  };

  /** What a style of whole texts or paragraphs says in any case. */
  private static final Set<PropertyKey<?>> CORE =
      Set.of(Properties.FONT_FAMILY.key(), Properties.FONT_WEIGHT.key(), Properties.SIZE.key());

  /** Text that follows nothing, in a project without a base style. */
  private static final PropertySet PLAIN =
      Cascade.of(Project.empty("")).values(Layer.of("plain", "", ""));

  private final Project project;
  private final TextPieces taken;
  private final Cascade cascade;
  private final List<TextPiece> pieces;
  private final LookClusters clusters;

  private HiddenStyles(Project project, TextPieces taken, LookClusters clusters) {
    this.project = project;
    this.taken = taken;
    this.cascade = taken.cascade();
    this.pieces = taken.all();
    this.clusters = clusters;
  }

  /** Takes the texts of a project apart. */
  public static HiddenStyles of(Project project) {
    return new HiddenStyles(
        project, TextPieces.of(project), new LookClusters(project.palette()::colour));
  }

  /**
   * The same for a project that came out of this one's. What is known of texts that did not change
   * is used again; this one is not asked any more.
   */
  public HiddenStyles follow(Project changed) {
    if (changed == project) {
      return this;
    }
    boolean painted = changed.palette() == project.palette();
    return new HiddenStyles(
        changed,
        taken.follow(changed),
        painted ? clusters : new LookClusters(changed.palette()::colour));
  }

  /** How many texts, paragraphs and words follow nothing, or were changed by hand. */
  public int pieces() {
    return pieces.size();
  }

  /** The styles that hide, with the usual fewest pieces. */
  public List<HiddenStyle> within(Tolerance tolerance) {
    return within(tolerance, USUAL_FEWEST);
  }

  /**
   * The styles that hide, those that most would follow first.
   *
   * @param fewest pieces that make a style
   */
  public List<HiddenStyle> within(Tolerance tolerance, int fewest) {
    List<Cluster> large = new ArrayList<>();
    List<TextPiece> single = new ArrayList<>();
    for (Cluster cluster : clusters.of(pieces, tolerance)) {
      if (cluster.pieces().size() < fewest) {
        single.addAll(cluster.pieces());
      } else if (saysSomething(cluster, tolerance)) {
        large.add(cluster);
      }
    }
    large.sort(MOST_FIRST);
    return proposed(large, outliers(large, single, tolerance));
  }

  private static final Comparator<Cluster> MOST_FIRST =
      Comparator.comparingInt((Cluster cluster) -> -cluster.pieces().size())
          .thenComparingInt(cluster -> -cluster.letters())
          .thenComparing(Cluster::described);

  /** What looks like the base style has its style already. */
  private boolean saysSomething(Cluster cluster, Tolerance tolerance) {
    if (cluster.level() == StyleLevel.CHARACTER) {
      return true;
    }
    if (!cluster.followed().isEmpty()) {
      return isBeyondFollowed(cluster, tolerance);
    }
    return cluster.notes().bases().stream().anyMatch(Optional::isEmpty)
        || !differing(cluster, List.of()).isEmpty();
  }

  /** What differs from its style by no more than the tolerance is that style, and no other. */
  private boolean isBeyondFollowed(Cluster cluster, Tolerance tolerance) {
    PropertySet followed = cascade.values(project.styles().get(cluster.followed().getLast()));
    PropertySet same = followed.where(cluster.centre()::has);
    return !LookSpace.beyond(cluster.centre(), same, cascade::colour, tolerance).isEmpty();
  }

  // --- outliers -------------------------------------------------------------------------------

  /** Each piece that is alone goes to the style that it deviates from least, if there is one. */
  private Map<Cluster, List<TextPiece>> outliers(
      List<Cluster> large, List<TextPiece> single, Tolerance tolerance) {
    Map<Cluster, List<TextPiece>> outliers = new HashMap<>();
    Map<PropertySet, Map<List<Object>, Optional<Cluster>>> known = new HashMap<>();
    for (TextPiece piece : single) {
      if (piece.level() != StyleLevel.CHARACTER) {
        known
            .computeIfAbsent(piece.look(), _ -> new HashMap<>())
            .computeIfAbsent(
                List.of(piece.level(), piece.follows()), _ -> home(piece, large, tolerance))
            .ifPresent(home -> outliers.computeIfAbsent(home, _ -> new ArrayList<>()).add(piece));
      }
    }
    return outliers;
  }

  private Optional<Cluster> home(TextPiece piece, List<Cluster> large, Tolerance tolerance) {
    Optional<Cluster> home = Optional.empty();
    int fewest = MOST_DIFFERENCES + 1;
    for (Cluster cluster : large) {
      if (cluster.level() == piece.level()
          && cluster.followed().equals(piece.follows())
          && isOfOneKind(cluster.centre(), piece.look())) {
        int beyond =
            LookSpace.beyond(cluster.centre(), piece.look(), cascade::colour, tolerance).size();
        if (beyond < fewest) {
          fewest = beyond;
          home = Optional.of(cluster);
        }
      }
    }
    return home;
  }

  private static boolean isOfOneKind(PropertySet one, PropertySet other) {
    double first = size(one);
    double second = size(other);
    return one.get(Properties.FONT_FAMILY.key()).equals(other.get(Properties.FONT_FAMILY.key()))
        && Math.max(first, second) <= MOST_SIZE * Math.min(first, second);
  }

  private static double size(PropertySet values) {
    return Coats.value(values, Properties.SIZE.key()).over(0);
  }

  // --- proposals ------------------------------------------------------------------------------

  private List<HiddenStyle> proposed(List<Cluster> large, Map<Cluster, List<TextPiece>> outliers) {
    StyleWords words = new StyleWords(project, taken.body());
    Set<StyleId> ids = new HashSet<>();
    Map<Cluster, Style> styles = new LinkedHashMap<>();
    Optional<Cluster> body = body(large);
    List<Cluster> order = new ArrayList<>(large);
    body.ifPresent(first -> {
      order.remove(first);
      order.addFirst(first);
    });
    Map<Cluster, String> names = new HashMap<>();
    large.forEach(cluster -> names.put(cluster, words.name(cluster)));
    for (Cluster cluster : order) {
      Optional<Style> base =
          body.filter(one -> one != cluster && isDerived(cluster, one)).map(styles::get);
      String name = java.util.Objects.requireNonNull(names.get(cluster));
      StyleId id = id(name, ids);
      Optional<PropertySet> under = base.map(_ -> body.orElseThrow().centre());
      styles.put(
          cluster,
          cluster
              .notes()
              .style(
                  List.of(id, name, base, under, cascade),
                  () -> style(cluster, id, name, base, under)));
    }
    return large.stream()
        .map(cluster -> hidden(cluster, styles, outliers.getOrDefault(cluster, List.of())))
        .toList();
  }

  /** The style of most letters, which the others are compared with. */
  private static Optional<Cluster> body(List<Cluster> large) {
    return large.stream()
        .filter(cluster -> cluster.level() == StyleLevel.TEXT && cluster.followed().isEmpty())
        .max(Comparator.comparingInt(Cluster::letters));
  }

  /** A style in the same face goes with the body. */
  private static boolean isDerived(Cluster cluster, Cluster body) {
    return cluster.level() == StyleLevel.TEXT
        && cluster.followed().isEmpty()
        && cluster
            .centre()
            .get(Properties.FONT_FAMILY.key())
            .equals(body.centre().get(Properties.FONT_FAMILY.key()));
  }

  private Style style(
      Cluster cluster,
      StyleId id,
      String name,
      Optional<Style> base,
      Optional<PropertySet> baseValues) {
    Optional<StyleId> followed = cluster.followed().reversed().stream().findFirst();
    PropertySet values;
    if (base.isPresent()) {
      PropertySet under = baseValues.orElseThrow();
      values = cluster.centre().where(key -> Coats.differ(key, cluster.centre(), under));
      values = withRatio(values, size(under));
    } else {
      Set<PropertyKey<?>> differing = differing(cluster, cluster.followed());
      boolean core = followed.isEmpty() && cluster.level() != StyleLevel.CHARACTER;
      values = cluster.centre().where(key -> differing.contains(key) || core && CORE.contains(key));
    }
    return new Style(
        id,
        name,
        followed.map(project.styles()::get).map(Style::group).orElse(""),
        cluster.level(),
        base.map(Style::id).or(() -> followed),
        values,
        cluster.notes().sample());
  }

  /** A size that is a plain multiple of the base's is written so, if it is that to the last bit. */
  private static PropertySet withRatio(PropertySet values, double base) {
    Optional<FontSize> size = values.get(Properties.SIZE.key());
    if (size.isPresent()) {
      for (double ratio : RATIOS) {
        FontSize times = new FontSize.Times(ratio);
        if (times.over(base) == size.get().over(0)) {
          return values.with(Properties.SIZE, times);
        }
      }
    }
    return values;
  }

  /** The keys in which a look differs from what any of its pieces would have without it. */
  private Set<PropertyKey<?>> differing(Cluster cluster, List<StyleId> followed) {
    if (cluster.level() == StyleLevel.CHARACTER) {
      return cluster.centre().keys();
    }
    List<PropertySet> plain = new ArrayList<>();
    if (!followed.isEmpty()) {
      plain.add(cascade.values(project.styles().get(followed.getLast())));
    } else {
      for (Optional<StyleId> base : cluster.notes().bases()) {
        plain.add(base.map(project.styles()::get).map(cascade::values).orElse(PLAIN));
      }
    }
    Set<PropertyKey<?>> differing = new LinkedHashSet<>();
    for (PropertySet under : plain) {
      Set<PropertyKey<?>> keys = new LinkedHashSet<>(cluster.centre().keys());
      keys.removeIf(key -> !Coats.differ(key, cluster.centre(), under));
      differing.addAll(keys);
    }
    return differing;
  }

  /** An id that is the same whenever the same is found. */
  private StyleId id(String name, Set<StyleId> taken) {
    String stem = StyleId.stem(name, "style");
    StyleId id = new StyleId(stem);
    for (int number = 2; project.styles().find(id).isPresent() || taken.contains(id); number++) {
      id = new StyleId(stem + "-" + number);
    }
    taken.add(id);
    return id;
  }

  private HiddenStyle hidden(
      Cluster cluster, Map<Cluster, Style> styles, List<TextPiece> outliers) {
    Style style = java.util.Objects.requireNonNull(styles.get(cluster));
    ClusterNotes notes = cluster.notes();
    List<Deviating> far =
        outliers.stream()
            .map(piece -> new Deviating(piece.member(), notes.differences(piece.look())))
            .toList();
    List<Style> beside =
        style
            .basedOn()
            .flatMap(id -> styles.values().stream().filter(one -> one.id().equals(id)).findFirst())
            .map(List::of)
            .orElse(List.of());
    return new HiddenStyle(style, beside, notes.equal(), notes.near(), far, cluster.letters());
  }
}
