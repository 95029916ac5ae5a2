package dynamorph.typeset.font;

import java.util.List;

/**
 * A family that can be chosen.
 *
 * @param weights the weights of its upright cuts, ascending; for installed families empty until
 *     asked
 */
public record FontFamily(String name, Origin origin, List<Integer> weights, boolean hasItalic) {
  /** Where a family comes from. */
  public enum Origin {
    PROJECT,
    SHIPPED,
    INSTALLED
  }
}
