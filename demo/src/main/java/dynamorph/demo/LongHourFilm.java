package dynamorph.demo;

import static dynamorph.demo.LongHour.layer;

import dynamorph.model.Artboard;
import dynamorph.model.Layer;
import dynamorph.model.LengthUnit;
import dynamorph.model.property.Address;
import dynamorph.model.property.Properties;
import dynamorph.model.property.PropertySet;
import dynamorph.model.style.StyleId;
import dynamorph.model.text.Paragraph;
import dynamorph.model.text.Span;
import dynamorph.model.text.Story;
import dynamorph.model.text.TextRange;
import dynamorph.model.timeline.Clip;
import dynamorph.model.timeline.FrameRate;
import dynamorph.model.timeline.Media;
import dynamorph.model.timeline.Time;
import dynamorph.model.timeline.Timeline;
import dynamorph.model.timeline.Timing;
import dynamorph.model.timeline.Track;
import dynamorph.model.timeline.TrackId;
import dynamorph.model.value.Anchor;
import dynamorph.model.value.Colour;
import dynamorph.model.value.ItemState;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;

/**
 * The gallery film: seventy-two seconds of clockwork with an opening title, section titles, six
 * name titles and captions in three languages.
 */
final class LongHourFilm {
  private static final TrackId TITLES = new TrackId("titles");
  private static final TrackId NAMES = new TrackId("names");
  private static final TrackId FOOTAGE = new TrackId("footage");
  private static final TrackId ENGLISH = new TrackId("captions-en");
  private static final TrackId ARABIC = new TrackId("captions-ar");
  private static final TrackId JAPANESE = new TrackId("captions-ja");
  private static final Time FADE = Time.ofMillis(400);

  private LongHourFilm() {}

  static Artboard film() {
    Timeline timeline =
        Timeline.of(FrameRate.PAL, Time.ofMillis(72_000))
            .withTracks(
                List.of(
                    new Track.Titles(TITLES, "Titles", ItemState.OPEN),
                    new Track.Titles(NAMES, "Names", ItemState.OPEN),
                    captions(ENGLISH, "English", "en-GB", LongHourStyles.CAPTION),
                    captions(
                            ARABIC,
                            "\u0627\u0644\u0639\u0631\u0628\u064a\u0629",
                            "ar",
                            LongHourStyles.CAPTION_ARABIC)
                        .withState(new ItemState(true, false)),
                    captions(JAPANESE, "\u65e5\u672c\u8a9e", "ja", LongHourStyles.CAPTION_JAPANESE)
                        .withState(new ItemState(true, false)),
                    footage()));
    List<Layer> layers = new ArrayList<>();
    layers.addAll(titles());
    layers.addAll(names());
    layers.addAll(cues(ENGLISH, "en", english()));
    layers.addAll(cues(ARABIC, "ar", arabic()));
    layers.addAll(cues(JAPANESE, "ja", japanese()));
    return Artboard.empty("film", "Eight Days to Wind", 1920, 1080, LengthUnit.PIXEL)
        .withBackground(Colour.swatch("ink"))
        .withTimeline(Optional.of(timeline))
        .withLayers(layers);
  }

  private static Track.Captions captions(TrackId id, String name, String language, StyleId style) {
    return Track.Captions.of(id.value(), name, language)
        .withFollows(List.of(style))
        .withSpeakers(Map.of("Archive", LongHourStyles.ARCHIVE_VOICE));
  }

  private static Track footage() {
    return new Track.Footage(
        FOOTAGE,
        "Footage",
        ItemState.OPEN,
        List.of(
            clip("gears", Media.Scenery.GEARS, 0, 24),
            clip("pendulum", Media.Scenery.PENDULUM, 24, 52),
            clip("dial", Media.Scenery.DIAL, 52, 72)));
  }

  private static Clip clip(String name, Media.Scenery scenery, int from, int to) {
    return new Clip(
        name,
        name,
        new Media.Drawn(scenery),
        Time.ofMillis(from * 1000L),
        Time.ofMillis(to * 1000L),
        Time.ZERO);
  }

  private static List<Layer> titles() {
    return List.of(
        title("opening", "Eight Days to Wind", 1, 8.4, LongHourStyles.FILM_TITLE),
        title("part-1", "I \u00b7 Stopped", 14, 18, LongHourStyles.SECTION_TITLE),
        title("part-2", "II \u00b7 Measured", 38, 42, LongHourStyles.SECTION_TITLE),
        title("part-3", "III \u00b7 Wound", 60, 64, LongHourStyles.SECTION_TITLE));
  }

  private static Layer title(String id, String text, double from, double to, StyleId style) {
    return layer("title-" + id, text, text, PropertySet.EMPTY)
        .withFollows(List.of(style))
        .withTiming(timing(TITLES, from, to));
  }

  private static List<Layer> names() {
    Layer moved =
        name("dessa", "Dessa Quill", "clockmaker", 29, 34, LongHourStyles.NAME_TITLE)
            .withLocal(
                PropertySet.EMPTY
                    .with(Properties.ANCHOR, Anchor.BOTTOM_RIGHT)
                    .with(Properties.SHARE_X, -2.0));
    return List.of(
        name("joost", "Joost Halewijn", "keeper of the tower", 9, 13.4, LongHourStyles.NAME_TITLE),
        name("ilse", "Ilse Maarten", "horologist", 24, 28.6, LongHourStyles.NAME_TITLE),
        moved,
        name("archive", "Archive", "1951, sound only", 44, 48, LongHourStyles.NAME_ARCHIVE),
        name("nour", "Nour Abadi", "bell founder", 50, 54.6, LongHourStyles.NAME_TITLE),
        name("old", "Oostvoort", "the last winder, 1962", 65, 69.6, LongHourStyles.NAME_ARCHIVE));
  }

  private static Layer name(
      String id, String who, String what, double from, double to, StyleId style) {
    Story story =
        Story.of(
            Paragraph.of(who),
            Paragraph.of(what).withFollows(Optional.of(LongHourStyles.NAME_ROLE)));
    return layer("name-" + id, who, "", PropertySet.EMPTY)
        .withStory(story)
        .withFollows(List.of(style))
        .withTiming(timing(NAMES, from, to));
  }

  private static Timing timing(TrackId track, double from, double to) {
    return Timing.of(track, Time.ofSeconds(from), Time.ofSeconds(to)).withFades(FADE, FADE);
  }

  /**
   * Words that are said.
   *
   * @param sound whether they tell a sound instead
   */
  private record Said(double from, double to, String speaker, String words, boolean sound) {
    static Said of(double from, double to, String words) {
      return new Said(from, to, "", words, false);
    }
  }

  private static List<Layer> cues(TrackId track, String language, List<Said> said) {
    List<Layer> cues = new ArrayList<>();
    for (Said one : said) {
      Span span = Span.of(one.words());
      Span styled = one.sound() ? span.withFollows(List.of(LongHourStyles.SOUND)) : span;
      Layer cue =
          Layer.of("cue-" + language + "-" + (cues.size() + 1), "Cue " + (cues.size() + 1), "")
              .withStory(Story.of(Paragraph.of(styled)))
              .withTiming(
                  Timing.of(track, Time.ofSeconds(one.from()), Time.ofSeconds(one.to()))
                      .withSpeaker(one.speaker()));
      cues.add(cue);
    }
    if (language.equals("ja")) {
      RUBY.forEach((letters, ruby) -> cues.replaceAll(cue -> read(cue, letters, ruby)));
    }
    if (language.equals("en")) {
      // raised by hand, so that it does not cover the name
      cues.set(6, cues.get(6).withLocal(PropertySet.EMPTY.with(Properties.POSITION_Y, -230.0)));
      cues.set(
          11,
          cues.get(11)
              .withLocal(
                  PropertySet.EMPTY.with(
                      Properties.COAT_COLOUR.at(Address.coat("fill")), Colour.hex("#ffd98a"))));
    }
    return cues;
  }

  private static List<Said> english() {
    return List.of(
        Said.of(9.2, 12.6, "The clock stopped at ten past four."),
        Said.of(13, 16.4, "For thirty years nobody asked it why."),
        Said.of(
            17,
            20.2,
            "There was straw behind the minute wheel, and a bill for lamp oil from a"
                + " winter no one remembered."),
        Said.of(20.6, 23.4, "We took it down tooth by tooth."),
        Said.of(
            24,
            28.2,
            "Every tooth was measured twice, once for the drawing and once for the" + " wear."),
        Said.of(28.6, 31.4, "The wear told another story."),
        Said.of(31.8, 35, "Someone had filed a little away, every year,"),
        Said.of(35.2, 37.4, "to keep the town on time."),
        new Said(38.4, 40, "", "[clock strikes four]", true),
        Said.of(
            40.4,
            41.8,
            "She winds it on Mondays. It takes her an hour and two hundred turns of"
                + " the crank."),
        new Said(44.6, 47.2, "Archive", "Eight days, if you are generous.", false),
        new Said(47.4, 49.8, "Archive", "And then the weights are on the floor again.", false),
        Said.of(50.4, 53, "The bell was cast with the town\u2019s spoons in it."),
        Said.of(53.4, 56, "So it has a taste of soup, they say."),
        Said.of(57, 59.6, "Now the hand goes round as it used to."),
        Said.of(64.4, 67, "We wind it on Mondays."),
        Said.of(67.4, 70.4, "And on Tuesdays we listen."));
  }

  private static List<Said> arabic() {
    return List.of(
        Said.of(
            9.2,
            12.6,
            "\u062a\u0648\u0642\u0641\u062a \u0627\u0644\u0633\u0627\u0639\u0629 \u0639\u0646\u062f \u0627\u0644\u0631\u0627\u0628\u0639\u0629 \u0648\u0639\u0634\u0631 \u062f\u0642\u0627\u0626\u0642."),
        Said.of(
            13,
            16.4,
            "\u0644\u062b\u0644\u0627\u062b\u064a\u0646 \u0639\u0627\u0645\u064b\u0627 \u0644\u0645 \u064a\u0633\u0623\u0644\u0647\u0627 \u0623\u062d\u062f \u0644\u0645\u0627\u0630\u0627."),
        Said.of(
            20.6,
            23.4,
            "\u0641\u0643\u0643\u0646\u0627\u0647\u0627 \u0633\u0646\u064b\u0651\u0627 \u0628\u0633\u0646."),
        Said.of(
            28.6,
            31.4,
            "\u0643\u0627\u0646 \u0644\u0644\u062a\u0622\u0643\u0644 \u062d\u0643\u0627\u064a\u0629 \u0623\u062e\u0631\u0649."),
        Said.of(
            35.2,
            37.4,
            "\u0644\u062a\u0628\u0642\u0649 \u0627\u0644\u0645\u062f\u064a\u0646\u0629 \u0639\u0644\u0649 \u0645\u0648\u0639\u062f\u0647\u0627."),
        new Said(
            38.4,
            40,
            "",
            "[\u0627\u0644\u0633\u0627\u0639\u0629 \u062a\u062f\u0642 \u0623\u0631\u0628\u0639\u064b\u0627]",
            true),
        new Said(
            44.2,
            47,
            "Archive",
            "\u062b\u0645\u0627\u0646\u064a\u0629 \u0623\u064a\u0627\u0645\u060c \u0625\u0646 \u0643\u0646\u062a \u0643\u0631\u064a\u0645\u064b\u0627.",
            false),
        Said.of(
            57,
            59.6,
            "\u0648\u0627\u0644\u0622\u0646 \u064a\u062f\u0648\u0631 \u0627\u0644\u0639\u0642\u0631\u0628 \u0643\u0645\u0627 \u0643\u0627\u0646."),
        Said.of(
            64.4,
            67,
            "\u0646\u0645\u0644\u0624\u0647\u0627 \u064a\u0648\u0645 \u0627\u0644\u0627\u062b\u0646\u064a\u0646."),
        Said.of(
            67.4,
            70.4,
            "\u0648\u0641\u064a \u0627\u0644\u062b\u0644\u0627\u062b\u0627\u0621 \u0646\u0635\u063a\u064a."));
  }

  /** Readings of letters that are not known to everybody. */
  private static final Map<String, String> RUBY =
      Map.of(
          "\u6469\u8017",
          "\u307e \u3082\u3046",
          "\u9418",
          "\u304b\u306d",
          "\u5bdb\u5927",
          "\u304b\u3093 \u3060\u3044",
          "\u6f84",
          "\u3059");

  private static Layer read(Layer cue, String letters, String ruby) {
    int at = cue.story().text().indexOf(letters);
    return at < 0
        ? cue
        : cue.withStory(
            cue.story()
                .mapSpans(new TextRange(at, at + letters.length()), span -> span.withRuby(ruby)));
  }

  private static List<Said> japanese() {
    return List.of(
        Said.of(
            9.2,
            12.6,
            "\u6642\u8a08\u306f\u56db\u6642\u5341\u5206\u3067\u6b62\u307e\u3063\u305f\u3002"),
        Said.of(
            13,
            16.4,
            "\u4e09\u5341\u5e74\u3001\u8ab0\u3082\u7406\u7531\u3092\u5c0b\u306d\u306a\u304b\u3063\u305f\u3002"),
        Said.of(20.6, 23.4, "\u6b6f\u3092\u4e00\u3064\u305a\u3064\u5916\u3057\u305f\u3002"),
        Said.of(
            28.6,
            31.4,
            "\u6469\u8017\u306f\u5225\u306e\u8a71\u3092\u8a9e\u3063\u3066\u3044\u305f\u3002"),
        Said.of(35.2, 37.4, "\u753a\u306e\u6642\u3092\u5b88\u308b\u305f\u3081\u306b\u3002"),
        new Said(38.4, 40, "", "[\u9418\u304c\u56db\u3064\u9cf4\u308b]", true),
        new Said(
            44.2,
            47,
            "Archive",
            "\u5bdb\u5927\u306b\u898b\u3066\u3082\u516b\u65e5\u9593\u3067\u3059\u3002",
            false),
        Said.of(57, 59.6, "\u91dd\u306f\u6614\u306e\u3088\u3046\u306b\u56de\u308b\u3002"),
        Said.of(64.4, 67, "\u6708\u66dc\u65e5\u306b\u5dfb\u304d\u307e\u3059\u3002"),
        Said.of(67.4, 70.4, "\u706b\u66dc\u65e5\u306f\u8033\u3092\u6f84\u307e\u3059\u3002"));
  }
}
