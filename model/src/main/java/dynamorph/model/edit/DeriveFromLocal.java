package dynamorph.model.edit;

import dynamorph.model.Layer;
import dynamorph.model.LayerId;
import dynamorph.model.Project;
import dynamorph.model.property.Facet;
import dynamorph.model.property.PropertySet;
import dynamorph.model.style.Style;
import dynamorph.model.style.StyleId;
import java.util.ArrayList;
import java.util.List;
import java.util.Set;

/**
 * Turns a deviation into a style: the derived style holds the local changes, and every chosen layer
 * that has just these on top of the base follows it instead. Nothing looks different.
 *
 * @param derived based on the style that is followed, with the local changes as its values
 */
public record DeriveFromLocal(Style derived, Set<LayerId> layers) implements Edit {
  public DeriveFromLocal {
    layers = Set.copyOf(layers);
  }

  /** What a layer changes by hand on top of the text style it follows last, and that it carries. */
  public static PropertySet deviation(Project project, Layer layer) {
    return layer.follows().isEmpty() || layer.muted().contains(layer.follows().getLast())
        ? PropertySet.EMPTY
        : layer
            .local()
            .where(key ->
                key.property().facet() != Facet.PLACEMENT
                    && project
                        .styles()
                        .find(layer.follows().getLast())
                        .filter(style -> style.level().carries(key.property()))
                        .isPresent());
  }

  /** The followers of a style that deviate from it by all of these values. */
  public static List<Layer> deviatingAlike(Project project, StyleId style, PropertySet values) {
    return project.layers().filter(layer -> isDeviating(layer, style, values)).toList();
  }

  private static boolean isDeviating(Layer layer, StyleId style, PropertySet values) {
    return !values.isEmpty()
        && !layer.follows().isEmpty()
        && !layer.muted().contains(style)
        && layer.follows().getLast().equals(style)
        && layer.local().where(values::has).equals(values);
  }

  @Override
  public Project applyTo(Project before) {
    StyleId base =
        derived
            .basedOn()
            .orElseThrow(() -> new EditRefused("A derived style is based on another one."));
    Project added = new AddStyle(derived, "Derive").applyTo(before);
    return added.mapLayers(
        layers,
        layer -> {
          if (!isDeviating(layer, base, derived.properties())) {
            return layer;
          }
          List<StyleId> follows = new ArrayList<>(layer.follows());
          follows.set(follows.size() - 1, derived.id());
          return layer
              .withFollows(follows)
              .withLocal(layer.local().where(key -> !derived.properties().has(key)));
        });
  }

  @Override
  public String label(Project before) {
    return "Make \"" + derived.name() + "\" of local changes";
  }
}
