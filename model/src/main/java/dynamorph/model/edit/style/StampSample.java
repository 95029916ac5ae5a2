package dynamorph.model.edit.style;

import static java.util.Objects.requireNonNull;

import dynamorph.model.Layer;
import dynamorph.model.LayerId;
import dynamorph.model.Project;
import dynamorph.model.cascade.Cascade;
import dynamorph.model.cascade.Coats;
import dynamorph.model.edit.Edit;
import dynamorph.model.edit.EditRefused;
import dynamorph.model.edit.KeptLook;
import dynamorph.model.edit.Target;
import dynamorph.model.edit.Tidy;
import dynamorph.model.edit.layer.DropLocal;
import dynamorph.model.edit.layer.ReplaceFinish;
import dynamorph.model.edit.layer.SetValues;
import dynamorph.model.message.Messages;
import dynamorph.model.property.Facet;
import dynamorph.model.property.PropertyKey;
import dynamorph.model.property.PropertySet;
import dynamorph.model.style.StyleId;
import dynamorph.model.text.Paragraph;
import dynamorph.model.text.Span;
import dynamorph.model.text.TextRange;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.Set;

/**
 * Gives a target the look of a sample. With its styles the target follows what the sample followed,
 * as far as the target goes (words cannot follow a text style), and only what then still differs
 * becomes a local change.
 *
 * @param facets what is taken; the others stay as they look
 * @param withStyles whether the styles are followed too, or only values copied
 */
public record StampSample(Target target, Sample sample, Set<Facet> facets, boolean withStyles)
    implements Edit {
  public StampSample {
    facets = Set.copyOf(facets);
  }

  @Override
  public Project applyTo(Project before) {
    if (facets.isEmpty()) {
      throw new EditRefused(Messages.of("stamp-sample.the-sample-holds-no-facet-choose"));
    }
    if (target instanceof Target.Passages several) {
      return several.each(before, passage -> new StampSample(passage, sample, facets, withStyles));
    }
    Project following = withStyles ? following(before) : before;
    Project after = following;
    Cascade cascade = Cascade.of(following);
    for (Layer layer : following.layersOf(target.layers()).values()) {
      PropertySet change = change(cascade, layer);
      if (!change.isEmpty()) {
        after = SetValues.of(targetIn(layer.id()), change).applyTo(after);
      }
    }
    return facets.contains(Facet.FINISH)
        ? ReplaceFinish.of(target, sample.values()).applyTo(after)
        : after;
  }

  private Target targetIn(LayerId id) {
    return target.in(id);
  }

  /** The styles go on; what was not asked for keeps its look, and earlier local changes go. */
  private Project following(Project before) {
    Project dropped = DropLocal.in(target, facets).applyTo(before);
    Project changed = dropped.mapLayers(target.layers(), layer -> follow(before, layer));
    Cascade cascade = Cascade.of(before);
    KeptLook look =
        new KeptLook(
            cascade, cascade.follow(changed), key -> !facets.contains(key.property().facet()));
    var were = before.layersOf(target.layers());
    Project kept =
        facets.size() == Facet.values().length
            ? changed
            : changed.mapLayers(
                target.layers(), layer -> look.of(requireNonNull(were.get(layer.id())), layer));
    return Tidy.layers(kept, target.layers());
  }

  private Layer follow(Project project, Layer layer) {
    return switch (target) {
      case Target.Layers _ ->
          layer
              .withFollows(besideTrack(project, layer, there(project, sample.layerFollows())))
              .withStory(
                  layer
                      .story()
                      .mapParagraphs(paragraph ->
                          paragraph
                              .withFollows(sample.paragraphFollows().filter(isIn(project)))
                              .mapSpans(
                                  span -> span.withFollows(there(project, sample.spanFollows())))));
      case Target.Words words -> followInWords(project, layer, words.range());
      case Target.Passages _ -> throw new IllegalStateException("passages are stamped one by one");
    };
  }

  /** A cue takes the styles of its track already. */
  private static List<StyleId> besideTrack(Project project, Layer layer, List<StyleId> follows) {
    List<StyleId> taken =
        project
            .captionsOf(layer)
            .map(track -> track.taken(layer.timing().orElseThrow().speaker()))
            .orElse(List.of());
    return follows.stream().filter(style -> !taken.contains(style)).toList();
  }

  /** A paragraph takes a paragraph style if all of it is meant. */
  private Layer followInWords(Project project, Layer layer, TextRange range) {
    TextRange inside = range.within(layer.story().all());
    List<Paragraph> paragraphs = new ArrayList<>(layer.story().paragraphs());
    for (int index = 0; index < paragraphs.size(); index++) {
      TextRange own = layer.story().rangeOf(index);
      boolean whole = inside.start() <= own.start() && inside.end() >= own.end();
      if (whole && sample.paragraphFollows().filter(isIn(project)).isPresent()) {
        paragraphs.set(index, paragraphs.get(index).withFollows(sample.paragraphFollows()));
      }
    }
    return layer.withStory(
        new dynamorph.model.text.Story(paragraphs)
            .mapSpans(inside, span -> span.withFollows(there(project, sample.spanFollows()))));
  }

  private static List<StyleId> there(Project project, List<StyleId> ids) {
    return ids.stream().filter(isIn(project)).toList();
  }

  private static java.util.function.Predicate<StyleId> isIn(Project project) {
    return id -> project.styles().find(id).isPresent();
  }

  /** The values of the sample that the target does not have everywhere, apart from its coats. */
  private PropertySet change(Cascade cascade, Layer layer) {
    List<PropertySet> places = places(cascade, layer);
    PropertySet change = PropertySet.EMPTY;
    for (PropertyKey<?> key : sample.values().keys()) {
      Facet facet = key.property().facet();
      boolean wanted = facets.contains(facet) && facet != Facet.FINISH && goesHere(key);
      if (wanted && places.stream().anyMatch(place -> differs(place, key))) {
        change = change.withFrom(sample.values(), key);
      }
    }
    return change;
  }

  private boolean goesHere(PropertyKey<?> key) {
    return target instanceof Target.Layers || !key.places();
  }

  private <T> boolean differs(PropertySet place, PropertyKey<T> key) {
    return !Optional.of(Coats.value(place, key)).equals(sample.values().get(key));
  }

  private static List<PropertySet> places(Cascade cascade, Layer layer) {
    List<PropertySet> places = new ArrayList<>();
    places.add(cascade.values(layer));
    for (Paragraph paragraph : layer.story().paragraphs()) {
      for (Span span : paragraph.spans()) {
        places.add(cascade.valuesWithPlacement(layer, paragraph, span));
      }
    }
    return places;
  }

  @Override
  public String label(Project before) {
    return Messages.of("stamp-sample.stamp-the-sample-of-on", sample.from(), target.label());
  }
}
