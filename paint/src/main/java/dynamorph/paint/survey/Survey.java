package dynamorph.paint.survey;

import dynamorph.model.Layer;
import dynamorph.model.Project;
import dynamorph.model.edit.Target;
import dynamorph.model.survey.ColourFindings;
import dynamorph.model.survey.Finding;
import dynamorph.model.survey.Findings;
import dynamorph.model.survey.FinishFindings;
import dynamorph.model.survey.HouseFindings;
import dynamorph.model.survey.SizeFindings;
import dynamorph.model.survey.Spot;
import dynamorph.model.survey.StyleFindings;
import dynamorph.model.survey.hidden.HiddenStyle;
import dynamorph.model.survey.hidden.HiddenStyles;
import dynamorph.model.survey.hidden.Tolerance;
import dynamorph.model.survey.rule.Rule;
import dynamorph.model.survey.rule.RuleSet;
import dynamorph.paint.film.FootagePainter;
import dynamorph.paint.film.MediaSource;
import dynamorph.paint.reach.Examination;
import dynamorph.paint.reach.Legibility;
import dynamorph.paint.scene.PlacedLayer;
import dynamorph.paint.scene.Scene;
import dynamorph.paint.scene.SceneMaker;
import dynamorph.typeset.spelling.Speller;
import dynamorph.typeset.survey.CueFindings;
import dynamorph.typeset.survey.LanguageFindings;
import dynamorph.typeset.survey.WordFindings;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.IdentityHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.TreeMap;
import java.util.concurrent.CompletableFuture;
import java.util.function.BooleanSupplier;
import java.util.function.Consumer;
import java.util.stream.Collectors;

/**
 * Looks through a whole project for what could be in better order. What is known of texts,
 * artboards and styles is used again as long as they stay, so that after a change only what it
 * touched is looked at. One thread at a time.
 */
public final class Survey {
  /** Between two reports on the way. */
  private static final long PAUSE_NANOS = 150_000_000;

  /** Before the first report on the way; most changes are surveyed sooner. */
  private static final long PATIENCE_NANOS = 80_000_000;

  private final List<Findings> quick;
  private final KnownTexts words;
  private final KnownTexts language;
  private final PlacedTexts placed = new PlacedTexts();
  private final MediaSource footage;
  private Optional<HiddenStyles> pieces = Optional.empty();

  /** The families that texts of an artboard ask for and nobody has, by identity. */
  private Map<Scene.Board, Map<String, List<Spot>>> missingOn = new IdentityHashMap<>();

  /**
   * @param footage gives the pictures under films that the project does not carry
   */
  public Survey(Speller speller, MediaSource footage) {
    this.footage = footage;
    this.quick =
        List.of(
            new StyleFindings(),
            new ColourFindings(),
            new SizeFindings(),
            new HouseFindings(),
            new CueFindings(),
            new AssetFindings());
    this.words = new KnownTexts(List.of(new FinishFindings(), new WordFindings()));
    this.language = new KnownTexts(List.of(new LanguageFindings(speller)));
  }

  /**
   * Surveys a project by its own rules.
   *
   * @param tolerance of looks that are taken for one; that of the rules if empty
   */
  public SurveyReport of(Scene scene, SceneMaker maker, Optional<Tolerance> tolerance) {
    return of(scene, maker, scene.project().survey().rules(), tolerance, _ -> {}, () -> false);
  }

  /**
   * Surveys a project.
   *
   * @param soFar is told what is known now and then, on this thread
   * @param isOver whether nobody waits for it any more; then what is known so far comes out
   */
  public SurveyReport of(
      Scene scene,
      SceneMaker maker,
      RuleSet rules,
      Optional<Tolerance> tolerance,
      Consumer<SurveyReport> soFar,
      BooleanSupplier isOver) {
    Project project = scene.project();
    int texts = (int) project.layers().filter(Layer::isText).count();
    Progress progress = new Progress(project, rules, texts, soFar);
    // both need about as long
    CompletableFuture<List<HiddenStyle>> hidden =
        CompletableFuture.supplyAsync(() -> hidden(project, rules, tolerance));
    try {
      for (Findings findings : quick) {
        if (isOver.getAsBoolean()) {
          return progress.report();
        }
        progress.add(findings.in(project, rules));
      }
      progress.add(words.in(scene, rules));
    } finally {
      progress.hidden = hidden.join();
    }
    progress.tell();
    SeenFindings looker =
        new SeenFindings(
            new Examination(Optional.empty(), scene, maker.painter(), footage),
            new Legibility(maker.painter(), FootagePainter.of(project, footage)),
            rules);
    PlacedTexts.SoFar seen = placed.in(scene, rules, looker::of, progress::tell, isOver);
    progress.lookedAt = seen.lookedAt();
    progress.add(seen.findings());
    // reading a dictionary for the first time takes longest
    if (!isOver.getAsBoolean()) {
      progress.add(missingFonts(scene, rules));
      progress.add(language.in(scene, rules));
      progress.lookedAt = texts;
    }
    return progress.report();
  }

  /** What has been found of one state, told now and then. */
  private static final class Progress {
    private final Project project;
    private final RuleSet rules;
    private final int texts;
    private final Consumer<SurveyReport> soFar;
    private final List<Finding> found = new ArrayList<>();
    private List<HiddenStyle> hidden = List.of();
    private int lookedAt;
    private long next = System.nanoTime() + PATIENCE_NANOS;

    Progress(Project project, RuleSet rules, int texts, Consumer<SurveyReport> soFar) {
      this.project = project;
      this.rules = rules;
      this.texts = texts;
      this.soFar = soFar;
    }

    void add(List<Finding> more) {
      found.addAll(more);
      tell();
    }

    void tell() {
      tell(new PlacedTexts.SoFar(List.of(), lookedAt));
    }

    /** Tells what is known, with what has been seen until now, unless it just did. */
    void tell(PlacedTexts.SoFar seen) {
      if (System.nanoTime() >= next) {
        List<Finding> all = new ArrayList<>(found);
        all.addAll(seen.findings());
        soFar.accept(Survey.report(project, rules, hidden, all, texts, seen.lookedAt()));
        next = System.nanoTime() + PAUSE_NANOS;
      }
    }

    SurveyReport report() {
      return Survey.report(project, rules, hidden, found, texts, lookedAt);
    }
  }

  /** The styles that hide; taking texts apart is not done again while only the tolerance moves. */
  private List<HiddenStyle> hidden(Project project, RuleSet rules, Optional<Tolerance> tolerance) {
    if (!rules.has(Rule.HIDDEN_STYLE)) {
      return List.of();
    }
    HiddenStyles now =
        pieces.map(before -> before.follow(project)).orElseGet(() -> HiddenStyles.of(project));
    pieces = Optional.of(now);
    return now.within(
        tolerance.orElseGet(() -> Tolerance.ofStep(rules.limit(Rule.HIDDEN_STYLE, "tolerance"))),
        (int) rules.limit(Rule.HIDDEN_STYLE, "fewest"));
  }

  private static SurveyReport report(
      Project project,
      RuleSet rules,
      List<HiddenStyle> hidden,
      List<Finding> found,
      int texts,
      int lookedAt) {
    Set<String> marks =
        project.survey().ignored().stream().map(one -> one.mark()).collect(Collectors.toSet());
    Map<Boolean, List<Finding>> parted =
        found.stream()
            .sorted(Comparator.comparing(Finding::severity).thenComparing(Finding::rule))
            .collect(
                Collectors.partitioningBy(one -> !marks.isEmpty() && marks.contains(one.mark())));
    return new SurveyReport(
        project,
        rules,
        marks.isEmpty()
            ? hidden
            : hidden.stream().filter(one -> !marks.contains(mark(one))).toList(),
        parted.getOrDefault(false, List.of()),
        parted.getOrDefault(true, List.of()),
        texts,
        lookedAt);
  }

  /** What a hidden style is told from others by: who would follow it. */
  public static String mark(HiddenStyle style) {
    return Rule.HIDDEN_STYLE.id()
        + ":"
        + style.members().stream()
            .map(Survey::id)
            .distinct()
            .sorted()
            .collect(Collectors.joining("+"));
  }

  private static String id(Target.Words member) {
    return member.layer().value();
  }

  // --- files ----------------------------------------------------------------------------------

  private List<Finding> missingFonts(Scene scene, RuleSet rules) {
    if (!rules.has(Rule.MISSING_FONT)) {
      return List.of();
    }
    Map<String, List<Spot>> families = new TreeMap<>();
    Map<Scene.Board, Map<String, List<Spot>>> now = new IdentityHashMap<>();
    for (Scene.Board board : scene.boards()) {
      Map<String, List<Spot>> missing = missingOn.get(board);
      if (missing == null) {
        missing = missingFamilies(board);
      }
      now.put(board, missing);
      missing.forEach((family, spots) ->
          families.computeIfAbsent(family, _ -> new ArrayList<>()).addAll(spots));
    }
    missingOn = now;
    return families.entrySet().stream()
        .map(entry ->
            new Finding(
                Rule.MISSING_FONT,
                rules.severity(Rule.MISSING_FONT),
                entry.getKey(),
                entry.getValue(),
                Optional.empty()))
        .toList();
  }

  private static Map<String, List<Spot>> missingFamilies(Scene.Board board) {
    Map<String, List<Spot>> missing = new TreeMap<>();
    for (PlacedLayer text : board.texts()) {
      for (String family : text.layout().missingFamilies()) {
        missing
            .computeIfAbsent(family, _ -> new ArrayList<>())
            .add(new Spot.InText(text.layer().id()));
      }
    }
    return missing;
  }
}
