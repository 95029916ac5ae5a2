package dynamorph.model.survey.hidden;

import dynamorph.model.edit.Target;
import dynamorph.model.property.PropertyKey;
import dynamorph.model.style.Style;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;

/**
 * A style that hides in a project: texts look alike, and follow nothing that says so.
 *
 * @param style as it is proposed
 * @param beside styles proposed with it that it is based on, nearest first; none of them is in the
 *     project
 * @param equal pieces that look exactly like it
 * @param near pieces that look nearly like it
 * @param outliers pieces that look like it but for a value or two
 * @param letters of all equal and near pieces together
 */
public record HiddenStyle(
    Style style,
    List<Style> beside,
    List<Target.Words> equal,
    List<Deviating> near,
    List<Deviating> outliers,
    int letters) {
  public HiddenStyle {
    beside = List.copyOf(beside);
    equal = List.copyOf(equal);
    near = List.copyOf(near);
    outliers = List.copyOf(outliers);
  }

  /**
   * A piece that looks like the style but for some values.
   *
   * @param differences the values that it has instead, by key
   */
  public record Deviating(Target.Words member, Map<PropertyKey<?>, Object> differences) {}

  /** The pieces that would follow it without any question: the equal and the near. */
  public List<Target.Words> members() {
    List<Target.Words> members = new ArrayList<>(equal);
    near.forEach(one -> members.add(one.member()));
    return members;
  }

  /** All pieces that have to do with it. */
  public List<Target.Words> all() {
    List<Target.Words> all = members();
    outliers.forEach(one -> all.add(one.member()));
    return all;
  }

  /** How many pieces would follow it. */
  public int size() {
    return equal.size() + near.size();
  }

  /** The share of all its pieces that look exactly like it, 0 to 1. */
  public double purity() {
    return equal.size() / (double) (size() + outliers.size());
  }

  /** A piece that deviates, if this is one. */
  public Optional<Deviating> deviating(Target.Words member) {
    return java.util.stream.Stream.concat(near.stream(), outliers.stream())
        .filter(one -> one.member().equals(member))
        .findFirst();
  }
}
