package dynamorph.model.timeline;

import dynamorph.model.property.PropertySet;
import dynamorph.model.style.StyleId;
import dynamorph.model.value.ItemState;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.TreeMap;
import java.util.function.Function;

/** What runs along a timeline. Titles and cues are layers that name their track. */
public sealed interface Track {
  TrackId id();

  String name();

  /** Whether it is seen, and whether it can be changed by hand. */
  ItemState state();

  Track withName(String name);

  Track withState(ItemState state);

  /**
   * Moving pictures.
   *
   * @param clips where two overlap the later one in the list is seen
   */
  record Footage(TrackId id, String name, ItemState state, List<Clip> clips) implements Track {
    public Footage {
      Objects.requireNonNull(id, "id");
      clips = List.copyOf(clips);
    }

    @Override
    public Footage withName(String changed) {
      return new Footage(id, changed, state, clips);
    }

    @Override
    public Footage withState(ItemState changed) {
      return new Footage(id, name, changed, clips);
    }

    public Footage withClips(List<Clip> changed) {
      return new Footage(id, name, state, changed);
    }

    /** What is seen at a moment. */
    public Optional<Clip> at(Time time) {
      return clips.reversed().stream().filter(clip -> clip.isLive(time)).findFirst();
    }
  }

  /** Titles. */
  record Titles(TrackId id, String name, ItemState state) implements Track {
    public Titles {
      Objects.requireNonNull(id, "id");
    }

    @Override
    public Titles withName(String changed) {
      return new Titles(id, changed, state);
    }

    @Override
    public Titles withState(ItemState changed) {
      return new Titles(id, name, changed);
    }
  }

  /**
   * Captions in one language.
   *
   * @param language a BCP 47 tag
   * @param follows text styles that all cues take, last added last
   * @param local what is set by hand for the whole track
   * @param speakers the character style that each named speaker brings
   */
  record Captions(
      TrackId id,
      String name,
      ItemState state,
      String language,
      List<StyleId> follows,
      PropertySet local,
      Map<String, StyleId> speakers,
      CaptionRules rules)
      implements Track {
    public Captions {
      Objects.requireNonNull(id, "id");
      Objects.requireNonNull(language, "language");
      follows = List.copyOf(follows);
      speakers = java.util.Collections.unmodifiableMap(new TreeMap<>(speakers));
    }

    public static Captions of(String id, String name, String language) {
      return new Captions(
          new TrackId(id),
          name,
          ItemState.OPEN,
          language,
          List.of(),
          PropertySet.EMPTY,
          Map.of(),
          CaptionRules.USUAL);
    }

    @Override
    public Captions withName(String changed) {
      return new Captions(id, changed, state, language, follows, local, speakers, rules);
    }

    @Override
    public Captions withState(ItemState changed) {
      return new Captions(id, name, changed, language, follows, local, speakers, rules);
    }

    public Captions withLanguage(String changed) {
      return new Captions(id, name, state, changed, follows, local, speakers, rules);
    }

    public Captions withFollows(List<StyleId> changed) {
      return new Captions(id, name, state, language, changed, local, speakers, rules);
    }

    public Captions withLocal(PropertySet changed) {
      return new Captions(id, name, state, language, follows, changed, speakers, rules);
    }

    public Captions withSpeakers(Map<String, StyleId> changed) {
      return new Captions(id, name, state, language, follows, local, changed, rules);
    }

    public Captions withRules(CaptionRules changed) {
      return new Captions(id, name, state, language, follows, local, speakers, changed);
    }

    /** The styles that a cue takes: those of the track, then what its speaker brings. */
    public List<StyleId> taken(String speaker) {
      StyleId brought = speakers.get(speaker);
      if (brought == null) {
        return follows;
      }
      List<StyleId> taken = new ArrayList<>(follows);
      taken.add(brought);
      return taken;
    }

    /** With every style changed for another, or left out. */
    public Captions mapFollows(Function<StyleId, Optional<StyleId>> change) {
      Map<String, StyleId> brought = new TreeMap<>();
      speakers.forEach(
          (speaker, style) -> change.apply(style).ifPresent(to -> brought.put(speaker, to)));
      return withFollows(
              follows.stream().flatMap(id -> change.apply(id).stream()).distinct().toList())
          .withSpeakers(brought);
    }
  }
}
