package dynamorph.formats.captions;

import static org.assertj.core.api.Assertions.assertThat;

import dynamorph.formats.html.HtmlText;
import dynamorph.model.Artboard;
import dynamorph.model.LengthUnit;
import dynamorph.model.Project;
import dynamorph.model.edit.importing.ImportCaptions;
import dynamorph.model.timeline.FrameRate;
import dynamorph.model.timeline.Time;
import dynamorph.model.timeline.Timeline;
import dynamorph.model.timeline.Track;
import java.nio.charset.StandardCharsets;
import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;
import org.junit.jupiter.api.Timeout;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.Arguments;
import org.junit.jupiter.params.provider.MethodSource;
import org.junit.jupiter.params.provider.ValueSource;

/**
 * Files that were made to take for ever, or to nest deeper than methods can call each other. The
 * limit of time is a hundred times what they take; where the work grows with the square of their
 * length, they take hours.
 */
class HostileCaptionsTest {
  private static final int MANY = 300_000;
  private static final String VTT = "WEBVTT\n\n";
  private static final String CUE = "\n\n00:01.000 --> 00:02.000\nbell\n";

  static Stream<Arguments> files() {
    return Stream.of(
        sheet("a".repeat(MANY)),
        sheet("/*".repeat(MANY)),
        sheet("::cue(" + "(,".repeat(MANY) + "){color:red}"),
        sheet("::cue" + "{".repeat(MANY)),
        sheet("::cue{text-shadow:" + "1 ".repeat(MANY) + "}"),
        sheet("::cue(v[voice=" + "\"]".repeat(MANY) + "){color:red}"),
        sheet("::cue{color: rgba(" + " 1,".repeat(MANY) + "}"),
        sheet("::cue{color: rgb(" + "1 ".repeat(MANY) + "}"),
        sheet("::cue{font-size:" + "1".repeat(MANY) + "}"),
        cue("<b>".repeat(MANY)),
        cue("<".repeat(MANY)),
        cue("&".repeat(MANY)),
        cue("<c" + ".a".repeat(MANY) + ">x"),
        cue("<ruby>a<rt>".repeat(MANY)),
        cue("<v " + " ".repeat(MANY) + ">x"),
        Arguments.of("vtt", VTT + "00:01.000 --> 00:02.000 " + "line:1% ".repeat(MANY) + "\nbell"),
        Arguments.of("vtt", VTT + "-->\n".repeat(MANY) + CUE),
        Arguments.of("vtt", "WEBVTT" + "\n".repeat(MANY) + CUE),
        srt("{\\an".repeat(MANY)),
        srt("<font ".repeat(MANY)),
        srt("<font color" + " ".repeat(MANY) + ">x</font>"),
        srt("<i>".repeat(MANY)),
        srt(" ".repeat(MANY) + "x"),
        srt(" ".repeat(MANY) + "-> 1:"),
        srt("0 ".repeat(MANY) + "->"),
        Arguments.of("srt", "1\n" + " ".repeat(MANY) + "00:00:01,000 --> 00:00:02,000\nbell\n"),
        Arguments.of("srt", "0:".repeat(MANY) + "\n"),
        ttml("<span>".repeat(20_000) + "bell" + "</span>".repeat(20_000)),
        ttml("x" + " ".repeat(MANY) + "<br/>bell"),
        ttml("<br/>".repeat(MANY)),
        ttml("<span tts:fontFamily='" + "a,".repeat(MANY) + "'>bell</span>"),
        ttml("<span tts:color='" + "rgb(".repeat(MANY) + "'>bell</span>"),
        ttml("<span tts:textShadow='" + "1px ".repeat(MANY) + "'>bell</span>"),
        Arguments.of("ttml", "<tt>".repeat(MANY)),
        Arguments.of(
            "ttml",
            "<!DOCTYPE tt [<!ENTITY a 'bell'>"
                + "<!ENTITY b '&a;&a;&a;&a;&a;&a;&a;&a;'><!ENTITY c '&b;&b;&b;&b;&b;&b;&b;&b;'>"
                + "]><tt xmlns='http://www.w3.org/ns/ttml'><body><div><p begin='0s' end='1s'>&c;"
                + "</p></div></body></tt>"));
  }

  private static Arguments sheet(String css) {
    return Arguments.of("vtt", VTT + "STYLE\n" + css + CUE);
  }

  private static Arguments cue(String text) {
    return Arguments.of("vtt", VTT + "00:01.000 --> 00:02.000\n" + text + "\n");
  }

  private static Arguments srt(String text) {
    return Arguments.of("srt", "1\n00:00:01,000 --> 00:00:02,000\n" + text + "\n\n");
  }

  private static Arguments ttml(String inside) {
    return Arguments.of(
        "ttml",
        "<tt xmlns='http://www.w3.org/ns/ttml' xmlns:tts='http://www.w3.org/ns/ttml#styling'>"
            + "<body><div><p xml:space='preserve' begin='0s' end='1s'>"
            + inside
            + "</p></div></body></tt>");
  }

  @ParameterizedTest
  @MethodSource("files")
  @Timeout(20)
  void areReadOrRefusedInALine(String ending, String text) {
    try {
      var read =
          CaptionFiles.read(text.getBytes(StandardCharsets.UTF_8), "bell." + ending, FrameBox.HD);
      assertThat(read.captions().cues()).isNotEmpty();
      assertThat(read.remarks()).hasSizeLessThan(1_000);
    } catch (CaptionException told) {
      assertThat(told.getMessage()).hasLineCount(1).hasSizeLessThan(500);
    }
  }

  static Stream<Arguments> manyStyles() {
    StringBuilder sheet = new StringBuilder(VTT + "STYLE\n");
    for (int style = 0; style < 20_000; style++) {
      sheet.append("::cue(.c%d) { color: #%06x }\n".formatted(style, style));
    }
    StringBuilder chain =
        new StringBuilder(
            "<tt xmlns='http://www.w3.org/ns/ttml' xml:lang='en'"
                + " xmlns:tts='http://www.w3.org/ns/ttml#styling'><head><styling>");
    for (int style = 0; style < 3_000; style++) {
      chain.append(
          "<style xml:id='s%d' tts:color='#%06x' style='s%d'/>".formatted(style, style, style - 1));
    }
    chain.append("</styling></head><body><div><p begin='0s' end='1s' style='s2999'>bell</p>");
    return Stream.of(
        Arguments.of(
            "vtt", sheet + "\n\n00:01.000 --> 00:02.000\n<c.c7>bell</c><c.c19999>s</c>\n", 20_000),
        Arguments.of("ttml", chain + "</div></body></tt>", 3_000));
  }

  /** Sheets that are brought into a project and written again. */
  @ParameterizedTest
  @MethodSource("manyStyles")
  @Timeout(20)
  void comeInAndGoOutWithAllTheirStyles(String ending, String text, int most)
      throws CaptionException {
    var read =
        CaptionFiles.read(text.getBytes(StandardCharsets.UTF_8), "bell." + ending, FrameBox.HD);
    Artboard film =
        Artboard.empty("film", "Film", 1920, 1080, LengthUnit.PIXEL)
            .withTimeline(Optional.of(Timeline.of(FrameRate.PAL, Time.ofMillis(9_000))));
    Track.Captions track = Track.Captions.of("en", "English", "en");
    Project project =
        new ImportCaptions(film.id(), track, read.captions(), "n")
            .applyTo(Project.empty("Many").plus(film));
    assertThat(project.styles().size()).isBetween(2, most);
    Artboard brought = project.films().findFirst().orElseThrow();
    Track.Captions captions = brought.timeline().orElseThrow().captions().findFirst().orElseThrow();
    for (CaptionFiles.Format format : CaptionFiles.Format.values()) {
      byte[] written = CaptionFiles.write(project, brought, captions, format).bytes();
      assertThat(
              CaptionFiles.read(written, "bell." + format.ending(), FrameBox.HD)
                  .captions()
                  .cues()
                  .getFirst()
                  .text())
          .contains("bell");
    }
  }

  /** Values that are nearly what is expected, for everything that a look can have. */
  @ParameterizedTest
  @ValueSource(
      strings = {
        "",
        ",",
        "'",
        "\"",
        "NaN",
        "Infinity",
        "1.2.3px",
        "-",
        ".",
        ".px",
        "99999999999999999999px",
        "rgb(99999999999,1,1)",
        "rgb(1,1)",
        "#",
        "#12345",
        "-1px",
        "0px 1.2.3px red",
        "1e999em",
        "red 1px 1px 1.1.1px",
        "px px px",
        "%",
        "100%%",
        "\u0000",
        "\ud800"
      })
  void nearlyValues(String value) throws CaptionException {
    List<String> css =
        List.of(
            "color",
            "background",
            "background-color",
            "font-weight",
            "font-style",
            "font-size",
            "font-family",
            "font",
            "text-shadow",
            "text-decoration",
            "opacity",
            "text-align",
            "line-height",
            "letter-spacing",
            "font-variant");
    for (String name : css) {
      Arguments file = sheet("::cue{" + name + ":" + value + "}");
      read("vtt", (String) file.get()[1]);
      String marked = "<p style=\"" + name + ":" + value.replace("\"", "&quot;") + "\">bell</p>";
      assertThat(HtmlText.read(marked).orElseThrow().text()).isEqualTo("bell");
    }
    String escaped = value.replace("\u0000", "").replace("\ud800", "").replace("\"", "&quot;");
    for (String name :
        List.of(
            "color",
            "backgroundColor",
            "fontWeight",
            "fontStyle",
            "fontSize",
            "fontFamily",
            "textShadow",
            "textOutline",
            "textDecoration",
            "opacity",
            "textAlign",
            "lineHeight",
            "origin",
            "extent",
            "padding",
            "displayAlign",
            "direction",
            "writingMode")) {
      Arguments file = ttml("<span tts:" + name + "=\"" + escaped + "\">bell</span>");
      read("ttml", (String) file.get()[1]);
      read("ttml", ((String) file.get()[1]).replace("<tt ", "<tt tts:extent=\"" + escaped + "\" "));
    }
    for (String name : List.of("line", "position", "size", "align", "region", "vertical")) {
      read(
          "vtt",
          VTT + "00:01.000 --> 00:02.000 " + name + ":" + value.replace("\u0000", "") + "\nbell\n");
    }
    for (String name : List.of("lines", "width", "regionanchor", "viewportanchor", "scroll")) {
      read("vtt", VTT + "REGION\nid:r\n" + name + ":" + value + CUE);
    }
  }

  private static void read(String ending, String text) throws CaptionException {
    var read =
        CaptionFiles.read(text.getBytes(StandardCharsets.UTF_8), "bell." + ending, FrameBox.HD);
    assertThat(read.captions().cues()).hasSize(1);
  }
}
