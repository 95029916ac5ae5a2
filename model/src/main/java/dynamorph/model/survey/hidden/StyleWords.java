package dynamorph.model.survey.hidden;

import dynamorph.model.Project;
import dynamorph.model.cascade.Coats;
import dynamorph.model.message.Messages;
import dynamorph.model.property.Properties;
import dynamorph.model.property.PropertySet;
import dynamorph.model.style.Style;
import dynamorph.model.style.StyleLevel;
import dynamorph.model.survey.hidden.LookClusters.Cluster;
import dynamorph.model.value.Numbers;
import dynamorph.model.value.Slant;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Set;
import java.util.stream.Collectors;

/** Names styles by what they are: what part they play beside the others, then how they differ. */
final class StyleWords {
  /** From this many letters on a text is read, and not glanced at. */
  private static final double LONG = 80;

  /** Up to so many letters, of which some are digits, are a number. */
  private static final double SHORT = 8;

  /** Larger than the body by this factor, few words are a heading; by the second, a title. */
  private static final double HEADING = 1.25;

  private static final double TITLE = 2.2;

  /** Below the size of the body by this factor, a text stands beside something. */
  private static final double NOTE = 0.85;

  private static final double BOLD = 600;

  private final Project project;
  private final double body;
  private final Set<String> taken;

  /**
   * @param body size of most letters of the project, in points
   */
  StyleWords(Project project, double body) {
    this.project = project;
    this.body = body;
    this.taken =
        project.styles().stream().map(Style::name).collect(Collectors.toCollection(HashSet::new));
  }

  private static double size(PropertySet values) {
    return Coats.value(values, Properties.SIZE.key()).over(0);
  }

  /** A name that no other style has. */
  String name(Cluster cluster) {
    List<String> parts = new ArrayList<>();
    String start = start(cluster);
    parts.add(start);
    PropertySet look = cluster.centre();
    boolean leans = Coats.value(look, Properties.SLANT.key()) != Slant.UPRIGHT;
    String family = Coats.value(look, Properties.FONT_FAMILY.key());
    String size = Messages.of("style-words.points", Numbers.format(size(look), 1));
    if (cluster.level() != StyleLevel.CHARACTER) {
      if (leans) {
        parts.add(Messages.of("style-words.with", start, Messages.of("style-words.italic")));
      }
      parts.add(Messages.of("style-words.with", start, family));
      parts.add(Messages.of("style-words.with", start, size));
      parts.add(
          Messages.of("style-words.with", Messages.of("style-words.with", start, family), size));
    }
    String name = parts.stream().filter(one -> !taken.contains(one)).findFirst().orElse("");
    for (int number = 2; name.isEmpty() || taken.contains(name); number++) {
      name = parts.getLast() + " " + number;
    }
    taken.add(name);
    return name;
  }

  private String start(Cluster cluster) {
    if (!cluster.followed().isEmpty()) {
      String followed = project.styles().get(cluster.followed().getLast()).name();
      return Messages.of("style-words.with", followed, Messages.of("style-words.changed"));
    }
    return cluster.level() == StyleLevel.CHARACTER ? ofWords(cluster.centre()) : role(cluster);
  }

  private static String ofWords(PropertySet differing) {
    boolean bold =
        differing.get(Properties.FONT_WEIGHT.key()).filter(weight -> weight >= BOLD).isPresent();
    boolean leans =
        differing.get(Properties.SLANT.key()).filter(slant -> slant != Slant.UPRIGHT).isPresent();
    boolean painted = differing.keys().stream().anyMatch(key -> !key.address().host().isEmpty());
    return bold && leans
        ? Messages.of("style-words.bold-italic-words")
        : bold
            ? Messages.of("style-words.bold-words")
            : leans
                ? Messages.of("style-words.italic-words")
                : painted
                    ? Messages.of("style-words.coloured-words")
                    : Messages.of("style-words.marked-words");
  }

  private String role(Cluster cluster) {
    double letters = cluster.letters() / (double) cluster.pieces().size();
    double size = size(cluster.centre());
    if (letters <= SHORT && cluster.notes().isNumbered()) {
      return Messages.of("style-words.number");
    }
    if (letters >= LONG) {
      return Messages.of("style-words.body");
    }
    return size >= TITLE * body
        ? Messages.of("style-words.title")
        : size >= HEADING * body
            ? Messages.of("style-words.heading")
            : size <= NOTE * body
                ? Messages.of("style-words.note")
                : Messages.of("style-words.line");
  }
}
