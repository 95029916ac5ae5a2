package dynamorph.model.cascade;

import dynamorph.model.property.PropertySet;
import dynamorph.model.style.StyleId;
import dynamorph.model.text.Paragraph;
import dynamorph.model.text.Span;
import dynamorph.model.timeline.TrackId;
import java.util.List;
import java.util.Optional;
import java.util.Set;

/** A combination of sources; the key under which merged values are remembered. */
record Place(
    Set<StyleId> muted,
    List<StyleId> layerFollows,
    PropertySet layerLocal,
    PropertySet frame,
    Optional<StyleId> paragraphFollows,
    PropertySet paragraphLocal,
    List<StyleId> spanFollows,
    PropertySet spanLocal,
    InheritedStyles inherited,
    Optional<TrackId> track) {
  /** Plain text that follows nothing. */
  static Place plain(Optional<StyleId> base) {
    return new Place(
        Set.of(),
        List.of(),
        PropertySet.EMPTY,
        PropertySet.EMPTY,
        Optional.empty(),
        PropertySet.EMPTY,
        List.of(),
        PropertySet.EMPTY,
        InheritedStyles.plain(base),
        Optional.empty());
  }

  /** The place of a paragraph; the same where the paragraph adds nothing, as most do. */
  Place in(Paragraph paragraph) {
    if (paragraph.follows().isEmpty() && paragraph.local().isEmpty()) {
      return this;
    }
    return new Place(
        muted,
        layerFollows,
        layerLocal,
        frame,
        paragraph.follows().filter(style -> !muted.contains(style)),
        paragraph.local(),
        spanFollows,
        spanLocal,
        inherited,
        track);
  }

  /** The place of a span; the same where the span adds nothing. */
  Place in(Span span) {
    if (span.follows().isEmpty() && span.local().isEmpty()) {
      return this;
    }
    List<StyleId> counting =
        muted.isEmpty()
            ? span.follows()
            : span.follows().stream().filter(style -> !muted.contains(style)).toList();
    return new Place(
        muted,
        layerFollows,
        layerLocal,
        frame,
        paragraphFollows,
        paragraphLocal,
        counting,
        span.local(),
        inherited,
        track);
  }
}
