package dynamorph.formats.captions;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import dynamorph.model.edit.importing.CaptionList;
import dynamorph.model.property.Properties;
import dynamorph.model.property.PropertySet;
import dynamorph.model.style.Style;
import dynamorph.model.style.StyleLevel;
import dynamorph.model.text.Span;
import dynamorph.model.value.Alignment;
import dynamorph.model.value.Anchor;
import dynamorph.model.value.Colour;
import dynamorph.model.value.FontSize;
import java.nio.charset.StandardCharsets;
import java.util.List;
import java.util.SplittableRandom;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;

class VttReaderTest {
  private static CaptionFiles.Read read(String text) throws CaptionException {
    return CaptionFiles.read(text.getBytes(StandardCharsets.UTF_8), "film.vtt", FrameBox.HD);
  }

  private static CaptionList.Cue cue(String text) throws CaptionException {
    return read("WEBVTT\n\n" + text + "\n").captions().cues().getFirst();
  }

  private static List<Span> spans(String words) throws CaptionException {
    return cue("00:01.000 --> 00:02.000\n" + words).story().paragraphs().getFirst().spans();
  }

  private static String words(String words) throws CaptionException {
    return cue("00:01.000 --> 00:02.000\n" + words).text();
  }

  @ParameterizedTest
  @CsvSource({
    "00:01.000, 1000",
    "01:02.003, 62003",
    "00:00:01.000, 1000",
    "100:00:01.000, 360001000",
    "00:59:59.999, 3599999"
  })
  void goodTimesAreRead(String text, long millis) {
    assertThat(VttFile.time(text).orElseThrow().millis()).isEqualTo(millis);
  }

  @ParameterizedTest
  @ValueSource(
      strings = {
        "1:00.000", "00:60.000", "60:00.000", "00:00", "00:00.00", "00:00.0000", "00:00,000",
        "0a:00.000", "00:00:60.000", "00:60:00.000", "", ":00.000", "00:000.000", "-00:01.000"
      })
  void badTimesAreNone(String text) {
    assertThat(VttFile.time(text)).isEmpty();
  }

  @ParameterizedTest
  @ValueSource(
      strings = {
        "00:01.000-->00:02.000",
        "00:01.000\t-->\t00:02.000",
        "  00:01.000  -->  00:02.000  ",
        "00:01.000 --> 00:02.000 align:start",
        "00:01.000 --> 00:02.000\talign:start"
      })
  void timesMayStandInAnySpaces(String line) throws CaptionException {
    assertThat(cue(line + "\nwords").out().millis()).isEqualTo(2000);
  }

  @ParameterizedTest
  @ValueSource(
      strings = {"WEBVTT\n", "WEBVTT some title\n", "WEBVTT\tx\n", "\uFEFFWEBVTT\n", "WEBVTT\r\n"})
  void theSignatureMayBeFollowedByATitle(String head) throws CaptionException {
    assertThat(read(head + "\n00:01.000 --> 00:02.000\na").captions().cues()).hasSize(1);
  }

  @ParameterizedTest
  @ValueSource(strings = {"WEBVTTx\n\n00:01.000 --> 00:02.000\na", "webvtt\n\nNOTE"})
  void withoutTheSignatureItIsNoWebVtt(String text) {
    assertThatThrownBy(() -> VttReader.read(text, FrameBox.HD, new java.util.ArrayList<>()))
        .hasMessageContaining("WEBVTT");
  }

  @Test
  void whatIsNoCueIsPassedOver() throws CaptionException {
    CaptionFiles.Read read =
        read(
            """
            WEBVTT
            X-header: 1

            NOTE a note
            on two lines

            id of one
            00:01.000 --> 00:02.000
            one
            00:03.000 --> 00:04.000
            two, without a blank line before

            00:06.000 --> 00:05.000
            backwards

            00:07.00 --> 00:08.000
            bad time

            stray text

            STYLE
            ::cue { color: red }

            00:09.000 --> 00:10.000
            three
            """);
    assertThat(read.captions().cues().stream().map(CaptionList.Cue::text))
        .containsExactly("one", "two, without a blank line before", "three");
    assertThat(read.captions().cues().getFirst().name()).isEqualTo("id of one");
    assertThat(read.captions().styles())
        .as("a style sheet after a cue counts for nothing")
        .isEmpty();
    assertThat(read.remarks()).hasSizeGreaterThanOrEqualTo(3);
  }

  @ParameterizedTest
  @CsvSource(
      delimiter = '|',
      value = {
        "a &amp; b &lt;c&gt; &nbsp;d | a & b <c> \u00a0d",
        "&#65;&#x42; &unknown; &amp | AB &unknown; &",
        "<b>bold</b> not | bold not",
        "<b>never closed | never closed",
        "</b>never opened | never opened",
        "<b><i>crossed</b></i> | crossed",
        "<unknown>kept</unknown> | kept",
        "<00:01.500>timed <00:01.800>words | timed words",
        "<c.yellow.bg_blue>c</c> | c",
        "a <b | a",
        "a < b | a",
        "<ruby>\u6642<rt>toki</rt></ruby> | \u6642",
        "<ruby><rt>toki</rt></ruby> | (toki)",
        "<rt>outside</rt> | outside",
        "<lang ja>\u6642</lang> | \u6642",
        "<> empty | empty"
      })
  void cueTextIsReadAsTheStandardSays(String given, String expected) throws CaptionException {
    assertThat(words(given).strip()).isEqualTo(expected.strip());
  }

  @ParameterizedTest
  @CsvSource({
    "<ruby>\u6642<rt>toki</rt></ruby>, toki",
    "<ruby>\u6642<rt>toki, toki",
    "<ruby>\u6642<rt>to<b>ki</b></ruby>, toki",
    "<ruby>\u6642<rt>to</rt>\u8a08<rt>kei</rt></ruby>, to kei",
    "<ruby>\u6642<rt>to</rt>\u8a08<rt>to</rt></ruby>, to to",
    "<ruby>\u6642<rt> </rt></ruby>, ''"
  })
  void rubyStandsOverItsBase(String given, String expected) throws CaptionException {
    assertThat(
            spans(given).stream().map(Span::ruby).collect(java.util.stream.Collectors.joining(" ")))
        .isEqualTo(expected);
  }

  @Test
  void voicesClassesAndLanguagesReachTheirWords() throws CaptionException {
    CaptionList.Cue spoken = cue("00:01.000 --> 00:02.000\n<v.loud Mary Ann>Hi <i>you</i></v>");
    assertThat(spoken.speaker()).isEqualTo("Mary Ann");
    assertThat(spoken.text()).isEqualTo("Hi you");
    assertThat(spans("<lang ar>x</lang>").getFirst().local().get(Properties.LANGUAGE.key()))
        .contains("ar");
    assertThat(spans("<c.yellow>x</c>").getFirst().follows()).hasSize(1);
  }

  @Test
  void styleSheetsBecomeStyles() throws CaptionException {
    CaptionList sheet =
        read("""
        WEBVTT

        STYLE
        ::cue { color: #fff; font-family: "Anton", sans-serif; font-size: 120%;
                text-shadow: #000 1px 2px 3px; position: fixed }
        ::cue(.sound), ::cue(.noise) { font-style: italic /* quiet */ }
        video::cue(v[voice="Archive"]) { color: rgba(255, 0, 0, 0.5) }

        00:01.000 --> 00:02.000
        <v Archive><c.sound>ding</c> dong</v>
        """)
            .captions();
    assertThat(sheet.follows()).hasSize(1);
    Style all = style(sheet, "Caption");
    assertThat(all.level()).isEqualTo(StyleLevel.TEXT);
    assertThat(all.properties().get(Properties.FONT_FAMILY.key())).contains("Anton");
    assertThat(all.properties().get(Properties.SIZE.key())).contains(new FontSize.Times(1.2));
    assertThat(style(sheet, "Sound").level()).isEqualTo(StyleLevel.CHARACTER);
    assertThat(style(sheet, "Archive").properties().get(Properties.COAT_COLOUR.at(CueCss.FILL)))
        .contains(Colour.hex("#ff000080"));
    assertThat(sheet.cues().getFirst().story().paragraphs().getFirst().spans().getFirst().follows())
        .hasSize(2);
  }

  private static Style style(CaptionList sheet, String name) {
    return sheet.styles().stream().filter(one -> one.name().equals(name)).findFirst().orElseThrow();
  }

  @Test
  void settingsBecomePlaces() throws CaptionException {
    PropertySet top = cue("00:01.000 --> 00:02.000 line:10% align:left\na").local();
    assertThat(top.get(Properties.ANCHOR.key())).contains(Anchor.TOP_LEFT);
    assertThat(top.get(Properties.POSITION_Y.key())).contains(108.0);
    assertThat(top.get(Properties.ALIGNMENT.key())).contains(Alignment.LEFT);
    PropertySet narrow = cue("00:01.000 --> 00:02.000 size:50% position:25%,line-left\na").local();
    assertThat(narrow.get(Properties.BOX_WIDTH.key())).contains(960.0);
    assertThat(narrow.get(Properties.POSITION_X.key())).contains(-480.0);
    assertThat(cue("00:01.000 --> 00:02.000 line:foo size:200% align:upwards x\na").local())
        .as("what is wrong counts for nothing")
        .isEqualTo(PropertySet.EMPTY);
  }

  @Test
  void regionsBecomePlaces() throws CaptionException {
    CaptionList sheet =
        read("""
        WEBVTT

        REGION
        id:top width:40% lines:3 regionanchor:0%,0% viewportanchor:10%,10%

        00:01.000 --> 00:02.000 region:top
        a
        """)
            .captions();
    PropertySet local = sheet.cues().getFirst().local();
    assertThat(local.get(Properties.BOX_WIDTH.key())).contains(768.0);
    assertThat(local.get(Properties.POSITION_Y.key())).contains(108.0);
  }

  @Test
  void malformedInputNeverFailsNorHangs() {
    SplittableRandom random = new SplittableRandom(11);
    String good =
        "WEBVTT\n\nSTYLE\n::cue(.a) { color: red }\n\n1\n00:01.000 --> 00:02.000 line:1%\n"
            + "<v A><c.a>b</c> &amp; <ruby>x<rt>y</rt></ruby></v>\n\n";
    String letters = "<>&;:.%-{}()/\n\t a1\u0000\u2028v";
    for (int round = 0; round < 3000; round++) {
      StringBuilder text = new StringBuilder(good);
      for (int change = 0; change <= random.nextInt(12); change++) {
        int at = 7 + random.nextInt(text.length() - 7);
        switch (random.nextInt(3)) {
          case 0 -> text.deleteCharAt(at);
          case 1 -> text.insert(at, letters.charAt(random.nextInt(letters.length())));
          default -> text.setCharAt(at, letters.charAt(random.nextInt(letters.length())));
        }
      }
      try {
        read(text.toString());
      } catch (CaptionException told) {
        assertThat(told.getMessage()).isNotBlank();
      }
    }
  }
}
