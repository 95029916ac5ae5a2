package dynamorph.model.edit.style;

import dynamorph.model.property.Aspect;
import dynamorph.model.property.Facet;
import dynamorph.model.property.PropertyKey;
import java.util.EnumSet;
import java.util.Set;

/**
 * How a style is put on text.
 *
 * @param onTop whether it is added over the styles that are followed, or takes their place
 * @param leaves what keeps looking as it did, by local changes
 * @param keepsLocal facets whose earlier local changes stay; those of the others go
 */
public record ApplyOptions(boolean onTop, Set<Aspect> leaves, Set<Facet> keepsLocal) {
  private static final Set<Facet> ALL = Set.copyOf(EnumSet.allOf(Facet.class));

  /** In place of what is followed; local changes stay. */
  public static final ApplyOptions PLAIN = new ApplyOptions(false, Set.of(), ALL);

  public ApplyOptions {
    leaves = Set.copyOf(leaves);
    keepsLocal = Set.copyOf(keepsLocal);
  }

  public ApplyOptions onTop(boolean changed) {
    return new ApplyOptions(changed, leaves, keepsLocal);
  }

  public ApplyOptions leaving(Set<Aspect> changed) {
    return new ApplyOptions(onTop, changed, keepsLocal);
  }

  public ApplyOptions keepingLocal(Set<Facet> changed) {
    return new ApplyOptions(onTop, leaves, changed);
  }

  public ApplyOptions droppingLocal() {
    return keepingLocal(Set.of());
  }

  /** Whether all earlier local changes stay. */
  public boolean keepsAllLocal() {
    return keepsLocal.size() == ALL.size();
  }

  boolean leavesAlone(PropertyKey<?> key) {
    return leaves.stream().anyMatch(aspect -> aspect.covers(key));
  }
}
