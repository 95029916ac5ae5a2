package dynamorph.model.cascade;

import dynamorph.model.Asset;
import dynamorph.model.shape.Shape;
import java.util.Optional;

/**
 * A shape with what it refers to.
 *
 * @param em what an em is, in points
 * @param picture the image it shows; empty if it shows none, or the project has none of that name
 */
public record ResolvedShape(Shape shape, double em, Optional<Asset> picture) {}
