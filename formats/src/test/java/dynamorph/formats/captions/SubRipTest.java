package dynamorph.formats.captions;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import dynamorph.model.edit.importing.CaptionList;
import dynamorph.model.property.Properties;
import dynamorph.model.value.Anchor;
import dynamorph.model.value.Colour;
import dynamorph.model.value.Slant;
import java.io.IOException;
import java.nio.charset.Charset;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.Optional;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

class SubRipTest {
  private static final String TWO =
      """
      1
      00:00:01,000 --> 00:00:02,500
      Für Elise

      2
      00:00:03,000 --> 00:00:04,000
      ist zu spät.
      Zweite Zeile
      """;

  private static CaptionFiles.Read read(byte[] bytes) throws CaptionException {
    return CaptionFiles.read(bytes, "film.srt", FrameBox.HD);
  }

  static CaptionFiles.Read read(String text) throws CaptionException {
    return read(text.getBytes(StandardCharsets.UTF_8));
  }

  private static List<String> texts(CaptionFiles.Read read) {
    return read.captions().cues().stream().map(CaptionList.Cue::text).toList();
  }

  @ParameterizedTest
  @ValueSource(strings = {"UTF-8", "UTF-16LE", "UTF-16BE", "ISO-8859-1", "windows-1252"})
  void everyUsualEncodingIsRead(String charset) throws CaptionException {
    assertThat(texts(read(TWO.getBytes(Charset.forName(charset)))))
        .containsExactly("Für Elise", "ist zu spät.\nZweite Zeile");
  }

  @ParameterizedTest
  @ValueSource(strings = {"UTF-8", "UTF-16LE", "UTF-16BE", "UTF-32LE", "UTF-32BE"})
  void aByteOrderMarkIsNoLetter(String charset) throws CaptionException {
    assertThat(read(("\uFEFF" + TWO).getBytes(Charset.forName(charset))).captions().cues())
        .hasSize(2);
  }

  @Test
  void anEncodingThatIsGuessedIsTold() throws CaptionException {
    assertThat(read(TWO).remarks()).isEmpty();
    assertThat(read(TWO.getBytes(Charset.forName("windows-1252"))).remarks())
        .singleElement()
        .asString()
        .contains("read as ISO-8859-");
  }

  @Test
  void theEncodingCanBeSaid(@TempDir Path folder) throws IOException {
    Path file = folder.resolve("film.srt");
    Files.write(file, TWO.replace("Elise", "\u0130\u011f\u015f").getBytes("windows-1254"));
    CaptionFiles.Read read =
        CaptionFiles.read(file, FrameBox.HD, Optional.of(Charset.forName("windows-1254")));
    assertThat(texts(read).getFirst()).isEqualTo("F\u00fcr \u0130\u011f\u015f");
    assertThat(read.remarks()).isEmpty();
  }

  @Test
  void whatIsCommonlyWrongIsRead() throws CaptionException {
    String text =
        "\n\n00:00:01.5 --> 0:00:02.250\r\nno number, dots\r\n\r\n\r\n7\r\n00:00:03,000 -->"
            + " 00:00:04,000 X1:10\r\n\r\nstray blank line before\n\nand inside\n3\n"
            + "00:00:05,000->00:00:06,000\nshort arrow";
    CaptionFiles.Read read = read(text);
    assertThat(texts(read))
        .containsExactly("no number, dots", "stray blank line before\n\nand inside", "short arrow");
    assertThat(read.captions().cues().getFirst().in().millis()).isEqualTo(1500);
    assertThat(read.captions().cues().getFirst().out().millis()).isEqualTo(2250);
  }

  /** A tab led to the next tab stop, in the midst of a centred line. */
  @Test
  void aTabIsASpace() throws CaptionException {
    CaptionFiles.Read read = read("1\n00:00:01,000\t-->\t00:00:02,000\nThe\tbell\nclimbs\n");
    assertThat(texts(read)).containsExactly("The bell\nclimbs");
  }

  @Test
  void timesThatRunBackwardsAreLeftOutAndTold() throws CaptionException {
    CaptionFiles.Read read = read(TWO + "\n3\n00:00:09,000 --> 00:00:08,000\nbackwards\n");
    assertThat(read.captions().cues()).hasSize(2);
    assertThat(read.remarks()).hasSize(1);
    assertThat(read.remarks().getFirst().toString())
        .isEqualTo("line 11: left out: it would be seen from 00:00:09.000 to 00:00:08.000");
  }

  @Test
  void tagsBecomeLocalChangesOfWords() throws CaptionException {
    CaptionList.Cue cue =
        read("1\n00:00:01,000 --> 00:00:02,000\n{\\an8}a <i>b <b>c</i> d</b>"
                + " <font color=\"#ff0000\">e</font> <x>f\n")
            .captions()
            .cues()
            .getFirst();
    assertThat(cue.text()).isEqualTo("a b c d e <x>f");
    var spans = cue.story().paragraphs().getFirst().spans();
    assertThat(spans.get(1).local().get(Properties.SLANT.key())).contains(Slant.ITALIC);
    assertThat(spans.get(2).local().get(Properties.FONT_WEIGHT.key())).contains(700.0);
    assertThat(spans.get(2).local().get(Properties.SLANT.key())).contains(Slant.ITALIC);
    assertThat(cue.local().get(Properties.ANCHOR.key())).contains(Anchor.TOP);
  }

  /** Slips of the hand and of scanners: they were swallowed into the cue before. */
  @ParameterizedTest
  @ValueSource(
      strings = {
        "OO:00:05,000 --> 00:00:06,5OO",
        "00:05,000 --> 00:06,500",
        "00:00:05,O00 --> 00:00:06,5OO",
        "00:00: 05,000 --> 00 :00:06,500",
        "00:00:05;000 --> 00:00:06;500",
        "00:00:05,000 ---> 00:00:06,500",
        "00:00:05,000 -- > 00:00:06,500",
        "00:00:05,000: --> 00:00:06,500.",
      })
  void slipsInTimesAreMendedAndTold(String times) throws CaptionException {
    CaptionFiles.Read read = read(TWO + "\n3\n" + times + "\nthird\n");
    assertThat(texts(read)).hasSize(3).endsWith("third");
    CaptionList.Cue third = read.captions().cues().getLast();
    assertThat(third.in().millis()).isEqualTo(5000);
    assertThat(third.out().millis()).isEqualTo(6500);
    assertThat(read.remarks()).hasSize(1);
    assertThat(read.remarks().getFirst().toString())
        .startsWith("line 11: ")
        .contains("00:00:05,000 --> 00:00:06,500");
  }

  @Test
  void timesThatNobodyCanReadTakeTheirWordsWithThem() throws CaptionException {
    CaptionFiles.Read read =
        read("1\n00:00:01,000 --> 00:00:02,000\na -> b\n\n2\n00:::04 --> 5:\nlost\n");
    assertThat(texts(read)).containsExactly("a -> b");
    assertThat(read.remarks().getFirst().toString())
        .startsWith("line 6: ")
        .contains("00:::04 --> 5:");
  }

  /** What looks a little like a time, or like a code, is words. */
  @Test
  void wordsStayWords() throws CaptionException {
    assertThat(
            texts(read("1\n00:00:01,000 --> 00:00:02,000\n10:30 -> 11:45\nC:\\new\\NEW {note}\n")))
        .containsExactly("10:30 -> 11:45\nC:\\new\nEW {note}");
  }

  @Test
  void overrideCodesMeanWhatTheySay() throws CaptionException {
    CaptionFiles.Read read =
        read(
            "1\n00:00:01,000 --> 00:00:02,000\n{\\pos(96,72)\\an7}a {\\i1\\b1}b \\N c{\\i0} d{\\r}"
                + " {\\c&H0000FF&}e{\\c}\\hf {\\fad(100,200)}g\n");
    CaptionList.Cue cue = read.captions().cues().getFirst();
    assertThat(cue.text()).isEqualTo("a b\nc d e\u00a0f g");
    var spans = cue.story().paragraphs().getFirst().spans();
    assertThat(spans.get(1).text()).isEqualTo("b\u2028c");
    assertThat(spans.get(1).local().get(Properties.SLANT.key())).contains(Slant.ITALIC);
    assertThat(spans.get(1).local().get(Properties.FONT_WEIGHT.key())).contains(700.0);
    assertThat(spans.get(2).text()).isEqualTo(" d");
    assertThat(spans.get(2).local().has(Properties.SLANT.key())).isFalse();
    assertThat(spans.get(2).local().get(Properties.FONT_WEIGHT.key())).contains(700.0);
    assertThat(spans.get(3).local().isEmpty()).isTrue();
    // blue, green, red
    assertThat(spans.get(4).local().get(Properties.COAT_COLOUR.at(CueCss.FILL)))
        .contains(Colour.hex("#ff0000"));
    assertThat(spans.get(5).local().isEmpty()).isTrue();
    // a quarter of 384 and of 288
    assertThat(cue.local().get(Properties.ANCHOR.key())).contains(Anchor.TOP_LEFT);
    assertThat(cue.local().get(Properties.POSITION_X.key())).contains(480.0);
    assertThat(cue.local().get(Properties.POSITION_Y.key())).contains(270.0);
    assertThat(read.remarks()).hasSize(1);
    assertThat(read.remarks().getFirst().toString()).contains("{\\fad(100,200)}");
  }

  @ParameterizedTest
  @ValueSource(strings = {"", "   \n", "not captions at all", "1\n2\n3\n"})
  void whatIsNoCaptionFileIsRefused(String text) {
    assertThatThrownBy(() -> read(text)).isInstanceOf(CaptionException.class);
  }

  @Test
  void oneHugeCueIsCutAndManyAreRefused() throws CaptionException {
    CaptionFiles.Read read =
        read("1\n00:00:01,000 --> 00:00:02,000\n" + "word ".repeat(250_000) + "\n");
    assertThat(read.captions().cues().getFirst().story().length()).isEqualTo(10_000);
    assertThat(read.remarks()).isNotEmpty();
    StringBuilder many = new StringBuilder();
    for (int index = 0; index <= CaptionFiles.MOST_CUES; index++) {
      many.append("00:00:01,000 --> 00:00:02,000\na\n\n");
    }
    assertThatThrownBy(() -> read(many.toString())).hasMessageContaining("200000 is the most");
  }
}
