package dynamorph.app.inspector;

import dynamorph.app.field.ValueEditor.Shown;
import dynamorph.app.property.SourceNames;
import dynamorph.app.property.Subject;
import dynamorph.app.session.Workspace;
import dynamorph.model.Layer;
import dynamorph.model.Project;
import dynamorph.model.cascade.Cascade;
import dynamorph.model.cascade.Coats;
import dynamorph.model.cascade.Source;
import dynamorph.model.cascade.Trace;
import dynamorph.model.edit.Edit;
import dynamorph.model.edit.Target;
import dynamorph.model.edit.layer.DropLocal;
import dynamorph.model.edit.layer.SetValues;
import dynamorph.model.property.Address;
import dynamorph.model.property.Facet;
import dynamorph.model.property.PropertyKey;
import dynamorph.model.property.PropertySet;
import dynamorph.model.text.Paragraph;
import dynamorph.model.text.Span;
import dynamorph.model.text.TextRange;
import java.util.ArrayList;
import java.util.Collection;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;

/**
 * The selected texts or words. Places that have the same sources are looked at once, however many
 * there are.
 */
public final class SelectionSubject implements Subject {
  /** A place in a text that has values of its own. */
  private record Spot(Layer layer, Paragraph paragraph, Span span) {
    Object sources(Cascade cascade) {
      return List.of(
          layer.follows(),
          layer.muted(),
          cascade.baseOf(layer),
          layer.local().where(key -> key.property().facet() != Facet.PLACEMENT),
          paragraph.follows(),
          paragraph.local(),
          span.follows(),
          span.local());
    }
  }

  private final Workspace workspace;
  private final Target target;
  private final Target boxes;
  private final Cascade cascade;
  private final Collection<Spot> spots;
  private final List<Layer> layers;
  private final List<Layer> standing;
  private final Collection<Layer> placed;
  private final Set<PropertySet> values = new LinkedHashSet<>();
  private final Set<PropertySet> layerValues = new LinkedHashSet<>();

  public SelectionSubject(Workspace workspace, Cascade cascade) {
    this.workspace = workspace;
    this.cascade = cascade;
    // a box that goes on with the text of another has its own place, but not its own look
    this.target = workspace.target();
    this.boxes = workspace.selection().target();
    Project project = workspace.project();
    this.layers = of(project, target);
    this.standing = target.equals(boxes) ? layers : of(project, boxes);
    Map<Object, Spot> distinct = new LinkedHashMap<>();
    Map<Object, Layer> distinctlyPlaced = new LinkedHashMap<>();
    for (Layer layer : layers) {
      spots(cascade.dressed(layer))
          .forEach(spot -> distinct.putIfAbsent(spot.sources(cascade), spot));
    }
    for (Layer layer : standing) {
      distinctlyPlaced.putIfAbsent(
          List.of(layer.follows(), layer.muted(), layer.local().keys(), layer.frame().keys()),
          layer);
      layerValues.add(cascade.values(layer));
    }
    this.spots = distinct.values();
    this.placed = distinctlyPlaced.values();
    spots.forEach(spot -> values.add(cascade.values(spot.layer, spot.paragraph, spot.span)));
  }

  private static List<Layer> of(Project project, Target target) {
    Set<dynamorph.model.LayerId> ids = target.layers();
    return project.layers().filter(layer -> ids.contains(layer.id())).toList();
  }

  private List<Spot> spots(Layer layer) {
    return switch (target) {
      case Target.Layers _ -> spots(layer, layer.story().all(), true);
      case Target.Words words -> spots(layer, words.range().within(layer.story().all()), false);
      case Target.Passages several -> {
        List<Spot> found = new ArrayList<>();
        for (Target.Words passage : several.of(layer.id())) {
          TextRange range = passage.range().within(layer.story().all());
          boolean paragraph = range.isEmpty();
          TextRange letters =
              paragraph ? layer.story().rangeOf(layer.story().paragraphAt(range.start())) : range;
          found.addAll(spots(layer, letters, false));
        }
        yield found;
      }
    };
  }

  private static List<Spot> spots(Layer layer, TextRange range, boolean whole) {
    List<Spot> found = new ArrayList<>();
    if (range.isEmpty()) {
      Paragraph paragraph =
          layer.story().paragraphs().get(layer.story().paragraphAt(range.start()));
      found.add(new Spot(layer, paragraph, layer.story().spanAt(range.start())));
      return found;
    }
    int at = 0;
    for (Paragraph paragraph : layer.story().paragraphs()) {
      for (Span span : paragraph.spans()) {
        int end = at + span.length();
        boolean touched = at < range.end() && end > range.start();
        if (touched || whole) {
          found.add(new Spot(layer, paragraph, span));
        }
        at = end;
      }
      at++;
    }
    return found;
  }

  @Override
  public boolean isEmpty() {
    return layers.isEmpty();
  }

  private static boolean isOfLayer(PropertyKey<?> key) {
    return !key.countsOn(dynamorph.model.property.Level.PARAGRAPH);
  }

  @Override
  public <T> Shown<T> shown(PropertyKey<T> key) {
    Set<PropertySet> places = isOfLayer(key) ? layerValues : values;
    Set<T> different = new LinkedHashSet<>();
    for (PropertySet place : places) {
      different.add(Coats.value(place, key));
    }
    if (different.size() != 1) {
      return new Shown<>(key, Optional.empty(), Optional.empty());
    }
    return new Shown<>(
        key, Optional.of(different.iterator().next()), Optional.of(trace(key).winner().declared()));
  }

  @Override
  public Mark mark(PropertyKey<?> key) {
    Mark mark = Mark.DEFAULT;
    for (Source source : sources(key)) {
      switch (source) {
        case Source.LocalChange _ -> {
          return Mark.LOCAL;
        }
        case Source.Followed _, Source.Base _, Source.TrackStyle _, Source.TrackChange _ ->
            mark = Mark.STYLE;
        case Source.OwnFrame _, Source.Default _ -> {}
      }
    }
    return mark;
  }

  @Override
  public boolean isOwn(PropertyKey<?> key) {
    return mark(key) == Mark.LOCAL;
  }

  private List<Source> sources(PropertyKey<?> key) {
    return isOfLayer(key)
        ? placed.stream().map(layer -> cascade.trace(layer, key).winner().source()).toList()
        : spots.stream()
            .map(
                spot -> cascade.trace(spot.layer, spot.paragraph, spot.span, key).winner().source())
            .toList();
  }

  @Override
  public void set(PropertySet set, Optional<Object> gesture) {
    PropertySet ofBoxes = set.where(SelectionSubject::isOfLayer);
    boolean one = target.equals(boxes) || ofBoxes.isEmpty();
    if (one) {
      workspace.apply(SetValues.of(target, set), gesture);
      return;
    }
    SetValues places = SetValues.of(boxes, ofBoxes);
    SetValues looks = SetValues.of(target, set.where(key -> !isOfLayer(key)));
    workspace.apply(
        looks.values().isEmpty()
            ? places
            : Edit.together(looks.label(workspace.project()), places, looks),
        gesture);
  }

  @Override
  public void drop(Set<PropertyKey<?>> keys) {
    Set<PropertyKey<?>> ofBoxes =
        keys.stream().filter(SelectionSubject::isOfLayer).collect(Collectors.toSet());
    if (target.equals(boxes) || ofBoxes.isEmpty()) {
      workspace.apply(DropLocal.of(target, keys));
      return;
    }
    DropLocal places = DropLocal.of(boxes, ofBoxes);
    Set<PropertyKey<?>> ofText =
        keys.stream().filter(key -> !isOfLayer(key)).collect(Collectors.toSet());
    DropLocal looks = DropLocal.of(target, ofText);
    workspace.apply(
        ofText.isEmpty() ? places : Edit.together(looks.label(workspace.project()), places, looks));
  }

  @Override
  public List<Address> coats(String host) {
    Set<PropertySet> places = host.equals(Address.PLATE) ? layerValues : values;
    return places.stream().flatMap(place -> Coats.of(place, host).stream()).distinct().toList();
  }

  @Override
  public List<Address> effects(Address coat) {
    Set<PropertySet> places = coat.host().equals(Address.PLATE) ? layerValues : values;
    return places.stream()
        .flatMap(place -> Coats.effects(place, coat).stream())
        .distinct()
        .toList();
  }

  @Override
  public <T> Trace<T> trace(PropertyKey<T> key) {
    if (isOfLayer(key)) {
      return cascade.trace(standing.getFirst(), key);
    }
    Spot spot = spots.iterator().next();
    return cascade.trace(spot.layer, spot.paragraph, spot.span, key);
  }

  @Override
  public String origin(PropertyKey<?> key) {
    List<String> origins =
        sources(key).stream()
            .map(source -> SourceNames.of(workspace.project(), source))
            .distinct()
            .toList();
    return String.join(" / ", origins);
  }
}
