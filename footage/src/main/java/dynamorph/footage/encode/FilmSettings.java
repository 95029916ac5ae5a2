package dynamorph.footage.encode;

import dynamorph.footage.sound.Sound;
import dynamorph.model.export.ExportFormat;
import dynamorph.model.timeline.FrameRate;
import dynamorph.model.timeline.Time;
import java.util.List;
import java.util.Optional;

/**
 * How a film is written.
 *
 * @param format of films
 * @param width in pixels, even
 * @param height in pixels, even
 * @param quality 1 to 100; where the format gives up details only
 * @param transparent whether its pictures have an alpha channel
 * @param timecode of its first frame, by SMPTE ST 12-1
 * @param title of the film
 * @param comment is kept in the file as it is
 * @param chapters in the order of time, not before zero
 * @param captions tracks of text beside the pictures
 * @param sound what is heard; none if empty
 */
public record FilmSettings(
    ExportFormat format,
    int width,
    int height,
    FrameRate rate,
    int quality,
    boolean transparent,
    String timecode,
    String title,
    String comment,
    List<Chapter> chapters,
    List<CaptionTrack> captions,
    Optional<Sound> sound) {
  /**
   * A part of a film that players let one go to.
   *
   * @param from its first moment
   * @param to when the next one begins, or the film is over
   */
  public record Chapter(String title, Time from, Time to) {}

  /**
   * Text in one language.
   *
   * @param language a BCP 47 tag
   * @param cues in the order of time
   */
  public record CaptionTrack(String name, String language, List<Cue> cues) {
    public CaptionTrack {
      cues = List.copyOf(cues);
    }
  }

  /** Text that is shown for a while; lines are parted by line feeds. */
  public record Cue(Time in, Time out, String text) {}

  public FilmSettings {
    if (!format.isFilm() || width < 2 || height < 2 || width % 2 != 0 || height % 2 != 0) {
      throw new IllegalArgumentException(format + " " + width + " × " + height);
    }
    chapters = List.copyOf(chapters);
    captions = List.copyOf(captions);
  }
}
