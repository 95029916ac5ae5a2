package dynamorph.model.edit.importing;

import dynamorph.model.property.PropertySet;
import dynamorph.model.style.Style;
import dynamorph.model.style.StyleId;
import dynamorph.model.text.Story;
import dynamorph.model.timeline.FrameRate;
import dynamorph.model.timeline.Time;
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
 */
public record CaptionList(
    String language,
    Optional<FrameRate> rate,
    List<Style> styles,
    List<StyleId> follows,
    PropertySet local,
    List<Cue> cues) {
  public CaptionList {
    styles = List.copyOf(styles);
    follows = List.copyOf(follows);
    cues = List.copyOf(cues);
  }

  /** Cues alone. */
  public static CaptionList of(String language, List<Cue> cues) {
    return new CaptionList(
        language, Optional.empty(), List.of(), List.of(), PropertySet.EMPTY, cues);
  }

  /**
   * One cue.
   *
   * @param name what the file calls it; may be empty
   * @param speaker who says it; may be empty
   * @param story its lines as paragraphs' line breaks (U+2028), with styles of the sheet
   * @param local placement and other values of its own
   */
  public record Cue(
      String name,
      Time in,
      Time out,
      String speaker,
      Story story,
      List<StyleId> follows,
      PropertySet local) {
    public Cue {
      follows = List.copyOf(follows);
    }

    public static Cue of(String name, Time in, Time out, Story story) {
      return new Cue(name, in, out, "", story, List.of(), PropertySet.EMPTY);
    }

    /** The lines without what they look like. */
    public String text() {
      return story.text().replace('\u2028', '\n');
    }
  }
}
