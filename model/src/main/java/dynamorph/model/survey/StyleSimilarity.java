package dynamorph.model.survey;

import dynamorph.model.Project;
import dynamorph.model.cascade.Cascade;
import dynamorph.model.property.Properties;
import dynamorph.model.property.PropertyKey;
import dynamorph.model.property.PropertySet;
import dynamorph.model.style.Style;
import dynamorph.model.value.Colour;
import dynamorph.model.value.FontSize;
import dynamorph.model.value.Leading;
import dynamorph.model.value.Length;
import dynamorph.model.value.OkLab;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.TreeSet;

/** Finds styles that look the same or nearly so. */
public final class StyleSimilarity {
  /** Numbers this near to each other, as a share of the larger, are nearly the same. */
  private static final double NEAR_NUMBER = 0.05;

  /** Thousandths of an em. */
  private static final double NEAR_TRACKING = 10;

  /** Colours this near in OKLab are nearly the same. */
  private static final double NEAR_COLOUR = 0.04;

  /** More slight differences than this make another look. */
  private static final int MOST_DIFFERENCES = 3;

  private StyleSimilarity() {}

  /**
   * A style that looks like another.
   *
   * @param differences what differs slightly; empty if nothing does
   */
  public record Alike(Style style, List<PropertyKey<?>> differences) {
    public boolean isEqual() {
      return differences.isEmpty();
    }
  }

  /**
   * The styles of the project that text could as well follow instead of this one, most alike first.
   *
   * @param candidate need not be in the project
   */
  public static List<Alike> of(Project project, Style candidate) {
    return of(project, Cascade.of(project), candidate);
  }

  /**
   * @param cascade of the project
   */
  static List<Alike> of(Project project, Cascade cascade, Style candidate) {
    PropertySet wanted = cascade.values(candidate);
    List<Alike> found = new ArrayList<>();
    project.styles().stream()
        .filter(style -> style.level() == candidate.level() && !style.id().equals(candidate.id()))
        .forEach(style ->
            differences(cascade, wanted, cascade.values(style))
                .ifPresent(keys -> found.add(new Alike(style, keys))));
    found.sort(Comparator.comparingInt(alike -> alike.differences().size()));
    return found;
  }

  private static Optional<List<PropertyKey<?>>> differences(
      Cascade cascade, PropertySet one, PropertySet other) {
    TreeSet<PropertyKey<?>> keys = new TreeSet<>(one.keys());
    keys.addAll(other.keys());
    List<PropertyKey<?>> slight = new ArrayList<>();
    for (PropertyKey<?> key : keys) {
      Optional<?> mine = one.get(key);
      Optional<?> theirs = other.get(key);
      if (mine.equals(theirs)) {
        continue;
      }
      boolean near =
          mine.isPresent()
              && theirs.isPresent()
              && (isNear(cascade, mine.get(), theirs.get())
                  || isSlightTracking(key, mine.get(), theirs.get()));
      if (!near || slight.size() == MOST_DIFFERENCES) {
        return Optional.empty();
      }
      slight.add(key);
    }
    return Optional.of(slight);
  }

  private static boolean isNear(Cascade cascade, Object one, Object other) {
    return switch (one) {
      case Double number -> other instanceof Double second && isNear(number, second);
      case FontSize size ->
          other instanceof FontSize second && isNear(size.over(0), second.over(0));
      case Length length ->
          other instanceof Length second
              && second.unit() == length.unit()
              && isNear(length.amount(), second.amount());
      case Leading leading ->
          other.getClass() == leading.getClass() && isNear(leading.at(1), ((Leading) other).at(1));
      case Colour colour ->
          other instanceof Colour second
              && OkLab.distance(cascade.colour(colour), cascade.colour(second)) < NEAR_COLOUR;
      default -> false;
    };
  }

  /** Tracking is near nothing so often that a share of it says little. */
  private static boolean isSlightTracking(PropertyKey<?> key, Object one, Object other) {
    return key.property().equals(Properties.TRACKING)
        && one instanceof Double first
        && other instanceof Double second
        && Math.abs(first - second) <= NEAR_TRACKING;
  }

  private static boolean isNear(double one, double other) {
    return Math.abs(one - other) <= NEAR_NUMBER * Math.max(Math.abs(one), Math.abs(other));
  }
}
