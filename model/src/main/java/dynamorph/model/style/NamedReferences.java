package dynamorph.model.style;

import dynamorph.model.property.Properties;
import dynamorph.model.property.PropertyKey;
import dynamorph.model.property.PropertySet;
import dynamorph.model.value.Colour;
import dynamorph.model.value.GradientStops;
import java.util.Collection;
import java.util.HashSet;
import java.util.Set;

/**
 * What values refer to by name.
 *
 * @param swatches ids of the swatches they paint with
 * @param images names of the images of their patterns
 */
public record NamedReferences(Set<String> swatches, Set<String> images) {
  public NamedReferences {
    swatches = Set.copyOf(swatches);
    images = Set.copyOf(images);
  }

  /** What any of these values refers to. */
  public static NamedReferences in(Collection<PropertySet> values) {
    Set<String> swatches = new HashSet<>();
    Set<String> images = new HashSet<>();
    values.forEach(set -> collect(set, swatches, images));
    return new NamedReferences(swatches, images);
  }

  private static void collect(PropertySet values, Set<String> swatches, Set<String> images) {
    for (PropertyKey<?> key : values.keys()) {
      Object value = values.get(key).orElseThrow();
      switch (value) {
        case Colour.SwatchReference(String swatch) -> swatches.add(swatch);
        case GradientStops gradient ->
            gradient.stops().stream()
                .map(GradientStops.Stop::colour)
                .filter(Colour.SwatchReference.class::isInstance)
                .forEach(colour -> swatches.add(((Colour.SwatchReference) colour).swatch()));
        case String name when key.property().equals(Properties.TILE_IMAGE) -> images.add(name);
        default -> {}
      }
    }
  }
}
