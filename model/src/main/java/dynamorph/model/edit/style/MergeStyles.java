package dynamorph.model.edit.style;

import dynamorph.model.Project;
import dynamorph.model.cascade.Cascade;
import dynamorph.model.cascade.Coats;
import dynamorph.model.edit.Edit;
import dynamorph.model.message.Messages;
import dynamorph.model.property.PropertyKey;
import dynamorph.model.property.PropertySet;
import dynamorph.model.style.Style;
import dynamorph.model.style.StyleId;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.TreeSet;

/**
 * Makes several styles one: what followed or was derived from the others follows or is derived from
 * the one that stays.
 *
 * @param into the style that stays
 * @param others those that go
 */
public record MergeStyles(StyleId into, List<StyleId> others) implements Edit {
  public MergeStyles {
    others = List.copyOf(others);
  }

  /**
   * A value that two styles give text differently.
   *
   * @param one what the first gives
   */
  public record Difference<T>(PropertyKey<T> key, T one, T other) {}

  /** What text that follows one style would have otherwise following the other. */
  public static List<Difference<?>> differences(Project project, StyleId one, StyleId other) {
    Cascade cascade = Cascade.of(project);
    PropertySet first = cascade.values(project.styles().get(one));
    PropertySet second = cascade.values(project.styles().get(other));
    TreeSet<PropertyKey<?>> keys = new TreeSet<>(first.keys());
    keys.addAll(second.keys());
    List<Difference<?>> differences = new ArrayList<>();
    for (PropertyKey<?> key : keys) {
      difference(first, second, key).ifPresent(differences::add);
    }
    return differences;
  }

  private static <T> Optional<Difference<?>> difference(
      PropertySet first, PropertySet second, PropertyKey<T> key) {
    T one = Coats.value(first, key);
    T other = Coats.value(second, key);
    boolean same = first.has(key) == second.has(key) && one.equals(other);
    return same ? Optional.empty() : Optional.of(new Difference<>(key, one, other));
  }

  @Override
  public Project applyTo(Project before) {
    Project project = before;
    for (StyleId other : others) {
      if (!other.equals(into)) {
        project = new DeleteStyle(other, Optional.of(into)).applyTo(project);
      }
    }
    return project;
  }

  @Override
  public String label(Project before) {
    String name = before.styles().find(into).map(Style::name).orElse("style");
    return Messages.of(
        "merge-styles.merge-into",
        (others.size() == 1
            ? "\"" + before.styles().find(others.getFirst()).map(Style::name).orElse("") + "\""
            : Messages.of("merge-styles.styles", others.size())),
        name);
  }
}
