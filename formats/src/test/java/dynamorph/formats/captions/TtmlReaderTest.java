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
import dynamorph.model.value.Colour;
import dynamorph.model.value.FontSize;
import java.nio.charset.StandardCharsets;
import java.time.Duration;
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
