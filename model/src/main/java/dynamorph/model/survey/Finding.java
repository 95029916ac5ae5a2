package dynamorph.model.survey;

import dynamorph.model.LayerId;
import dynamorph.model.survey.rule.Rule;
import dynamorph.model.survey.rule.Severity;
import java.util.List;
import java.util.Optional;
import java.util.stream.Collectors;

/**
 * Something that could be in better order.
 *
 * @param house id of the house rule that found it; empty for a rule that comes along
 * @param detail what it is, for people
 * @param spots what it is about, at least one
 */
public record Finding(
    Rule rule,
    String house,
    Severity severity,
    String detail,
    List<Spot> spots,
    Optional<Remedy> remedy) {
  public Finding {
    spots = List.copyOf(spots);
  }

  public Finding(
      Rule rule, Severity severity, String detail, List<Spot> spots, Optional<Remedy> remedy) {
    this(rule, "", severity, detail, spots, remedy);
  }

  /** What it is told from others by, in this survey and the next. */
  public String mark() {
    return (house.isEmpty() ? rule.id() : house) + ":" + about();
  }

  /** One more text with the same font is the same finding, another word in a text is not. */
  private String about() {
    String ids = spots.stream().map(Spot::id).distinct().sorted().collect(Collectors.joining("+"));
    return switch (rule) {
      case MISSING_FONT, LOOSE_COLOUR, NEAR_SIZES, SCALE -> detail;
      case SPELLING -> ids + ":" + detail;
      default -> ids;
    };
  }

  /** The texts that it is about, in order. */
  public List<LayerId> layers() {
    return spots.stream()
        .filter(Spot.InText.class::isInstance)
        .map(spot -> ((Spot.InText) spot).layer())
        .distinct()
        .toList();
  }
}
