package dynamorph.model.edit.style;

import dynamorph.model.Layer;
import dynamorph.model.LayerId;
import dynamorph.model.Project;
import dynamorph.model.edit.Edit;
import dynamorph.model.edit.EditRefused;
import dynamorph.model.message.Messages;
import dynamorph.model.property.Facet;
import dynamorph.model.property.Properties;
import dynamorph.model.property.PropertySet;
import dynamorph.model.style.Style;
import dynamorph.model.style.StyleId;
import dynamorph.model.timeline.Track;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
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

  /**
   * The style that a layer deviates from: the last one that it follows itself, else that of its
   * track, unless the track or the speaker brings something over it.
   */
  public static Optional<StyleId> base(Project project, Layer layer) {
    Optional<Track.Captions> track =
        layer.follows().isEmpty() ? project.captionsOf(layer) : Optional.empty();
    List<StyleId> taken = project.taken(layer);
    boolean covered =
        track
            .filter(own ->
                !own.local().isEmpty()
                    || saysLanguage(project, taken)
                    || own.speakers().containsKey(layer.timing().orElseThrow().speaker()))
            .isPresent();
    return taken.isEmpty() || covered || layer.muted().contains(taken.getLast())
        ? Optional.empty()
        : Optional.of(taken.getLast());
  }

  /** A track says the language of its cues, over what its styles say. */
  private static boolean saysLanguage(Project project, List<StyleId> taken) {
    return taken.stream()
        .flatMap(id -> project.styles().chain(id).stream())
        .anyMatch(style -> style.properties().has(Properties.LANGUAGE.key()));
  }

  /** What a layer changes by hand on top of the text style it follows last, and that it carries. */
  public static PropertySet deviation(Project project, Layer layer) {
    return base(project, layer)
        .flatMap(project.styles()::find)
        .map(style ->
            layer
                .local()
                .where(key ->
                    key.property().facet() != Facet.PLACEMENT
                        && style.level().carries(key.property())))
        .orElse(PropertySet.EMPTY);
  }

  /** The followers of a style that deviate from it by all of these values. */
  public static List<Layer> deviatingAlike(Project project, StyleId style, PropertySet values) {
    return project.layers().filter(layer -> isDeviating(project, layer, style, values)).toList();
  }

  private static boolean isDeviating(
      Project project, Layer layer, StyleId style, PropertySet values) {
    return !values.isEmpty()
        && base(project, layer).filter(style::equals).isPresent()
        && layer.local().where(values::has).equals(values);
  }

  @Override
  public Project applyTo(Project before) {
    StyleId base =
        derived
            .basedOn()
            .orElseThrow(() ->
                new EditRefused(Messages.of("derive-from-local.a-derived-style-is-based-on")));
    Project added = new AddStyle(derived, Messages.of("common.derive")).applyTo(before);
    return added.mapLayers(
        layers,
        layer -> {
          if (!isDeviating(before, layer, base, derived.properties())) {
            return layer;
          }
          List<StyleId> follows = new ArrayList<>(layer.follows());
          // what a cue has from its track it keeps under the new style
          follows.remove(base);
          follows.add(derived.id());
          return layer
              .withFollows(follows)
              .withLocal(layer.local().where(key -> !derived.properties().has(key)));
        });
  }

  @Override
  public String label(Project before) {
    return Messages.of("derive-from-local.make-of-local-changes", derived.name());
  }
}
