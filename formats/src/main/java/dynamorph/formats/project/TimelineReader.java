package dynamorph.formats.project;

import dynamorph.formats.message.Messages;
import dynamorph.model.property.PropertySet;
import dynamorph.model.property.ValueType;
import dynamorph.model.style.StyleId;
import dynamorph.model.timeline.CaptionRules;
import dynamorph.model.timeline.Clip;
import dynamorph.model.timeline.FrameRate;
import dynamorph.model.timeline.Media;
import dynamorph.model.timeline.Time;
import dynamorph.model.timeline.Timecode;
import dynamorph.model.timeline.Timeline;
import dynamorph.model.timeline.Timing;
import dynamorph.model.timeline.Track;
import dynamorph.model.timeline.TrackId;
import dynamorph.model.value.ItemState;
import java.util.Arrays;
import java.util.Map;
import java.util.TreeMap;
import java.util.function.Function;

/** Reads what makes an artboard a film. Times are whole ticks. */
final class TimelineReader {
  private static final ValueType.Flag FLAG = new ValueType.Flag();

  private final Function<JsonCursor, StyleId> style;
  private final Function<JsonCursor, PropertySet> local;

  /**
   * @param style reads a reference to a style
   * @param local reads the local values of an object
   */
  TimelineReader(Function<JsonCursor, StyleId> style, Function<JsonCursor, PropertySet> local) {
    this.style = style;
    this.local = local;
  }

  Timeline timeline(JsonCursor cursor) {
    cursor.only(
        Names.FRAME_RATE, Names.DROP_FRAME, Names.FIRST_FRAME, Names.DURATION, Names.TRACKS);
    JsonCursor rate = cursor.field(Names.FRAME_RATE);
    FrameRate frames = rate.checked(() -> FrameRate.parse(rate.text()));
    return cursor.checked(() ->
        new Timeline(
            new Timecode(frames, flag(cursor, Names.DROP_FRAME)),
            cursor.find(Names.FIRST_FRAME).map(first -> (long) first.number()).orElse(0L),
            time(cursor.field(Names.DURATION)),
            cursor.field(Names.TRACKS).items(this::track)));
  }

  private Track track(JsonCursor cursor) {
    TrackId id = cursor.field(Names.ID).checked(() -> new TrackId(cursor.field(Names.ID).text()));
    String name = cursor.field(Names.NAME).text();
    ItemState state = state(cursor);
    String kind = cursor.field(Names.KIND).text();
    return switch (kind) {
      case Names.TITLES -> {
        cursor.only(Names.ID, Names.NAME, Names.HIDDEN, Names.LOCKED, Names.KIND);
        yield new Track.Titles(id, name, state);
      }
      case Names.FOOTAGE -> {
        cursor.only(Names.ID, Names.NAME, Names.HIDDEN, Names.LOCKED, Names.KIND, Names.CLIPS);
        yield new Track.Footage(
            id, name, state, cursor.field(Names.CLIPS).items(TimelineReader::clip));
      }
      case Names.CAPTIONS -> captions(cursor, id, name, state);
      default ->
          throw cursor
              .field(Names.KIND)
              .wrong(Messages.of("timeline-reader.expected-one-of-titles-footage-captions", kind));
    };
  }

  private Track.Captions captions(JsonCursor cursor, TrackId id, String name, ItemState state) {
    cursor.only(
        Names.ID,
        Names.NAME,
        Names.HIDDEN,
        Names.LOCKED,
        Names.KIND,
        Names.LANGUAGE,
        Names.FOLLOWS,
        Names.LOCAL,
        Names.SPEAKERS,
        Names.RULES);
    Map<String, StyleId> speakers = new TreeMap<>();
    cursor
        .find(Names.SPEAKERS)
        .ifPresent(given ->
            given
                .fields()
                .forEach(entry -> speakers.put(entry.getKey(), style.apply(entry.getValue()))));
    return new Track.Captions(
        id,
        name,
        state,
        cursor.field(Names.LANGUAGE).text(),
        cursor.find(Names.FOLLOWS).map(list -> list.items(style)).orElse(java.util.List.of()),
        local.apply(cursor),
        speakers,
        cursor.find(Names.RULES).map(TimelineReader::rules).orElse(CaptionRules.USUAL));
  }

  private static CaptionRules rules(JsonCursor cursor) {
    cursor.only(
        Names.LINES,
        Names.LINE_LENGTH,
        Names.READING_SPEED,
        Names.SHORTEST,
        Names.LONGEST,
        Names.GAP);
    return cursor.checked(() ->
        new CaptionRules(
            (int) cursor.field(Names.LINES).number(),
            (int) cursor.field(Names.LINE_LENGTH).number(),
            cursor.field(Names.READING_SPEED).number(),
            time(cursor.field(Names.SHORTEST)),
            time(cursor.field(Names.LONGEST)),
            time(cursor.field(Names.GAP))));
  }

  private static Clip clip(JsonCursor cursor) {
    cursor.only(
        Names.ID,
        Names.NAME,
        Names.DRAWN,
        Names.IMAGE,
        Names.FILE,
        Names.IN,
        Names.OUT,
        Names.START);
    return cursor.checked(() ->
        new Clip(
            cursor.field(Names.ID).text(),
            cursor.field(Names.NAME).text(),
            media(cursor),
            time(cursor.field(Names.IN)),
            time(cursor.field(Names.OUT)),
            time(cursor.field(Names.START))));
  }

  private static Media media(JsonCursor cursor) {
    if (cursor.find(Names.DRAWN).isPresent()) {
      JsonCursor drawn = cursor.field(Names.DRAWN);
      return Arrays.stream(Media.Scenery.values())
          .filter(scenery -> scenery.id().equals(drawn.text()))
          .findFirst()
          .map(Media.Drawn::new)
          .orElseThrow(() ->
              drawn.wrong(Messages.of("timeline-reader.expected-one-of-gears-pendulum-dial")));
    }
    return cursor
        .find(Names.IMAGE)
        .<Media>map(image -> new Media.Still(image.text()))
        .orElseGet(() -> new Media.File(cursor.field(Names.FILE).text()));
  }

  Timing timing(JsonCursor cursor) {
    cursor.only(Names.TRACK, Names.IN, Names.OUT, Names.FADE_IN, Names.FADE_OUT, Names.SPEAKER);
    return cursor.checked(() ->
        new Timing(
            new TrackId(cursor.field(Names.TRACK).text()),
            time(cursor.field(Names.IN)),
            time(cursor.field(Names.OUT)),
            cursor.find(Names.FADE_IN).map(TimelineReader::time).orElse(Time.ZERO),
            cursor.find(Names.FADE_OUT).map(TimelineReader::time).orElse(Time.ZERO),
            cursor.find(Names.SPEAKER).map(JsonCursor::text).orElse("")));
  }

  /** Whether a layer or a track is hidden or locked. */
  static ItemState state(JsonCursor cursor) {
    return new ItemState(flag(cursor, Names.HIDDEN), flag(cursor, Names.LOCKED));
  }

  private static boolean flag(JsonCursor cursor, String name) {
    return cursor
        .find(name)
        .map(found -> found.checked(() -> FLAG.decode(found.scalar())))
        .orElse(false);
  }

  private static Time time(JsonCursor cursor) {
    double ticks = cursor.number();
    if (ticks != Math.rint(ticks) || Math.abs(ticks) > Time.LONGEST.ticks()) {
      throw cursor.wrong(Messages.of("timeline-reader.a-time-is-a-whole-number"));
    }
    return new Time((long) ticks);
  }
}
