package dynamorph.formats.captions;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import dynamorph.model.Artboard;
import dynamorph.model.Layer;
import dynamorph.model.LengthUnit;
import dynamorph.model.Project;
import dynamorph.model.cascade.Cascade;
import dynamorph.model.cascade.Placement;
import dynamorph.model.edit.EditRefused;
import dynamorph.model.edit.importing.CaptionList;
import dynamorph.model.edit.importing.ImportCaptions;
import dynamorph.model.property.Properties;
import dynamorph.model.property.PropertySet;
import dynamorph.model.style.Style;
import dynamorph.model.style.StyleBook;
import dynamorph.model.style.StyleId;
import dynamorph.model.style.StyleLevel;
import dynamorph.model.text.Paragraph;
import dynamorph.model.text.Span;
import dynamorph.model.text.Story;
import dynamorph.model.timeline.FrameRate;
import dynamorph.model.timeline.Time;
import dynamorph.model.timeline.Timecode;
import dynamorph.model.timeline.Timeline;
import dynamorph.model.timeline.Timing;
import dynamorph.model.timeline.Track;
import dynamorph.model.value.Anchor;
import dynamorph.model.value.Colour;
import dynamorph.model.value.FontSize;
import dynamorph.model.value.Slant;
import dynamorph.model.value.WritingMode;
import java.io.StringReader;
import java.net.URL;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.SplittableRandom;
import java.util.stream.Stream;
import javax.xml.XMLConstants;
import javax.xml.transform.stream.StreamSource;
import javax.xml.validation.SchemaFactory;
import javax.xml.validation.Validator;
import org.assertj.core.api.Assertions;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.EnumSource;
import org.junit.jupiter.params.provider.ValueSource;
import org.xml.sax.SAXException;

/** Captions that are written and read again, alone and with their styles. */
class CaptionRoundTripTest {
  private static final StyleId CAPTION = new StyleId("caption");
  private static final StyleId SOUND = new StyleId("sound");
  private static final Track.Captions TRACK =
      Track.Captions.of("en", "English", "en")
          .withFollows(List.of(CAPTION))
          .withSpeakers(Map.of("Archive", SOUND));

  private static Project project(List<Layer> cues) {
    Style caption =
        Style.text("caption", "Caption", "")
            .withProperties(
                PropertySet.EMPTY
                    .with(Properties.FONT_FAMILY, "Anton")
                    .with(Properties.SIZE, FontSize.points(54))
                    .with(Properties.COAT_COLOUR.at(CueCss.FILL), Colour.hex("#ffeedd"))
                    .with(Properties.ANCHOR, Anchor.BOTTOM)
                    .with(Properties.POSITION_Y, -90.0));
    Style sound =
        Style.text("sound", "Sound", "")
            .withLevel(StyleLevel.CHARACTER)
            .withProperties(PropertySet.EMPTY.with(Properties.SLANT, Slant.ITALIC));
    Artboard film =
        Artboard.empty("film", "Film", 1920, 1080, LengthUnit.PIXEL)
            .withTimeline(
                Optional.of(Timeline.of(FrameRate.PAL, Time.ofMillis(600_000)).plus(TRACK)))
            .withLayers(cues);
    return Project.empty("P").withStyles(StyleBook.of(List.of(caption, sound))).plus(film);
  }

  private static Layer cue(int number, Time in, Time out, Span... spans) {
    return Layer.of("c" + number, "Cue", "")
        .withStory(Story.of(Paragraph.of(spans)))
        .withTiming(Timing.of(TRACK.id(), in, out));
  }

  private static List<Layer> random(long seed) {
    return random(seed, false);
  }

  private static List<Layer> random(long seed, boolean ruby) {
    SplittableRandom random = new SplittableRandom(seed);
    List<String> words =
        List.of(
            "bell",
            "<tooth>",
            "a & b",
            "\u0633\u0627\u0639\u0629",
            "\u6642\u8a08",
            "-->",
            "Stra\u00dfe",
            "\u2028next",
            "\ud83d\udd14",
            "{braces}");
    List<Layer> cues = new ArrayList<>();
    long at = 0;
    for (int number = 0; number < 40; number++) {
      long in = at + random.nextInt(3000);
      long out = in + 200 + random.nextInt(6000);
      at = out;
      List<Span> spans = new ArrayList<>();
      for (int span = 0; span <= random.nextInt(3); span++) {
        String text =
            words.get(random.nextInt(words.size())) + " " + words.get(random.nextInt(words.size()));
        Span plain = Span.of((span == 0 ? "x" : " ") + text + "y");
        spans.add(random.nextInt(3) == 0 ? plain.withFollows(List.of(SOUND)) : plain);
        if (ruby && random.nextInt(3) == 0) {
          spans.add(Span.of("\u6642" + span).withRuby("to " + words.get(random.nextInt(7))));
        }
      }
      cues.add(cue(number, Time.ofMillis(in), Time.ofMillis(out), spans.toArray(Span[]::new)));
    }
    return cues;
  }

  private static CaptionFiles.Read again(Project project, CaptionFiles.Format format)
      throws CaptionException {
    Artboard film = project.artboards().getFirst();
    byte[] bytes = CaptionFiles.write(project, film, TRACK, format).bytes();
    return CaptionFiles.read(bytes, "film." + format.ending(), FrameBox.HD);
  }

  /** Whatever the rate, a cue comes back with its first and its last frame. */
  @ParameterizedTest
  @EnumSource(
      value = CaptionFiles.Format.class,
      mode = EnumSource.Mode.EXCLUDE,
      names = "SCC") // its letters are sent one after the other: SccTest
  void timesKeepTheirFrames(CaptionFiles.Format format) throws CaptionException {
    SplittableRandom random = new SplittableRandom(5);
    for (FrameRate rate : FrameRate.USUAL) {
      List<Layer> cues = new ArrayList<>();
      long frame = 0;
      for (int number = 0; number < 300; number++) {
        frame += random.nextInt(40);
        long after = frame + 1 + random.nextInt(90);
        cues.add(cue(number, rate.at(frame), rate.at(after), Span.of("x" + number)));
        frame = after;
      }
      CaptionList read = again(project(cues), format).captions();
      if (rate.frame().isBefore(read.grain())) {
        continue; // two frames of such films are one time of the file
      }
      CaptionList set = read.inFrames(rate).captions();
      assertThat(set.cues()).hasSameSizeAs(cues);
      for (int index = 0; index < cues.size(); index++) {
        Timing before = cues.get(index).timing().orElseThrow();
        CaptionList.Cue cue = set.cues().get(index);
        assertThat(cue.in()).as("in of cue %d at %s", index, rate).isEqualTo(before.in());
        assertThat(cue.out()).as("out of cue %d at %s", index, rate).isEqualTo(before.out());
        // players show what has begun when a frame does
        CaptionList.Cue own = read.cues().get(index);
        assertThat(own.in()).isBetween(before.in().minus(rate.frame()), before.in());
        assertThat(own.out()).isBetween(before.out().minus(rate.frame()), before.out());
      }
    }
  }

  /** What nobody set to frames stays where it is, and so does what would vanish. */
  @Test
  void otherTimesAreLeftAlone() {
    CaptionList list =
        CaptionList.of(
            "en",
            List.of(
                CaptionList.Cue.of("a", Time.ofMillis(1010), Time.ofMillis(2055), Story.of("a")),
                CaptionList.Cue.of(
                    "b",
                    new Time(90_000_000 + 100),
                    Time.ofMillis(1001).minus(new Time(9)),
                    Story.of("b")),
                CaptionList.Cue.of(
                    "c",
                    Time.ofMillis(999).plus(new Time(1)),
                    Time.ofMillis(3001).minus(new Time(1)),
                    Story.of("c"))));
    CaptionList.InFrames set = list.inFrames(FrameRate.PAL);
    assertThat(set.moved()).isEqualTo(1);
    assertThat(set.captions().cues().subList(0, 2)).isEqualTo(list.cues().subList(0, 2));
    assertThat(set.captions().cues().getLast().in()).isEqualTo(Time.ofMillis(1000));
    assertThat(set.captions().cues().getLast().out()).isEqualTo(Time.ofMillis(3000));
  }

  @Test
  void aProgrammeMayBeginAtTenInTheMorning() {
    CaptionList list =
        CaptionList.of(
            "en",
            List.of(
                CaptionList.Cue.of(
                    "a", Time.ofMillis(36_002_000), Time.ofMillis(36_004_000), Story.of("a"))));
    Timeline line =
        Timeline.of(FrameRate.PAL, Time.ofMillis(600_000)).withFirstFrame(10 * 3600 * 25);
    CaptionList.Cue counted = list.fromStart(line.startOfDay()).cues().getFirst();
    assertThat(counted.in()).isEqualTo(Time.ofMillis(2000));
    assertThat(counted.out()).isEqualTo(Time.ofMillis(4000));
    assertThat(list.fromStart(Time.ZERO)).isEqualTo(list);
    assertThat(list.fromStart(Time.ofMillis(36_003_000))).isEqualTo(list);
    // an hour of 29.97 has 107,892 frames by drop-frame counting, 3.6 ms less than one by the clock
    Timeline dropped =
        Timeline.of(FrameRate.NTSC, Time.ofMillis(600_000))
            .withTimecode(new Timecode(FrameRate.NTSC, true))
            .withFirstFrame(107_892);
    assertThat(dropped.startOfDay()).isEqualTo(Time.ofMillis(3_599_996));
    Timeline counting = Timeline.of(FrameRate.NTSC, Time.ofMillis(600_000)).withFirstFrame(108_000);
    assertThat(counting.startOfDay()).isEqualTo(Time.ofMillis(3_600_000));
  }

  /** The schemas of the W3C for both versions of the language. */
  @ParameterizedTest
  @ValueSource(strings = {"ttml1", "ttml2"})
  void timedTextKeepsToItsSchemas(String version) throws Exception {
    URL schema =
        getClass().getResource("/com/skynav/ttv/xsd/%s/%s.xsd".formatted(version, version));
    Validator validator =
        SchemaFactory.newInstance(XMLConstants.W3C_XML_SCHEMA_NS_URI)
            .newSchema(schema)
            .newValidator();
    for (long seed = 1; seed <= 6; seed++) {
      // ruby came with the second version
      Project project = project(random(seed, version.equals("ttml2")));
      Artboard film = project.artboards().getFirst();
      String text = CaptionFiles.write(project, film, TRACK, CaptionFiles.Format.TTML).text();
      validator.validate(new StreamSource(new StringReader(text)));
      String wrong = text.replaceFirst("<p ", "<q ").replaceFirst("</p>", "</q>");
      assertThatThrownBy(() -> validator.validate(new StreamSource(new StringReader(wrong))))
          .isInstanceOf(SAXException.class);
    }
  }

  @ParameterizedTest
  @EnumSource(
      value = CaptionFiles.Format.class,
      mode = EnumSource.Mode.EXCLUDE,
      names = {"EBU_STL", "SCC"}) // of one alphabet and in frames: EbuStlTest, SccTest
  void timesAndWordsComeBack(CaptionFiles.Format format) throws CaptionException {
    for (long seed = 1; seed <= 12; seed++) {
      Project project = project(random(seed));
      CaptionList read = again(project, format).captions();
      List<CaptionList.Cue> cues = read.cues();
      List<Layer> were = project.layers().toList();
      assertThat(cues).hasSize(were.size());
      for (int index = 0; index < cues.size(); index++) {
        Timing timing = were.get(index).timing().orElseThrow();
        assertThat(cues.get(index).in()).isEqualTo(floored(timing.in(), read.grain()));
        assertThat(cues.get(index).out()).isEqualTo(floored(timing.out(), read.grain()));
        String words = were.get(index).story().text().replace('\u2028', '\n');
        assertThat(cues.get(index).text().replaceAll("\\s+", " "))
            .isEqualTo(words.replaceAll("\\s+", " "));
      }
    }
  }

  private static Time floored(Time time, Time grain) {
    return new Time(time.ticks() / grain.ticks() * grain.ticks());
  }

  @ParameterizedTest
  @EnumSource(
      value = CaptionFiles.Format.class,
      names = {"WEBVTT", "TTML"})
  void verticalCuesComeBack(CaptionFiles.Format format) throws CaptionException {
    List<Layer> cues = new ArrayList<>();
    for (WritingMode mode : WritingMode.values()) {
      for (Anchor anchor : Anchor.values()) {
        PropertySet place =
            PropertySet.EMPTY
                .with(Properties.WRITING_MODE, mode)
                .with(Properties.ANCHOR, anchor)
                .with(Properties.POSITION_X, anchor.across() == 0 ? 192.0 : -192.0)
                .with(Properties.POSITION_Y, anchor.down() == 0 ? 108.0 : -108.0);
        int number = cues.size();
        Time in = Time.ofMillis(number * 2000L);
        cues.add(
            cue(number, in, in.plus(Time.ofMillis(1000)), Span.of("x" + number)).withLocal(place));
      }
    }
    Project before = project(cues);
    List<CaptionList.Cue> read = again(before, format).captions().cues();
    Cascade cascade = Cascade.of(before);
    for (int index = 0; index < cues.size(); index++) {
      Placement was = cascade.placement(cues.get(index));
      PropertySet now = read.get(index).local();
      String which = was.inside().mode() + " " + was.anchor();
      assertThat(now.get(Properties.WRITING_MODE.key()).orElse(WritingMode.HORIZONTAL))
          .as(which)
          .isEqualTo(was.inside().mode());
      if (was.inside().mode().isVertical()) {
        assertThat(now.get(Properties.ANCHOR.key())).as(which).contains(was.anchor());
        assertThat(now.get(Properties.POSITION_X.key()).orElseThrow())
            .as(which)
            .isCloseTo(was.x(), Assertions.within(0.5));
        assertThat(now.get(Properties.POSITION_Y.key()).orElseThrow())
            .as(which)
            .isCloseTo(was.y(), Assertions.within(0.5));
      }
    }
  }

  @ParameterizedTest
  @EnumSource(
      value = CaptionFiles.Format.class,
      names = {"WEBVTT", "TTML", "SUBSTATION"})
  void stylesPlacesAndSpeakersComeBack(CaptionFiles.Format format) throws CaptionException {
    Layer raised =
        cue(1, Time.ofMillis(1000), Time.ofMillis(2000), Span.of("raised"))
            .withLocal(PropertySet.EMPTY.with(Properties.POSITION_Y, -540.0));
    Layer spoken =
        cue(2, Time.ofMillis(3000), Time.ofMillis(4000), Span.of("said"))
            .withTiming(
                Timing.of(TRACK.id(), Time.ofMillis(3000), Time.ofMillis(4000))
                    .withSpeaker("Archive"));
    Layer ding =
        cue(
            3,
            Time.ofMillis(5000),
            Time.ofMillis(6000),
            Span.of("a "),
            Span.of("ding").withFollows(List.of(SOUND)));
    Project before = project(List.of(raised, spoken, ding));
    CaptionList sheet = again(before, format).captions();
    Artboard empty =
        Artboard.empty("other", "Other", 1920, 1080, LengthUnit.PIXEL)
            .withTimeline(Optional.of(Timeline.of(FrameRate.PAL, Time.ofMillis(1000))));
    Project after =
        new ImportCaptions(empty.id(), Track.Captions.of("t", "T", "en"), sheet, "n")
            .applyTo(Project.empty("O").plus(empty));
    Cascade cascade = Cascade.of(after);
    List<Layer> cues = after.layers().toList();
    assertThat(
            cascade.placement(cues.get(0)).anchor().down() * 1080
                + cascade.placement(cues.get(0)).y())
        .isEqualTo(540.0);
    assertThat(cues.get(1).timing().orElseThrow().speaker()).isEqualTo("Archive");
    for (Layer cue : cues) {
      Paragraph paragraph = cue.story().paragraphs().getFirst();
      PropertySet values = cascade.values(cue, paragraph, paragraph.spans().getFirst());
      assertThat(values.get(Properties.FONT_FAMILY.key())).contains("Anton");
      assertThat(values.get(Properties.COAT_COLOUR.at(CueCss.FILL)))
          .contains(Colour.hex("#ffeedd"));
      assertThat(values.get(Properties.SIZE.key()).orElseThrow().over(0))
          .isCloseTo(54, Assertions.within(0.01));
    }
    Paragraph last = cues.get(2).story().paragraphs().getFirst();
    assertThat(cascade.values(cues.get(2), last, last.spans().get(1)).get(Properties.SLANT.key()))
        .contains(Slant.ITALIC);
    assertThat(after.artboard(empty.id()).orElseThrow().timeline().orElseThrow().duration())
        .as("a film becomes as long as its captions")
        .isEqualTo(Time.ofMillis(6000));
  }

  @ParameterizedTest
  @EnumSource(
      value = CaptionFiles.Format.class,
      names = {"WEBVTT", "TTML"})
  void rubyComesBack(CaptionFiles.Format format) throws CaptionException {
    for (long seed = 1; seed <= 6; seed++) {
      Project project = project(random(seed, true));
      List<String> were = project.layers().flatMap(cue -> readings(cue.story())).toList();
      List<String> are =
          again(project, format).captions().cues().stream()
              .flatMap(cue -> readings(cue.story()))
              .toList();
      assertThat(were).isNotEmpty();
      assertThat(are).isEqualTo(were);
    }
  }

  /** Letters with their ruby, parts of it by letter. */
  private static Stream<String> readings(Story story) {
    return story.paragraphs().stream()
        .flatMap(paragraph ->
            paragraph.rubyBases().stream()
                .flatMap(base -> base.overLetters(paragraph.text()).stream())
                .map(base ->
                    paragraph.text().substring(base.start(), base.end()) + " " + base.ruby()));
  }

  @Test
  void captionsThatNobodyHasPlacedStandAtTheFoot() {
    Project project = project(List.of(cue(1, Time.ZERO, Time.ofMillis(900), Span.of("a"))));
    Track.Captions bare = Track.Captions.of("en", "English", "en");
    String text =
        CaptionFiles.write(project, project.artboards().getFirst(), bare, CaptionFiles.Format.TTML)
            .text();
    assertThat(text)
        .contains("xml:id=\"usual\"")
        .contains("tts:displayAlign=\"after\"")
        .contains("tts:textAlign=\"center\"");
  }

  @Test
  void subRipPutsRubyInBrackets() {
    Project project =
        project(List.of(cue(1, Time.ZERO, Time.ofMillis(900), Span.of("\u6642").withRuby("toki"))));
    CaptionFiles.Written written =
        CaptionFiles.write(
            project, project.artboards().getFirst(), TRACK, CaptionFiles.Format.SUBRIP);
    assertThat(written.text()).contains("\u6642(toki)");
    assertThat(written.remarks())
        .anySatisfy(remark -> assertThat(remark.toString()).contains("ruby"));
  }

  @Test
  void anEqualStyleIsFollowedAndAnotherGetsANumber() {
    Project project = project(List.of());
    Style same = project.styles().get(SOUND);
    Style other =
        Style.text("x", "Caption", "")
            .withProperties(PropertySet.EMPTY.with(Properties.SIZE, FontSize.points(9)));
    CaptionList sheet =
        new CaptionList(
            "en",
            Optional.empty(),
            List.of(other, same),
            List.of(other.id()),
            PropertySet.EMPTY,
            List.of(CaptionList.Cue.of("", Time.ZERO, Time.ofMillis(900), Story.of("a"))));
    Project after =
        new ImportCaptions(
                project.artboards().getFirst().id(),
                Track.Captions.of("new", "New", "de"),
                sheet,
                "n")
            .applyTo(project);
    assertThat(after.styles().list().stream().map(Style::name))
        .containsExactlyInAnyOrder("Caption", "Sound", "Caption 2");
    assertThat(
            after
                .artboards()
                .getFirst()
                .timeline()
                .orElseThrow()
                .captions()
                .toList()
                .get(1)
                .follows())
        .hasSize(1);
    Assertions.assertThatThrownBy(() ->
            new ImportCaptions(
                    new dynamorph.model.ArtboardId("gone"),
                    Track.Captions.of("new", "New", "de"),
                    sheet,
                    "n")
                .applyTo(project))
        .isInstanceOf(EditRefused.class);
  }

  @Test
  void whatAFormatDoesNotCarryIsTold() {
    Project project = project(List.of(cue(1, Time.ZERO, Time.ofMillis(900), Span.of("a"))));
    Artboard film = project.artboards().getFirst();
    assertThat(CaptionFiles.write(project, film, TRACK, CaptionFiles.Format.SUBRIP).remarks())
        .hasSize(1);
    assertThat(CaptionFiles.write(project, film, TRACK, CaptionFiles.Format.WEBVTT).remarks())
        .as("where the track stands is told by each cue, not by its style")
        .singleElement()
        .asString()
        .contains("Anchor");
    assertThat(CaptionFiles.write(project, film, TRACK, CaptionFiles.Format.TTML).remarks())
        .isEmpty();
  }
}
