package dynamorph.formats.captions;

import dynamorph.model.Artboard;
import dynamorph.model.Layer;
import dynamorph.model.LayerId;
import dynamorph.model.LengthUnit;
import dynamorph.model.Project;
import dynamorph.model.property.Properties;
import dynamorph.model.property.PropertySet;
import dynamorph.model.text.Paragraph;
import dynamorph.model.text.Span;
import dynamorph.model.text.Story;
import dynamorph.model.timeline.FrameRate;
import dynamorph.model.timeline.Time;
import dynamorph.model.timeline.Timeline;
import dynamorph.model.timeline.Timing;
import dynamorph.model.timeline.Track;
import dynamorph.model.value.Colour;
import java.util.List;
import java.util.Optional;

/** A film with one track of captions, written in a format. */
record WrittenFilm(Track.Captions track, CaptionFiles.Format format) {
  CaptionFiles.Written write(Timeline line, List<Layer> cues) {
    Artboard film =
        Artboard.empty("film", "Film", 1920, 1080, LengthUnit.PIXEL)
            .withTimeline(Optional.of(line.plus(track)))
            .withLayers(cues);
    Project project = Project.empty("P").plus(film);
    return CaptionFiles.write(project, film, track, format);
  }

  CaptionFiles.Written write(FrameRate rate, List<Layer> cues) {
    return write(line(rate), cues);
  }

  /** Ten minutes. */
  static Timeline line(FrameRate rate) {
    return Timeline.of(rate, Time.ofMillis(600_000));
  }

  Layer cue(int number, Time in, Time out, Span... spans) {
    return Layer.of("c", "Cue", "")
        .withId(new LayerId("c" + number))
        .withStory(Story.of(Paragraph.of(spans)))
        .withTiming(Timing.of(track.id(), in, out));
  }

  static Span coloured(String words, String colour) {
    return Span.of(words)
        .withLocal(
            PropertySet.EMPTY.with(Properties.COAT_COLOUR.at(CueCss.FILL), Colour.hex(colour)));
  }
}
