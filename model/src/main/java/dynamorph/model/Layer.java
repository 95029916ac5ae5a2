package dynamorph.model;

import dynamorph.model.message.Messages;
import dynamorph.model.property.Facet;
import dynamorph.model.property.PropertySet;
import dynamorph.model.shape.Shape;
import dynamorph.model.style.StyleId;
import dynamorph.model.style.StyleReferences;
import dynamorph.model.text.Span;
import dynamorph.model.text.Story;
import dynamorph.model.timeline.Timing;
import dynamorph.model.timeline.TrackId;
import dynamorph.model.value.ItemState;
import java.util.List;
import java.util.Objects;
import java.util.Optional;
import java.util.Set;
import java.util.function.Function;
import java.util.function.UnaryOperator;
import java.util.stream.Collectors;
import java.util.stream.Stream;

/**
 * A text on an artboard, or a shape.
 *
 * @param story the words; a shape has none
 * @param shape what it shows instead of words
 * @param frame where it stands when no style places it: values of the Placement facet only. They
 *     are the layer's own and no local changes; the styles it follows come before them.
 * @param follows text styles, last added last
 * @param local local changes
 * @param muted styles that count for nothing in this layer for now, wherever in it they are
 *     followed
 * @param timing when it is seen, for titles and cues; a text on a still artboard is always there
 * @param state whether it is seen, and whether it can be changed by hand
 * @param continues the box whose text goes on in this one, which has no words of its own; see
 *     {@link dynamorph.model.flow.LinkedBoxes}
 */
public record Layer(
    LayerId id,
    String name,
    Story story,
    Optional<Shape> shape,
    PropertySet frame,
    List<StyleId> follows,
    PropertySet local,
    Set<StyleId> muted,
    Optional<Timing> timing,
    ItemState state,
    Optional<LayerId> continues) {
  public Layer {
    Objects.requireNonNull(id, "id");
    Objects.requireNonNull(name, "name");
    Objects.requireNonNull(story, "story");
    follows = List.copyOf(follows);
    Objects.requireNonNull(local, "local");
    muted = Set.copyOf(muted);
    Objects.requireNonNull(state, "state");
    Objects.requireNonNull(continues, "continues");
    if (shape.isPresent() && !story.text().isEmpty()) {
      throw new IllegalArgumentException(Messages.of("layer.a-layer-shows-a-shape-or"));
    }
    if (frame.keys().stream().anyMatch(key -> key.property().facet() != Facet.PLACEMENT)) {
      throw new IllegalArgumentException(
          Messages.of("layer.the-frame-of-a-layer-holds", frame.keys()));
    }
  }

  public static Layer of(String id, String name, String text) {
    return new Layer(
        new LayerId(id),
        name,
        Story.of(text),
        Optional.empty(),
        PropertySet.EMPTY,
        List.of(),
        PropertySet.EMPTY,
        Set.of(),
        Optional.empty(),
        ItemState.OPEN,
        Optional.empty());
  }

  /** A layer that shows a shape. */
  public static Layer of(String id, String name, Shape shape) {
    return of(id, name, "").withShape(Optional.of(shape));
  }

  public boolean isText() {
    return shape.isEmpty();
  }

  /** Whether it has no words of its own, but shows those that find no room in another box. */
  public boolean isFurtherBox() {
    return continues.isPresent() && story.length() == 0;
  }

  public Layer withId(LayerId changed) {
    return new Layer(
        changed, name, story, shape, frame, follows, local, muted, timing, state, continues);
  }

  public Layer withName(String changed) {
    return new Layer(
        id, changed, story, shape, frame, follows, local, muted, timing, state, continues);
  }

  public Layer withStory(Story changed) {
    return new Layer(
        id, name, changed, shape, frame, follows, local, muted, timing, state, continues);
  }

  public Layer withShape(Optional<Shape> changed) {
    return new Layer(
        id, name, story, changed, frame, follows, local, muted, timing, state, continues);
  }

  public Layer withFrame(PropertySet changed) {
    return new Layer(
        id, name, story, shape, changed, follows, local, muted, timing, state, continues);
  }

  public Layer withFollows(List<StyleId> changed) {
    return new Layer(
        id, name, story, shape, frame, changed, local, muted, timing, state, continues);
  }

  public Layer withLocal(PropertySet changed) {
    return new Layer(
        id, name, story, shape, frame, follows, changed, muted, timing, state, continues);
  }

  public Layer withMuted(Set<StyleId> changed) {
    return new Layer(
        id, name, story, shape, frame, follows, local, changed, timing, state, continues);
  }

  public Layer withTiming(Optional<Timing> changed) {
    return new Layer(
        id, name, story, shape, frame, follows, local, muted, changed, state, continues);
  }

  public Layer withState(ItemState changed) {
    return new Layer(
        id, name, story, shape, frame, follows, local, muted, timing, changed, continues);
  }

  public Layer withContinues(Optional<LayerId> changed) {
    return new Layer(id, name, story, shape, frame, follows, local, muted, timing, state, changed);
  }

  public Layer withTiming(Timing changed) {
    return withTiming(Optional.of(changed));
  }

  /** What is set by hand: on the layer, on its paragraphs, and on words. */
  public Stream<PropertySet> locals() {
    return story.deviatesInside()
        ? Stream.concat(
            Stream.of(local),
            story.paragraphs().stream()
                .flatMap(paragraph ->
                    Stream.concat(
                        Stream.of(paragraph.local()), paragraph.spans().stream().map(Span::local))))
        : Stream.of(local);
  }

  /** With all that is set by hand in it changed; itself if nothing is. */
  public Layer mapLocals(UnaryOperator<PropertySet> change) {
    if (local.isEmpty() && !story.deviatesInside()) {
      return this;
    }
    return withLocal(change.apply(local))
        .withStory(
            story.mapParagraphs(paragraph ->
                paragraph
                    .withLocal(change.apply(paragraph.local()))
                    .mapSpans(span -> span.withLocal(change.apply(span.local())))));
  }

  /** The track that it lies on, if it is a title or a cue. */
  public Optional<TrackId> track() {
    return timing.map(Timing::track);
  }

  /** Those of the followed styles that count. */
  public List<StyleId> counting(List<StyleId> followed) {
    return muted.isEmpty()
        ? followed
        : followed.stream().filter(style -> !muted.contains(style)).toList();
  }

  /**
   * With every style that is followed anywhere in it changed for another, or left out; one that
   * would then stand twice in a stack stands once.
   */
  public Layer mapFollows(Function<StyleId, Optional<StyleId>> change) {
    return withFollows(mapped(follows, change))
        .withLocal(StyleReferences.mapped(local, change))
        .withMuted(
            muted.stream().flatMap(id -> change.apply(id).stream()).collect(Collectors.toSet()))
        .withStory(
            story.mapParagraphs(paragraph ->
                paragraph
                    .withFollows(paragraph.follows().flatMap(change))
                    .withLocal(StyleReferences.mapped(paragraph.local(), change))
                    .mapSpans(span -> span.withFollows(mapped(span.follows(), change)))));
  }

  private static List<StyleId> mapped(
      List<StyleId> followed, Function<StyleId, Optional<StyleId>> change) {
    return followed.stream().flatMap(id -> change.apply(id).stream()).distinct().toList();
  }
}
