package dynamorph.model.edit.layer;

import dynamorph.model.Layer;
import dynamorph.model.LayerId;
import dynamorph.model.Project;
import dynamorph.model.cascade.Cascade;
import dynamorph.model.cascade.Coats;
import dynamorph.model.edit.Edit;
import dynamorph.model.edit.Target;
import dynamorph.model.message.Messages;
import dynamorph.model.property.Address;
import dynamorph.model.property.CoatProperties;
import dynamorph.model.property.Facet;
import dynamorph.model.property.Properties;
import dynamorph.model.property.Property;
import dynamorph.model.property.Property.Part;
import dynamorph.model.property.PropertyKey;
import dynamorph.model.property.PropertySet;
import dynamorph.model.text.Paragraph;
import dynamorph.model.text.Span;
import java.util.ArrayList;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;

/**
 * Gives a target the whole finish of another text, plate included: coats and effects that it has
 * and the other has not are taken away. Only what differs becomes a local change.
 *
 * @param finish complete values, of which only those of the finish count
 */
public record ReplaceFinish(Target target, PropertySet finish, String what) implements Edit {
  public ReplaceFinish {
    finish = finish.where(key -> key.property().facet() == Facet.FINISH);
  }

  /** Gives the finish that complete values have. */
  public static ReplaceFinish of(Target target, PropertySet complete) {
    return new ReplaceFinish(
        target, complete, Messages.of("replace-finish.paste-a-finish-on", target.label()));
  }

  /** Goes back to one plain fill, without plate and effects. */
  public static ReplaceFinish plain(Target target) {
    return new ReplaceFinish(
        target,
        Properties.DEFAULTS,
        Messages.of("replace-finish.clear-the-finish-of", target.label()));
  }

  /** The complete values of the first letter of a layer, which hold its finish. */
  public static PropertySet ofFirst(Project project, Layer layer) {
    Paragraph paragraph = layer.story().paragraphs().getFirst();
    return Cascade.of(project).values(layer, paragraph, paragraph.spans().getFirst());
  }

  @Override
  public Project applyTo(Project before) {
    Project after = before;
    Cascade cascade = Cascade.of(before);
    for (LayerId id : target.layers()) {
      Optional<Layer> layer = before.layer(id);
      if (layer.isPresent()) {
        after = SetValues.of(target.in(id), change(cascade, layer.get())).applyTo(after);
      }
    }
    return after;
  }

  private PropertySet change(Cascade cascade, Layer layer) {
    List<PropertySet> places = new ArrayList<>();
    places.add(cascade.values(layer));
    for (Paragraph paragraph : cascade.dressed(layer).story().paragraphs()) {
      for (Span span : paragraph.spans()) {
        places.add(cascade.values(layer, paragraph, span));
      }
    }
    Set<Address> wanted = addresses(finish);
    PropertySet change = PropertySet.EMPTY;
    for (PropertySet place : places) {
      for (Address address : addresses(place)) {
        if (!wanted.contains(address)) {
          change =
              address.part() == Part.COAT
                  ? change.with(Properties.COAT_REMOVED.at(address), true)
                  : change.with(Properties.EFFECT_REMOVED.at(address), true);
        }
      }
      for (Address address : wanted) {
        for (Property<?> property : properties(address)) {
          change = withDifference(change, place, property.at(address));
        }
      }
      for (Property<?> property : Properties.of(Facet.FINISH).toList()) {
        change = withDifference(change, place, property.key());
      }
    }
    return change;
  }

  private static List<Property<?>> properties(Address address) {
    return address.coat().equals(Address.WHOLE) && address.effect().isEmpty()
        ? CoatProperties.OF_ALL_COATS
        : Properties.of(address.part()).toList();
  }

  private <T> PropertySet withDifference(
      PropertySet change, PropertySet place, PropertyKey<T> key) {
    T value = Coats.value(finish, key);
    boolean unset = place.get(key).isEmpty() && finish.get(key).isPresent();
    return unset || !Coats.value(place, key).equals(value) ? change.with(key, value) : change;
  }

  /** The coats that are there, and the effects that are there. */
  private static Set<Address> addresses(PropertySet values) {
    Set<Address> addresses = new LinkedHashSet<>();
    for (String host : List.of(Address.FINISH, Address.PLATE)) {
      List<Address> coats = new ArrayList<>(Coats.of(values, host));
      coats.add(Address.whole(host));
      addresses.addAll(coats);
      coats.forEach(coat -> addresses.addAll(Coats.effects(values, coat)));
    }
    return addresses;
  }

  @Override
  public String label(Project before) {
    return what;
  }
}
