package dynamorph.model.survey.rule;

import dynamorph.model.message.Messages;
import java.util.Arrays;
import java.util.List;
import java.util.Locale;
import java.util.Optional;

/** What a survey looks for. */
public enum Rule {
  HIDDEN_STYLE(
      Group.STYLES,
      Severity.NOTE,
      Messages.of("rule.hidden-style"),
      Messages.of("rule.hidden-style.help"),
      new Limit("tolerance", 1, 0, 3),
      new Limit("fewest", 3, 2, 1000)),
  NEAR_STYLES(
      Group.DRIFT,
      Severity.WARNING,
      Messages.of("rule.near-styles"),
      Messages.of("rule.near-styles.help")),
  NEAR_SWATCHES(
      Group.DRIFT,
      Severity.WARNING,
      Messages.of("rule.near-swatches"),
      Messages.of("rule.near-swatches.help"),
      new Limit("delta-e", 2.5, 0, 20)),
  LOOSE_COLOUR(
      Group.DRIFT,
      Severity.NOTE,
      Messages.of("rule.loose-colour"),
      Messages.of("rule.loose-colour.help"),
      new Limit("delta-e", 2.5, 0, 20)),
  NEAR_SIZES(
      Group.DRIFT,
      Severity.NOTE,
      Messages.of("rule.near-sizes"),
      Messages.of("rule.near-sizes.help"),
      new Limit("share", 0.04, 0, 0.2)),
  SCALE(
      Group.DRIFT,
      Severity.NOTE,
      Messages.of("rule.scale"),
      Messages.of("rule.scale.help"),
      new Limit("share", 0.03, 0, 0.1)),
  UNUSED_STYLE(
      Group.UNUSED,
      Severity.NOTE,
      Messages.of("rule.unused-style"),
      Messages.of("rule.unused-style.help")),
  UNUSED_SWATCH(
      Group.UNUSED,
      Severity.NOTE,
      Messages.of("rule.unused-swatch"),
      Messages.of("rule.unused-swatch.help")),
  UNUSED_ASSET(
      Group.UNUSED,
      Severity.NOTE,
      Messages.of("rule.unused-asset"),
      Messages.of("rule.unused-asset.help")),
  OVERSET(
      Group.BROKEN, Severity.ERROR, Messages.of("rule.overset"), Messages.of("rule.overset.help")),
  MISSING_FONT(
      Group.BROKEN,
      Severity.ERROR,
      Messages.of("rule.missing-font"),
      Messages.of("rule.missing-font.help")),
  MISSING_GLYPHS(
      Group.BROKEN,
      Severity.ERROR,
      Messages.of("rule.missing-glyphs"),
      Messages.of("rule.missing-glyphs.help")),
  OFF_ARTBOARD(
      Group.BROKEN,
      Severity.WARNING,
      Messages.of("rule.off-artboard"),
      Messages.of("rule.off-artboard.help")),
  OUT_OF_SAFE_AREA(
      Group.BROKEN,
      Severity.WARNING,
      Messages.of("rule.out-of-safe-area"),
      Messages.of("rule.out-of-safe-area.help")),
  LOW_CONTRAST(
      Group.BROKEN,
      Severity.WARNING,
      Messages.of("rule.low-contrast"),
      Messages.of("rule.low-contrast.help"),
      new Limit("ratio", 4.5, 1, 21),
      new Limit("large", 3, 1, 21)),
  TOO_SMALL(
      Group.BROKEN,
      Severity.WARNING,
      Messages.of("rule.too-small"),
      Messages.of("rule.too-small.help"),
      new Limit("arc-minutes", 8, 1, 60),
      new Limit("distance", 0, 0, 100),
      new Limit("pixels", 10, 1, 100),
      new Limit("film-share", 0.02, 0.001, 0.2)),
  CUE(Group.BROKEN, Severity.WARNING, Messages.of("rule.cue"), Messages.of("rule.cue.help")),
  FAUX_BOLD(
      Group.BROKEN,
      Severity.WARNING,
      Messages.of("rule.faux-bold"),
      Messages.of("rule.faux-bold.help")),
  DOUBLE_SPACE(
      Group.WORDS,
      Severity.WARNING,
      Messages.of("rule.double-space"),
      Messages.of("rule.double-space.help")),
  STRAIGHT_QUOTES(
      Group.WORDS,
      Severity.WARNING,
      Messages.of("rule.straight-quotes"),
      Messages.of("rule.straight-quotes.help")),
  WRONG_DASH(
      Group.WORDS,
      Severity.WARNING,
      Messages.of("rule.wrong-dash"),
      Messages.of("rule.wrong-dash.help")),
  LANGUAGE(
      Group.WORDS,
      Severity.WARNING,
      Messages.of("rule.language"),
      Messages.of("rule.language.help")),
  SPELLING(
      Group.WORDS, Severity.NOTE, Messages.of("rule.spelling"), Messages.of("rule.spelling.help")),
  HYPHENS(
      Group.WORDS,
      Severity.NOTE,
      Messages.of("rule.hyphens"),
      Messages.of("rule.hyphens.help"),
      new Limit("most", 3, 1, 20)),
  WIDOW(Group.WORDS, Severity.NOTE, Messages.of("rule.widow"), Messages.of("rule.widow.help")),
  RIVER(
      Group.WORDS,
      Severity.NOTE,
      Messages.of("rule.river"),
      Messages.of("rule.river.help"),
      new Limit("lines", 4, 3, 20),
      new Limit("width", 0.32, 0.1, 2)),
  /** What a house rule says. */
  HOUSE(Group.HOUSE, Severity.ERROR, Messages.of("rule.house"), Messages.of("rule.house.help"));

  /** What rules are about. */
  public enum Group {
    STYLES(Messages.of("rule-group.styles")),
    DRIFT(Messages.of("rule-group.drift")),
    BROKEN(Messages.of("rule-group.broken")),
    WORDS(Messages.of("rule-group.words")),
    UNUSED(Messages.of("rule-group.unused")),
    HOUSE(Messages.of("rule-group.house"));

    private final String label;

    Group(String label) {
      this.label = label;
    }

    /** What people call it. */
    public String label() {
      return label;
    }
  }

  /**
   * A number that a rule goes by.
   *
   * @param usual what it is unless a rule set says otherwise
   */
  public record Limit(String id, double usual, double least, double most) {}

  private final Group group;
  private final Severity severity;
  private final String label;
  private final String help;
  private final List<Limit> limits;

  Rule(Group group, Severity severity, String label, String help, Limit... limits) {
    this.group = group;
    this.severity = severity;
    this.label = label;
    this.help = help;
    this.limits = List.of(limits);
  }

  /** What files call it, in kebab case. */
  public String id() {
    return name().toLowerCase(Locale.ROOT).replace('_', '-');
  }

  /** The rule that files call so. */
  public static Optional<Rule> of(String id) {
    return Arrays.stream(values()).filter(rule -> rule.id().equals(id)).findFirst();
  }

  public Group group() {
    return group;
  }

  /** How much a finding weighs unless a rule set says otherwise. */
  public Severity severity() {
    return severity;
  }

  /** What people call what it finds, such as {@code overset text}. */
  public String label() {
    return label;
  }

  /** One sentence about it for people. */
  public String help() {
    return help;
  }

  public List<Limit> limits() {
    return limits;
  }

  /** A limit by its id. */
  public Optional<Limit> limit(String id) {
    return limits.stream().filter(limit -> limit.id().equals(id)).findFirst();
  }
}
