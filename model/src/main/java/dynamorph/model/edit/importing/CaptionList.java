package dynamorph.model.edit.importing;

import dynamorph.model.property.PropertySet;
import dynamorph.model.style.Style;
import dynamorph.model.style.StyleId;
import dynamorph.model.text.Story;
import dynamorph.model.timeline.FrameRate;
import dynamorph.model.timeline.Time;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;

/**
 * What a caption file holds, in the terms of a project.
 *
 * @param language a BCP 47 tag; empty if the file does not tell
 * @param rate of the frames that it counts in, if it does
 * @param styles that its cues and their words follow, bases before what is based on them
 * @param follows styles that all its cues take
 * @param local values that all its cues take
 * @param grain the shortest time that the file can tell
 * @param nonDrop whether its times come from timecode that numbers every frame of 29.97 or its like
 *     as one of thirty, of which an hour lasts 3.6 seconds longer than one of the clock
 */
public record CaptionList(
    String language,
    Optional<FrameRate> rate,
    List<Style> styles,
    List<StyleId> follows,
    PropertySet local,
    List<Cue> cues,
    Time grain,
    boolean nonDrop) {
  private static final Time MILLISECOND = Time.ofMillis(1);

  public CaptionList {
    styles = List.copyOf(styles);
    follows = List.copyOf(follows);
    cues = List.copyOf(cues);
  }

  /** Captions of a file that counts milliseconds. */
  public CaptionList(
      String language,
      Optional<FrameRate> rate,
      List<Style> styles,
      List<StyleId> follows,
      PropertySet local,
      List<Cue> cues) {
    this(language, rate, styles, follows, local, cues, MILLISECOND, false);
  }

  /** The same of a file that counts longer times. */
  public CaptionList withGrain(Time counted) {
    return new CaptionList(language, rate, styles, follows, local, cues, counted, nonDrop);
  }

  /** The same of a file whose timecode numbers every frame of 29.97 or its like. */
  public CaptionList withNonDrop() {
    return new CaptionList(language, rate, styles, follows, local, cues, grain, true);
  }

  /** Cues alone. */
  public static CaptionList of(String language, List<Cue> cues) {
    return new CaptionList(
        language, Optional.empty(), List.of(), List.of(), PropertySet.EMPTY, cues);
  }

  /**
   * Cues in the frames of a film.
   *
   * @param moved how many of them were set to other times
   */
  public record InFrames(CaptionList captions, int moved) {}

  /**
   * Sets times that lie less than a millisecond beside the beginning of a frame to it, or less than
   * the file can tell before one. Files that count milliseconds cannot say it better, and without
   * this a cue would begin or end a frame early.
   */
  public InFrames inFrames(FrameRate frames) {
    if (rate.filter(own -> isCountedAs(own, frames)).isPresent()) {
      return new InFrames(relabelled(rate.get(), frames), 0);
    }
    int moved = 0;
    List<Cue> set = new ArrayList<>();
    for (Cue cue : cues) {
      Time from = near(cue.in(), frames);
      Time to = near(cue.out(), frames);
      boolean isSound = from.isBefore(to);
      Cue now = isSound ? cue.between(from, to) : cue;
      moved += now.equals(cue) ? 0 : 1;
      set.add(now);
    }
    return new InFrames(withCues(set), moved);
  }

  /** Whether the file counts whole frames, as the timecode of the film does, at another speed. */
  private boolean isCountedAs(FrameRate own, FrameRate frames) {
    return grain.equals(own.frame()) && !own.equals(frames) && own.nominal() == frames.nominal();
  }

  private CaptionList relabelled(FrameRate own, FrameRate frames) {
    return withCues(
        cues.stream()
            .map(cue ->
                cue.between(frames.at(own.frameAt(cue.in())), frames.at(own.frameAt(cue.out()))))
            .toList());
  }

  private Time near(Time time, FrameRate frames) {
    Time frame = frames.snap(time);
    if (Math.abs(frame.ticks() - time.ticks()) < MILLISECOND.ticks()) {
      return frame;
    }
    Time next = frames.at(frames.frameAt(time) + 1);
    return next.minus(time).isBefore(grain) ? next : time;
  }

  /**
   * Times as from the start of a programme, for a file that counts from a timecode before it.
   *
   * @param start the first timecode as a time of the day; nothing changes if that is midnight, or
   *     if a cue lies before it
   */
  public CaptionList fromStart(Time start) {
    return fromOwn(nonDrop ? start.times(1001, 1000) : start);
  }

  private CaptionList fromOwn(Time start) {
    boolean counts =
        start.isAfter(Time.ZERO) && cues.stream().noneMatch(cue -> cue.in().isBefore(start));
    return counts
        ? withCues(
            cues.stream()
                .map(cue -> cue.between(cue.in().minus(start), cue.out().minus(start)))
                .toList())
        : this;
  }

  /** The same with other cues. */
  public CaptionList withCues(List<Cue> changed) {
    return new CaptionList(language, rate, styles, follows, local, changed, grain, nonDrop);
  }

  /**
   * One cue.
   *
   * @param name what the file calls it; may be empty
   * @param speaker who says it; may be empty
   * @param story its lines as paragraphs' line breaks (U+2028), with styles of the sheet
   * @param local placement and other values of its own
   * @param fadeIn how long it takes to appear
   * @param fadeOut how long it takes to vanish
   */
  public record Cue(
      String name,
      Time in,
      Time out,
      String speaker,
      Story story,
      List<StyleId> follows,
      PropertySet local,
      Time fadeIn,
      Time fadeOut) {
    public Cue {
      follows = List.copyOf(follows);
    }

    /** A cue that is there at once. */
    public Cue(
        String name,
        Time in,
        Time out,
        String speaker,
        Story story,
        List<StyleId> follows,
        PropertySet local) {
      this(name, in, out, speaker, story, follows, local, Time.ZERO, Time.ZERO);
    }

    public static Cue of(String name, Time in, Time out, Story story) {
      return new Cue(name, in, out, "", story, List.of(), PropertySet.EMPTY);
    }

    Cue between(Time from, Time to) {
      return new Cue(name, from, to, speaker, story, follows, local, fadeIn, fadeOut);
    }

    /** The same with other words. */
    public Cue withStory(Story other) {
      return new Cue(name, in, out, speaker, other, follows, local, fadeIn, fadeOut);
    }

    /** The same with other styles of its own. */
    public Cue withFollows(List<StyleId> other) {
      return new Cue(name, in, out, speaker, story, other, local, fadeIn, fadeOut);
    }

    /** The lines without what they look like. */
    public String text() {
      return story.text().replace('\u2028', '\n');
    }
  }
}
