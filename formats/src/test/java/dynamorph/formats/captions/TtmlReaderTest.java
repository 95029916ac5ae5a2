package dynamorph.formats.captions;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import dynamorph.model.edit.importing.CaptionList;
import dynamorph.model.property.Properties;
import dynamorph.model.style.Style;
import dynamorph.model.style.StyleLevel;
import dynamorph.model.text.Span;
import dynamorph.model.timeline.FrameRate;
import dynamorph.model.timeline.Time;
import dynamorph.model.timeline.Timecode;
import dynamorph.model.timeline.Timeline;
import dynamorph.model.value.Colour;
import dynamorph.model.value.FontSize;
import java.nio.charset.StandardCharsets;
import java.time.Duration;
import java.util.List;
import org.junit.jupiter.api.Assertions;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;

class TtmlReaderTest {
  private static final String HEAD =
      "<tt xmlns=\"http://www.w3.org/ns/ttml\" xmlns:tts=\"http://www.w3.org/ns/ttml#styling\""
          + " xmlns:ttp=\"http://www.w3.org/ns/ttml#parameter\""
          + " xmlns:ttm=\"http://www.w3.org/ns/ttml#metadata\" xml:lang=\"fr\"";

  private static CaptionFiles.Read read(String text) throws CaptionException {
    return CaptionFiles.read(text.getBytes(StandardCharsets.UTF_8), "film.ttml", FrameBox.HD);
  }

  private static CaptionList body(String attributes, String body) throws CaptionException {
    return read(HEAD + attributes + "><body><div>" + body + "</div></body></tt>").captions();
  }

  @ParameterizedTest
  @CsvSource({
    "00:00:01, 1000",
    "00:00:01.5, 1500",
    "00:00:01:12, 1500",
    "1.5s, 1500",
    "1500ms, 1500",
    "36f, 1500",
    "15000000t, 1500",
    "0.025m, 1500"
  })
  void everyFormOfTimeIsRead(String begin, long millis) throws CaptionException {
    CaptionList sheet =
        body(
            " ttp:frameRate=\"24\" ttp:tickRate=\"10000000\"",
            "<p begin=\"" + begin + "\" end=\"10s\">a</p>");
    assertThat(sheet.cues().getFirst().in().millis()).isEqualTo(millis);
  }

  private static List<String> told(CaptionList captions) {
    return captions.cues().stream()
        .map(cue -> cue.in().millis() + "-" + cue.out().millis() + " " + cue.text())
        .toList();
  }

  /** Labels of frames count frames, not time: at 29.97 an hour of them lasts 3.6 s more. */
  @ParameterizedTest
  @CsvSource({
    "nonDrop, 01:00:00:00, 108000",
    "dropNTSC, 01:00:00:00, 107892",
    "dropNTSC, 00:01:00:02, 1800",
    "nonDrop, 00:01:00:02, 1802"
  })
  void labelsOfFramesAreCounted(String mode, String label, long frame) throws CaptionException {
    CaptionList captions =
        body(
            " ttp:timeBase=\"smpte\" ttp:frameRate=\"30\" ttp:frameRateMultiplier=\"1000 1001\""
                + " ttp:dropMode=\""
                + mode
                + "\"",
            "<p begin=\"" + label + "\" end=\"02:00:00:00\">a</p>");
    assertThat(captions.cues().getFirst().in()).isEqualTo(FrameRate.NTSC.at(frame));
  }

  /** A film that begins at one o'clock by its timecode takes what the file has there first. */
  @ParameterizedTest
  @CsvSource({"nonDrop, false", "dropNTSC, true"})
  void labelsCountFromTheFirstOfTheFilm(String mode, boolean drop) throws CaptionException {
    Timecode code = new Timecode(FrameRate.NTSC, drop);
    Timeline line =
        Timeline.of(FrameRate.NTSC, Time.ofMillis(60_000))
            .withTimecode(code)
            .withFirstFrame(code.parse("01:00:00:00"));
    CaptionFiles.Read read =
        read(
            HEAD
                + " ttp:timeBase=\"smpte\" ttp:frameRate=\"30\" ttp:frameRateMultiplier=\"1000 1001\""
                + " ttp:dropMode=\""
                + mode
                + "\"><body><div><p begin=\"01:00:00:10\" end=\"01:00:01:00\">a</p></div></body></tt>");
    CaptionList.Cue cue = read.inTimeOf(line).captions().cues().getFirst();
    assertThat(cue.in()).isEqualTo(FrameRate.NTSC.at(10));
    assertThat(cue.out()).isEqualTo(FrameRate.NTSC.at(30));
  }

  @Test
  void theShorterOfEndAndDurationHolds() throws CaptionException {
    assertThat(
            told(
                body(
                    "",
                    "<p begin=\"1s\" end=\"4s\" dur=\"2s\">a</p>"
                        + "<p begin=\"1s\" end=\"2s\" dur=\"9s\">b</p>"
                        + "<p begin=\"5s\" dur=\"1s\">c</p>")))
        .containsExactly("1000-3000 a", "1000-2000 b", "5000-6000 c");
    assertThat(
            told(
                read(HEAD
                        + "><body><div begin=\"10s\" end=\"12s\"><p begin=\"1s\" dur=\"9s\">a</p>"
                        + "</div></body></tt>")
                    .captions()))
        .containsExactly("11000-12000 a");
  }

  @Test
  void whatComesOneAfterTheOtherDoes() throws CaptionException {
    assertThat(
            told(
                read(HEAD
                        + "><body begin=\"10s\"><div timeContainer=\"seq\">"
                        + "<p dur=\"2s\">a</p><p begin=\"1s\" dur=\"2s\">b</p><p end=\"3s\">c</p>"
                        + "</div></body></tt>")
                    .captions()))
        .containsExactly("10000-12000 a", "13000-15000 b", "15000-18000 c");
  }

  @Test
  void wordsWithTimesOfTheirOwnAreSeenThen() throws CaptionException {
    assertThat(
            told(
                body(
                    "",
                    "<p begin=\"1s\" end=\"5s\">a<span begin=\"1s\"> b</span>"
                        + "<span begin=\"2s\" end=\"3s\"> c</span></p>"
                        + "<p><span begin=\"6s\" end=\"7s\">d</span>"
                        + "<span begin=\"8s\" end=\"9s\">e</span></p>")))
        .containsExactly(
            "1000-2000 a",
            "2000-3000 a b",
            "3000-4000 a b c",
            "4000-5000 a b",
            "6000-7000 d",
            "8000-9000 e");
  }

  @Test
  void aParagraphOfFarTooManyTimesTakesNoTime() throws CaptionException {
    StringBuilder spans = new StringBuilder("<p begin=\"0s\" end=\"90000s\">");
    for (int second = 0; second < 40_000; second++) {
      spans.append("<span begin=\"").append(second).append("s\">x</span>");
    }
    CaptionList captions =
        Assertions.assertTimeoutPreemptively(
            Duration.ofSeconds(10), () -> body("", spans.append("</p>").toString()));
    assertThat(captions.cues()).hasSize(1);
  }

  @Test
  void whatHasNoEndIsSeenUntilAllHaveGone() throws CaptionException {
    CaptionFiles.Read read =
        read(
            HEAD
                + "><body><div>\n<p begin=\"1s\">a</p>\n<p begin=\"2s\" end=\"9s\">b</p>"
                + "<p begin=\"8s\">c</p></div></body></tt>");
    assertThat(told(read.captions())).containsExactly("1000-9000 a", "2000-9000 b", "8000-10000 c");
    assertThat(read.remarks()).hasSize(2);
    assertThat(read.remarks().getFirst().toString())
        .isEqualTo("line 2: it has no end, and is seen until 00:00:09.000");
  }

  @Test
  void whatIsNotDisplayedIsLeftOutAndTold() throws CaptionException {
    CaptionFiles.Read read =
        read(
            HEAD
                + "><head><styling><style xml:id=\"off\" tts:display=\"none\"/></styling></head>"
                + "<body><div>"
                + "<p begin=\"1s\" end=\"2s\" tts:display=\"none\">a<span tts:visibility=\"visible\">x"
                + "</span></p>"
                + "<p begin=\"2s\" end=\"3s\" tts:visibility=\"hidden\">b<span tts:visibility=\"visible\">"
                + "c</span></p>"
                + "<p begin=\"3s\" end=\"4s\" style=\"off\">d</p>"
                + "<p begin=\"4s\" end=\"5s\">e<span tts:visibility=\"hidden\">f</span></p>"
                + "</div></body></tt>");
    assertThat(told(read.captions())).containsExactly("2000-3000 c", "4000-5000 e");
    assertThat(read.remarks()).hasSize(2);
  }

  @Test
  void spaceIsKeptWhereItIsAskedFor() throws CaptionException {
    assertThat(
            told(
                body(
                    "",
                    "<p begin=\"1s\" end=\"2s\" xml:space=\"preserve\">a  b\n  c</p>"
                        + "<p begin=\"3s\" end=\"4s\">a  b\n  c</p>")))
        .containsExactly("1000-2000 a  b\n  c", "3000-4000 a b c");
  }

  @Test
  void framesOverAThousandAndOneAreExact() throws CaptionException {
    CaptionList sheet =
        body(
            " ttp:frameRate=\"30\" ttp:frameRateMultiplier=\"1000 1001\"",
            "<p begin=\"100f\" dur=\"30f\">a</p>");
    assertThat(sheet.cues().getFirst().in()).isEqualTo(FrameRate.NTSC.at(100));
    assertThat(sheet.cues().getFirst().out()).isEqualTo(FrameRate.NTSC.at(130));
    assertThat(sheet.rate()).contains(FrameRate.NTSC);
  }

  @Test
  void timesLieInsideThoseOfWhatIsAround() throws CaptionException {
    CaptionList sheet =
        read(HEAD
                + "><body begin=\"10s\"><div begin=\"5s\" end=\"20s\"><p begin=\"1s\""
                + " end=\"2s\">a</p><p begin=\"3s\">to the end</p></div></body></tt>")
            .captions();
    assertThat(sheet.cues().get(0).in()).isEqualTo(Time.ofMillis(16_000));
    assertThat(sheet.cues().get(0).out()).isEqualTo(Time.ofMillis(17_000));
    assertThat(sheet.cues().get(1).out()).isEqualTo(Time.ofMillis(30_000));
  }

  @ParameterizedTest
  @ValueSource(
      strings = {
        "<span tts:ruby=\"container\"><span tts:ruby=\"base\">\u6642\u8a08</span>"
            + "<span tts:ruby=\"delimiter\">(</span><span tts:ruby=\"text\">to kei</span>"
            + "<span tts:ruby=\"delimiter\">)</span></span>",
        "<span style=\"c\">\n<span tts:ruby=\"baseContainer\"><span tts:ruby=\"base\">\u6642</span>"
            + "<span tts:ruby=\"base\">\u8a08</span></span>\n<span tts:ruby=\"textContainer\">"
            + "<span style=\"t\">to</span><span style=\"t\">kei</span></span></span>",
        // no base is named
        "<span style=\"c\">\u6642\u8a08<span style=\"t\">to kei</span></span>"
      })
  void rubyStandsOverItsBase(String words) throws CaptionException {
    CaptionList sheet =
        read(HEAD
                + "><head><styling><style xml:id=\"c\" tts:ruby=\"container\"/>"
                + "<style xml:id=\"t\" tts:ruby=\"text\"/></styling></head><body><div>"
                + "<p begin=\"1s\" end=\"2s\">a"
                + words
                + "b</p></div></body></tt>")
            .captions();
    assertThat(sheet.cues().getFirst().story().paragraphs().getFirst().spans())
        .containsExactly(Span.of("a"), Span.of("\u6642\u8a08").withRuby("to kei"), Span.of("b"));
    assertThat(sheet.styles()).as("what only says what is ruby is no style").isEmpty();
  }

  @Test
  void chainsOfStylesBecomeStylesOnEachOther() throws CaptionException {
    CaptionList sheet =
        read(HEAD
                + "><head><styling><style xml:id=\"base\" tts:color=\"yellow\""
                + " tts:fontSize=\"5rh\"/><style xml:id=\"loud\" style=\"base\""
                + " tts:fontWeight=\"bold\"/><style xml:id=\"slanted\" tts:fontStyle=\"italic\"/>"
                + "</styling></head><body style=\"loud\"><div><p begin=\"1s\" end=\"2s\">a"
                + " <span style=\"slanted\" tts:color=\"#00ff00\">b</span><br/>c</p></div></body>"
                + "</tt>")
            .captions();
    Style loud =
        sheet.styles().stream().filter(one -> one.name().equals("Loud")).findFirst().orElseThrow();
    Style base =
        sheet.styles().stream().filter(one -> one.name().equals("Base")).findFirst().orElseThrow();
    assertThat(loud.basedOn()).contains(base.id());
    assertThat(base.properties().get(Properties.SIZE.key())).contains(FontSize.points(54));
    assertThat(sheet.follows()).containsExactly(loud.id());
    CaptionList.Cue cue = sheet.cues().getFirst();
    assertThat(cue.text()).isEqualTo("a b\nc");
    assertThat(cue.follows()).isEmpty();
    var words = cue.story().paragraphs().getFirst().spans().get(1);
    assertThat(words.follows()).hasSize(1);
    assertThat(words.local().get(Properties.COAT_COLOUR.at(CueCss.FILL)))
        .contains(Colour.hex("#00ff00"));
    assertThat(sheet.styles().stream().filter(one -> one.level() == StyleLevel.CHARACTER))
        .hasSize(1);
    assertThat(sheet.language()).isEqualTo("fr");
  }

  @Test
  void stylesThatReferToEachOtherInARingDoNotHang() {
    Assertions.assertTimeoutPreemptively(
        Duration.ofSeconds(5),
        () ->
            read(
                HEAD
                    + "><head><styling><style xml:id=\"a\" style=\"b\"/><style xml:id=\"b\""
                    + " style=\"a\"/></styling></head><body><div><p style=\"a\" begin=\"1s\""
                    + " end=\"2s\">x</p></div></body></tt>"));
  }

  @Test
  void entitiesThatGrowAreRefused() {
    String bomb =
        "<?xml version=\"1.0\"?><!DOCTYPE tt [<!ENTITY a \"aaaaaaaaaa\"><!ENTITY b"
            + " \"&a;&a;&a;&a;&a;&a;&a;&a;&a;&a;\">]>"
            + HEAD
            + "><body><div><p begin=\"1s\" end=\"2s\">&b;</p></div></body></tt>";
    assertThatThrownBy(() -> read(bomb)).isInstanceOf(CaptionException.class);
  }

  @ParameterizedTest
  @ValueSource(
      strings = {
        "<tt xmlns=\"http://www.w3.org/ns/ttml\"><body>",
        "<tt xmlns=\"http://www.w3.org/ns/ttml\"/>",
        "<html xmlns=\"http://www.w3.org/ns/ttml\"></html>"
      })
  void brokenDocumentsAreRefusedWithTheirLine(String text) {
    assertThatThrownBy(() -> read(text))
        .isInstanceOf(CaptionException.class)
        .message()
        .isNotBlank();
  }

  @Test
  void tooDeepDocumentsAreRefused() {
    String deep =
        HEAD + "><body>" + "<div>".repeat(5000) + "x" + "</div>".repeat(5000) + "</body></tt>";
    assertThatThrownBy(() -> read(deep)).hasMessageContaining("deep");
  }
}
