package dynamorph.model.edit.style;

import dynamorph.model.Layer;
import dynamorph.model.LayerId;
import dynamorph.model.Project;
import dynamorph.model.cascade.Cascade;
import dynamorph.model.edit.Edit;
import dynamorph.model.edit.KeptLook;
import dynamorph.model.edit.Tidy;
import dynamorph.model.message.Messages;
import dynamorph.model.property.PropertyKey;
import dynamorph.model.property.PropertySet;
import dynamorph.model.reach.Followers;
import dynamorph.model.style.Style;
import dynamorph.model.style.StyleId;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;

/**
 * An edit of which some layers take no notice: they keep the look they had, by local changes, or by
 * following a derived style that keeps it for them.
 *
 * @param layers those that keep their look
 * @param branch for the edit of one style: the style that those of them follow which followed it
 */
public record HoldBack(Edit edit, Set<LayerId> layers, Optional<Branch> branch) implements Edit {
  /**
   * A style to be made on the spot.
   *
   * @param from the style that is edited
   */
  public record Branch(StyleId from, StyleId id, String name) {}

  public HoldBack {
    layers = Set.copyOf(layers);
  }

  public static HoldBack byLocalChanges(Edit edit, Set<LayerId> layers) {
    return new HoldBack(edit, layers, Optional.empty());
  }

  @Override
  public Project applyTo(Project before) {
    Project edited = edit.applyTo(before);
    if (layers.isEmpty()) {
      return edited;
    }
    Project branched = branch.map(wanted -> branched(before, edited, wanted)).orElse(edited);
    Map<LayerId, Layer> were = before.layersOf(layers);
    KeptLook look = new KeptLook(Cascade.of(before), Cascade.of(branched));
    Project kept =
        branched.mapLayers(
            layers,
            layer -> were.containsKey(layer.id()) ? look.of(were.get(layer.id()), layer) : layer);
    return Tidy.layers(kept, layers);
  }

  /** The derived style sets again what the edit changed, so that it looks as the style did. */
  private Project branched(Project before, Project edited, Branch wanted) {
    Style was = before.styles().get(wanted.from());
    Cascade cascadeBefore = Cascade.of(before);
    PropertySet valuesBefore = cascadeBefore.values(was);
    PropertySet valuesAfter = Cascade.of(edited).values(edited.styles().get(wanted.from()));
    PropertySet keeps = PropertySet.EMPTY;
    for (PropertyKey<?> key : was.properties().keys()) {
      if (!was.properties().get(key).equals(edited.styles().get(was.id()).properties().get(key))) {
        keeps = keeps.withFrom(was.properties(), key);
      }
    }
    for (PropertyKey<?> key : valuesBefore.keys()) {
      if (!keeps.has(key) && !valuesBefore.get(key).equals(valuesAfter.get(key))) {
        keeps = keeps.withFrom(valuesBefore, key);
      }
    }
    for (PropertyKey<?> key : valuesAfter.keys()) {
      if (!valuesBefore.has(key)) {
        keeps = KeptLook.takenBack(keeps, key);
      }
    }
    Style derived =
        new Style(
            wanted.id(),
            wanted.name(),
            was.group(),
            was.level(),
            Optional.of(was.id()),
            keeps.where(key -> was.level().carries(key.property())),
            was.sample());
    return new AddStyle(derived, Messages.of("common.derive"))
        .applyTo(edited)
        .mapLayers(
            layers,
            layer ->
                Followers.followed(layer).contains(was.id())
                    ? layer.mapFollows(id -> Optional.of(id.equals(was.id()) ? derived.id() : id))
                    : edited.taken(layer).contains(was.id()) ? onTop(layer, derived.id()) : layer);
  }

  /** A cue that has the style from its track takes the derived one over it. */
  private static Layer onTop(Layer layer, StyleId derived) {
    List<StyleId> follows = new ArrayList<>(layer.follows());
    follows.addFirst(derived);
    return layer.withFollows(follows);
  }

  @Override
  public String label(Project before) {
    String but = Messages.of("count.text", layers.size());
    return edit.label(before) + (layers.isEmpty() ? "" : Messages.of("hold-back.but-not-for", but));
  }
}
