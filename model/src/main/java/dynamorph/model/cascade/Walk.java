package dynamorph.model.cascade;

import dynamorph.model.property.Level;
import dynamorph.model.property.Properties;
import dynamorph.model.property.PropertyKey;
import dynamorph.model.property.PropertySet;
import dynamorph.model.style.Style;
import dynamorph.model.style.StyleBook;
import dynamorph.model.style.StyleId;
import dynamorph.model.timeline.TrackId;
import dynamorph.model.value.FontSize;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;

/**
 * The way from narrow to wide along which values are looked for: each source once, with what it
 * sets.
 */
record Walk(StyleBook styles) {
  /** All that can set a value at a place, from the span's own changes to the defaults. */
  List<Contribution> from(Place place) {
    List<Contribution> walk = new ArrayList<>();
    walk.add(new Contribution(new Source.LocalChange(Level.SPAN), place.spanLocal()));
    place.spanFollows().reversed().forEach(id -> addStyle(walk, Level.SPAN, id));
    walk.add(new Contribution(new Source.LocalChange(Level.PARAGRAPH), place.paragraphLocal()));
    place.paragraphFollows().ifPresent(id -> addStyle(walk, Level.PARAGRAPH, id));
    walk.add(new Contribution(new Source.LocalChange(Level.LAYER), place.layerLocal()));
    place.layerFollows().reversed().forEach(id -> addStyle(walk, Level.LAYER, id));
    walk.add(new Contribution(new Source.OwnFrame(), place.frame()));
    place.track().ifPresent(track -> addTrack(walk, track, place.inherited()));
    addFoundation(walk, place.inherited().base());
    return walk;
  }

  private void addTrack(List<Contribution> walk, TrackId track, InheritedStyles inherited) {
    walk.add(new Contribution(new Source.TrackChange(track), inherited.local()));
    for (StyleId id : inherited.follows().reversed()) {
      styles
          .chain(id)
          .forEach(style ->
              walk.add(
                  new Contribution(
                      new Source.TrackStyle(track, id, style.id()), style.properties())));
    }
  }

  private void addFoundation(List<Contribution> walk, Optional<StyleId> plain) {
    plain.ifPresent(id ->
        styles
            .chain(id)
            .forEach(style ->
                walk.add(new Contribution(new Source.Base(style.id()), style.properties()))));
    walk.add(new Contribution(new Source.Default(), Properties.DEFAULTS));
  }

  private void addStyle(List<Contribution> walk, Level level, StyleId id) {
    styles.find(id).ifPresent(style -> addStyle(walk, level, style));
  }

  private void addStyle(List<Contribution> walk, Level level, Style followed) {
    walk.add(
        new Contribution(
            new Source.Followed(level, followed.id(), followed.id()), followed.properties()));
    followed
        .basedOn()
        .ifPresent(id ->
            styles
                .chain(id)
                .forEach(style ->
                    walk.add(
                        new Contribution(
                            new Source.Followed(level, followed.id(), style.id()),
                            style.properties()))));
  }

  /** A style with what it is based on. */
  List<Contribution> from(Style style) {
    List<Contribution> walk = new ArrayList<>();
    addStyle(walk, style.level().level(), style);
    return walk;
  }

  /** A style with what it is based on, then plain text. */
  List<Contribution> from(Style style, Optional<StyleId> base) {
    List<Contribution> walk = from(style);
    addFoundation(walk, base);
    return walk;
  }

  /** What the sources on a walk set for a key, and which of them wins. */
  static <T> Trace<T> trace(List<Contribution> walk, PropertyKey<T> key) {
    List<Trace.Step<T>> steps = new ArrayList<>();
    PropertySet computed = PropertySet.EMPTY;
    for (Contribution contribution : walk.reversed()) {
      Optional<T> declared =
          contribution.values().get(key).filter(_ -> key.countsOn(contribution.source().level()));
      if (declared.isPresent()) {
        computed = put(computed, key, declared.get());
        steps.addFirst(
            new Trace.Step<>(
                contribution.source(), declared.get(), computed.get(key).orElseThrow()));
      }
    }
    if (steps.isEmpty()) {
      T value = key.property().defaultValue();
      steps.add(new Trace.Step<>(new Source.Default(), value, value));
    }
    return new Trace<>(key, steps);
  }

  private static <T> PropertySet put(PropertySet set, PropertyKey<T> key, T value) {
    if (value instanceof FontSize declared) {
      return set.with(Properties.SIZE, FontSize.points(declared.over(Cascade.size(set))));
    }
    return set.with(key, value);
  }
}
