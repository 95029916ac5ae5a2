package dynamorph.paint.survey;

import dynamorph.model.Asset;
import dynamorph.model.Layer;
import dynamorph.model.Project;
import dynamorph.model.edit.ChangeProject;
import dynamorph.model.edit.Target;
import dynamorph.model.reach.FontUse;
import dynamorph.model.reach.ImageUse;
import dynamorph.model.survey.ColourFindings;
import dynamorph.model.survey.Finding;
import dynamorph.model.survey.Findings;
import dynamorph.model.survey.FinishFindings;
import dynamorph.model.survey.HouseFindings;
import dynamorph.model.survey.Remedy;
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
import dynamorph.paint.message.Messages;
import dynamorph.paint.reach.Examination;
import dynamorph.paint.reach.Legibility;
import dynamorph.paint.scene.PlacedLayer;
import dynamorph.paint.scene.Scene;
import dynamorph.paint.scene.SceneMaker;
import dynamorph.typeset.font.FontLibrary;
import dynamorph.typeset.spelling.Speller;
import dynamorph.typeset.survey.CueFindings;
import dynamorph.typeset.survey.LanguageFindings;
import dynamorph.typeset.survey.WordFindings;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashSet;
import java.util.IdentityHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.TreeMap;
import java.util.function.BooleanSupplier;
import java.util.function.Consumer;
import java.util.stream.Collectors;

/**
 * Looks through a whole project for what could be in better order. What is known of an artboard is
 * used again as long as it stays as it is. One thread at a time.
 */
public final class Survey {
  /** Between two reports on the way. */
  private static final long PAUSE_NANOS = 150_000_000;

  private final List<Findings> quick;
  private final Findings language;
  private final MediaSource footage;
  private Map<Scene.Board, List<Finding>> seen = new IdentityHashMap<>();
  private RuleSet seenRules = RuleSet.USUAL;
  private Optional<HiddenStyles> pieces = Optional.empty();
  private Optional<Project> piecesOf = Optional.empty();

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
            new FinishFindings(),
            new HouseFindings(),
            new CueFindings(),
            new WordFindings());
    this.language = new LanguageFindings(speller);
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
    List<HiddenStyle> hidden = hidden(project, rules, tolerance);
    List<Finding> found = new ArrayList<>();
    int texts = (int) project.layers().filter(Layer::isText).count();
    soFar.accept(report(project, rules, hidden, found, texts, 0));
    for (Findings findings : quick) {
      if (isOver.getAsBoolean()) {
        return report(project, rules, hidden, found, texts, 0);
      }
      found.addAll(findings.in(project, rules));
      soFar.accept(report(project, rules, hidden, found, texts, 0));
    }
    found.addAll(unusedAssets(project, maker, rules));
    soFar.accept(report(project, rules, hidden, found, texts, 0));
    return lookedAt(scene, maker, rules, hidden, found, texts, soFar, isOver);
  }

  /** The styles that hide; taking texts apart is not done again while only the tolerance moves. */
  public List<HiddenStyle> hidden(Project project, RuleSet rules, Optional<Tolerance> tolerance) {
    if (!rules.has(Rule.HIDDEN_STYLE)) {
      return List.of();
    }
    if (piecesOf.filter(known -> known == project).isEmpty()) {
      pieces = Optional.of(HiddenStyles.of(project));
      piecesOf = Optional.of(project);
    }
    return pieces
        .orElseThrow()
        .within(
            tolerance.orElseGet(
                () -> Tolerance.ofStep(rules.limit(Rule.HIDDEN_STYLE, "tolerance"))),
            (int) rules.limit(Rule.HIDDEN_STYLE, "fewest"));
  }

  private SurveyReport lookedAt(
      Scene scene,
      SceneMaker maker,
      RuleSet rules,
      List<HiddenStyle> hidden,
      List<Finding> found,
      int texts,
      Consumer<SurveyReport> soFar,
      BooleanSupplier isOver) {
    Project project = scene.project();
    SeenFindings looker =
        new SeenFindings(
            new Examination(Optional.empty(), scene, maker.painter(), footage),
            new Legibility(maker.painter(), FootagePainter.of(project, footage)),
            rules);
    Map<Scene.Board, List<Finding>> known = new IdentityHashMap<>();
    Map<Scene.Board, List<Finding>> earlier =
        seenRules.equals(rules) ? seen : new IdentityHashMap<>();
    int looked = 0;
    long told = System.nanoTime();
    for (Scene.Board board : scene.boards()) {
      List<Finding> own = earlier.get(board);
      if (own == null) {
        own = new ArrayList<>();
        for (PlacedLayer text : board.texts()) {
          if (isOver.getAsBoolean()) {
            return report(project, rules, hidden, found, texts, looked);
          }
          own.addAll(looker.of(new Scene.Found(board, text)));
          if (System.nanoTime() - told > PAUSE_NANOS) {
            told = System.nanoTime();
            List<Finding> sofar = new ArrayList<>(found);
            sofar.addAll(own);
            soFar.accept(report(project, rules, hidden, sofar, texts, looked));
          }
        }
      }
      looked += (int) board.texts().stream().filter(text -> text.layer().isText()).count();
      known.put(board, own);
      found.addAll(own);
    }
    found.addAll(missingFonts(scene, rules));
    // reading a dictionary for the first time takes longest
    if (!isOver.getAsBoolean()) {
      found.addAll(language.in(project, rules));
    }
    seen = known;
    seenRules = rules;
    return report(project, rules, hidden, found, texts, texts);
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
            .collect(Collectors.partitioningBy(one -> marks.contains(one.mark())));
    return new SurveyReport(
        project,
        rules,
        hidden.stream().filter(one -> !marks.contains(mark(one))).toList(),
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

  private static List<Finding> missingFonts(Scene scene, RuleSet rules) {
    if (!rules.has(Rule.MISSING_FONT)) {
      return List.of();
    }
    Map<String, List<Spot>> families = new TreeMap<>();
    for (Scene.Board board : scene.boards()) {
      for (PlacedLayer text : board.texts()) {
        for (String family : text.layout().missingFamilies()) {
          families
              .computeIfAbsent(family, _ -> new ArrayList<>())
              .add(new Spot.InText(text.layer().id()));
        }
      }
    }
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

  private static List<Finding> unusedAssets(Project project, SceneMaker maker, RuleSet rules) {
    if (!rules.has(Rule.UNUSED_ASSET) || project.assets().isEmpty()) {
      return List.of();
    }
    Set<String> families = new HashSet<>();
    FontUse.of(project)
        .families()
        .forEach(family -> families.add(family.toLowerCase(java.util.Locale.ROOT)));
    Set<String> images = ImageUse.in(project);
    List<Finding> found = new ArrayList<>();
    for (Asset asset : project.assets()) {
      boolean used =
          asset.isFont()
              ? families.contains(
                  FontLibrary.familyOf(asset.name(), asset.bytes())
                      .toLowerCase(java.util.Locale.ROOT))
              : !asset.isImage() || images.contains(asset.shortName());
      if (!used) {
        found.add(
            new Finding(
                Rule.UNUSED_ASSET,
                rules.severity(Rule.UNUSED_ASSET),
                asset.shortName(),
                List.of(new Spot.OfAsset(asset.name())),
                Optional.of(
                    new Remedy(
                        Messages.of("survey.take-out"),
                        new ChangeProject.RemoveAsset(asset.name()),
                        false))));
      }
    }
    return found;
  }
}
