package dynamorph.formats.captions;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import dynamorph.model.Layer;
import dynamorph.model.edit.importing.CaptionList;
import dynamorph.model.property.Properties;
import dynamorph.model.property.PropertySet;
import dynamorph.model.text.Span;
import dynamorph.model.timeline.FrameRate;
import dynamorph.model.timeline.Time;
import dynamorph.model.timeline.Timecode;
import dynamorph.model.timeline.Timeline;
import dynamorph.model.timeline.Timing;
import dynamorph.model.timeline.Track;
import dynamorph.model.value.Alignment;
import dynamorph.model.value.Anchor;
import dynamorph.model.value.Slant;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.SplittableRandom;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** Closed captions in SCC: words by hand after the tables of CEA-608, and files that come back. */
class SccTest {
  private static final WrittenFilm FILM =
      new WrittenFilm(Track.Captions.of("en", "English", "en"), CaptionFiles.Format.SCC);
  private static final FrameRate RATE = FrameRate.NTSC;

  private static CaptionFiles.Read read(String... lines) throws CaptionException {
    String text = "Scenarist_SCC V1.0\n\n" + String.join("\n\n", lines) + "\n";
    return CaptionFiles.read(text.getBytes(StandardCharsets.US_ASCII), "film.scc", FrameBox.HD);
  }

  private static Time at(long frame) {
    return RATE.at(frame);
  }

  /** Row 15, two tab cells behind the twelfth: "Hi" in the middle, then italic "all". */
  @Test
  void captionsPopOnInTheFrameOfTheirCode() throws CaptionException {
    CaptionFiles.Read read =
        read(
            "00:00:01:00\t9420 9420 94ae 94ae 9476 9476 97a2 97a2 c8e9 91ae 91ae 61ec ec80 942f 942f",
            "00:00:03:10\t942c 942c");
    CaptionList.Cue cue = read.captions().cues().getFirst();
    // 13 words come before the code, and codes are sent twice
    assertThat(cue.in()).isEqualTo(at(30 + 13));
    assertThat(cue.out()).isEqualTo(at(100));
    assertThat(cue.text()).isEqualTo("Hi all");
    List<Span> spans = cue.story().paragraphs().getFirst().spans();
    assertThat(spans.stream().map(Span::text)).containsExactly("Hi ", "all");
    assertThat(spans.getLast().local().get(Properties.SLANT.key())).contains(Slant.ITALIC);
    assertThat(cue.local().isEmpty()).as("where captions stand anyway").isTrue();
    assertThat(read.remarks()).isEmpty();
  }

  @Test
  void theNextCaptionTakesThePlaceOfTheOneBefore() throws CaptionException {
    List<CaptionList.Cue> cues =
        read(
                "00:00:01:00\t9420 9420 94ae 94ae 9470 9470 6162 942f 942f",
                "00:00:02:00\t9420 9420 94ae 94ae 9470 9470 6364 942f 942f")
            .captions()
            .cues();
    assertThat(cues.stream().map(CaptionList.Cue::text)).containsExactly("ab", "cd");
    assertThat(cues.getFirst().out()).isEqualTo(cues.getLast().in()).isEqualTo(at(60 + 7));
    assertThat(cues.getLast().out()).as("four seconds").isEqualTo(at(60 + 8 + 120));
  }

  @Test
  void lettersThatTakeThePlaceOfOthersAndSpecialOnes() throws CaptionException {
    // A, then Á in its place; twice the note, which is sent four times; the apostrophe, é, ñ
    CaptionList.Cue cue =
        read("00:00:01:00\t9420 9420 9470 9470 c180 9220 9220 9137 9137 9137 9137 a75c fe80 942f")
            .captions()
            .cues()
            .getFirst();
    assertThat(cue.text()).isEqualTo("\u00c1\u266a\u266a\u2019\u00e9\u00f1");
  }

  @Test
  void rowsThatRollUpAreCuesOfTheirOwn() throws CaptionException {
    CaptionFiles.Read read =
        read(
            "00:00:01:00\t9425 9425 94ad 94ad 9470 9470 4f6e e580",
            "00:00:02:00\t9425 9425 94ad 94ad 9470 9470 5477 ef80",
            "00:00:03:00\t942c 942c");
    List<CaptionList.Cue> cues = read.captions().cues();
    assertThat(cues.stream().map(CaptionList.Cue::text)).containsExactly("One", "Two");
    assertThat(cues.getFirst().in()).isEqualTo(at(36));
    assertThat(cues.getFirst().out()).as("until the next row begins").isEqualTo(at(66));
    assertThat(cues.getLast().out()).isEqualTo(at(90));
    assertThat(read.captions().local().get(Properties.ALIGNMENT.key()))
        .as("all of them begin at the left")
        .contains(Alignment.LEFT);
    assertThat(read.remarks().toString()).contains("2 rows roll up");
  }

  @Test
  void captionsThatArePaintedBeginWithTheirFirstLetter() throws CaptionException {
    List<CaptionList.Cue> cues =
        read("00:00:01:00\t9429 9429 9140 9140 6180", "00:00:02:00\t942c 942c").captions().cues();
    assertThat(cues).hasSize(1);
    assertThat(cues.getFirst().in()).isEqualTo(at(34));
    assertThat(cues.getFirst().out()).isEqualTo(at(60));
  }

  @Test
  void rowsAndColumnsArePlaces() throws CaptionException {
    // row 1 at the left; row 2 ends at the right edge: 28 cells, two more, then two letters
    CaptionFiles.Read read =
        read(
            "00:00:01:00\t9420 9420 9150 9150 6162 942f 942f",
            "00:00:02:00\t9420 9420 94ae 94ae 917e 917e 97a2 97a2 6162 942f 942f");
    PropertySet left = read.captions().cues().getFirst().local();
    assertThat(left.get(Properties.ANCHOR.key())).contains(Anchor.TOP_LEFT);
    assertThat(left.get(Properties.POSITION_X.key())).contains(192.0);
    assertThat(left.get(Properties.POSITION_Y.key())).contains(108.0);
    PropertySet right = read.captions().cues().getLast().local();
    assertThat(right.get(Properties.ANCHOR.key())).contains(Anchor.TOP_RIGHT);
    assertThat(right.get(Properties.POSITION_X.key())).contains(-192.0);
    // the second of fifteen rows in four fifths of the height begins at 108 + 864 / 15
    assertThat(right.get(Properties.POSITION_Y.key())).contains(165.6);
  }

  @Test
  void dropFrameLabelsAreCountedAsFrames() throws CaptionException {
    // 01:00:00;00 is frame 107,892; 01:00:00:00 is frame 108,000
    String words = "9420 9470 6162 942f";
    assertThat(read("01:00:00;00\t" + words).captions().cues().getFirst().in())
        .isEqualTo(at(107_892 + 3));
    assertThat(read("01:00:00:00\t" + words).captions().cues().getFirst().in())
        .isEqualTo(at(108_000 + 3));
  }

  @Test
  void aLineThatBeginsTooEarlyWaitsForTheOneBefore() throws CaptionException {
    // five words from frame 30 on; the code that erases is to be sent in frame 31
    List<CaptionList.Cue> cues =
        read("00:00:01:00\t9420 9470 6162 e364 942f", "00:00:01:01\t942c 942c").captions().cues();
    assertThat(cues.getFirst().in()).isEqualTo(at(34));
    assertThat(cues.getFirst().out()).isEqualTo(at(35));
  }

  @Test
  void midnightDoesNotTurnTimeBack() throws CaptionException {
    List<CaptionList.Cue> cues =
        read("23:59:59:00\t9420 9470 6162 942f", "00:00:01:00\t942c 942c").captions().cues();
    assertThat(cues.getFirst().in()).isEqualTo(at(2_591_970 + 3));
    assertThat(cues.getFirst().out()).isEqualTo(at(2_592_000 + 30));
  }

  /** Every word there is, alone and in all modes: no code that does not exist does any harm. */
  @Test
  void noWordDoesHarm() throws CaptionException {
    for (String mode : List.of("9420", "9429", "9425", "942a")) {
      StringBuilder words = new StringBuilder("00:00:01:00\t9420 9470 6162 942f " + mode);
      for (int word = 0; word < 0x8000; word++) {
        if ((word & 0x80) == 0) {
          words.append(' ').append(Cea608.written(word));
        }
      }
      assertThat(read(words.toString()).captions().cues()).isNotEmpty();
    }
  }

  @Test
  void whatIsDamagedIsTold() throws CaptionException {
    CaptionFiles.Read read =
        read(
            "00:00:01:00\t9420 9420 9470 9470 61e2 xyz1 4141 942f 942f",
            "no timecode 9420",
            "00:00:02:00\t942c 942c",
            "00:00:03:00\t1c20 9c20 9c70 9c70 64e5");
    assertThat(read.captions().cues().getFirst().text()).startsWith("ab");
    assertThat(read.remarks().toString())
        .contains("line 3: \"xyz1\" is left out")
        .contains("line 5: \"no timecode 9420\" is left out")
        .contains("a wrong parity")
        .contains("channel 2 has captions too");
    assertThatThrownBy(() ->
            CaptionFiles.read("words".getBytes(StandardCharsets.UTF_8), "film.scc", FrameBox.HD))
        .isInstanceOf(CaptionException.class)
        .hasMessageContaining("Scenarist_SCC V1.0");
    assertThat(
            read("00:00:01:00\t1c20 9c20 9c70 9c70 64e5 1c2f 1c2f", "00:00:02:00\t1c2c 1c2c")
                .captions()
                .cues()
                .getFirst()
                .text())
        .as("the second channel, where there is no other")
        .isEqualTo("de");
  }

  @Test
  void wordsAreSentBeforeTheFrameInWhichTheyShow() {
    // four letters in the middle of 32 cells begin at the 14th: 12 and 2; 10 words before frame 100
    assertThat(
            FILM.write(
                    WrittenFilm.line(RATE), List.of(FILM.cue(1, at(100), at(150), Span.of("abcd"))))
                .text())
        .isEqualTo(
            """
            Scenarist_SCC V1.0

            00:00:03:00\t9420 9420 94ae 94ae 9476 9476 97a2 97a2 6162 e364 942f 942f

            00:00:05:00\t942c 942c
            """);
  }

  @Test
  void aColourTakesThePlaceOfASpaceAndSignsStayAtTheirWord() {
    String text =
        FILM.write(
                WrittenFilm.line(RATE),
                List.of(
                    FILM.cue(
                        1,
                        at(100),
                        at(150),
                        Span.of("a "),
                        WrittenFilm.coloured("b", "#d01010"),
                        Span.of(", c"))))
            .text();
    // red is 0x28 behind 0x11, white 0x20: a, red, b and comma, white, c
    assertThat(text).contains(" 6180 91a8 91a8 622c 9120 9120 e380 942f 942f");
  }

  @Test
  void whatCannotBeKeptIsTold() {
    List<Layer> cues =
        List.of(
            FILM.cue(1, at(2), at(40), Span.of("too early to be sent")),
            FILM.cue(2, at(80), at(200), Span.of("a line of far more than thirty-two letters")),
            FILM.cue(3, at(150), at(210), Span.of("\u010d\u6642")));
    CaptionFiles.Written written = FILM.write(WrittenFilm.line(RATE), cues);
    assertThat(written.remarks().toString())
        .contains("1 cue is shown later")
        .contains("1 cue has a line of more than 32 letters")
        .contains("1 cue ends where the next begins")
        .contains("no codes for \u010d \u6642");
    Span tall = Span.of("x" + "\u2028x".repeat(16));
    assertThat(FILM.write(RATE, List.of(FILM.cue(1, at(400), at(500), tall))).remarks().toString())
        .contains("1 cue has more than 15 rows");
    assertThat(FILM.write(WrittenFilm.line(FrameRate.PAL), cues).remarks().toString())
        .contains("29.97");
  }

  @ParameterizedTest
  @CsvSource({"30000/1001,false", "30000/1001,true", "30,false", "60000/1001,true"})
  void cuesComeBack(String rate, boolean drop) throws CaptionException {
    FrameRate film = FrameRate.parse(rate);
    int share = film.nominal() / 30;
    SplittableRandom random = new SplittableRandom(7);
    List<String> words =
        List.of("bell", "Stra\u00dfe", "\u00e0 la", "5 \u00bd", "\u266a", "ni\u00f1o");
    List<Layer> cues = new ArrayList<>();
    long frame = 150;
    for (int number = 0; number < 300; number++) {
      long in = frame + (random.nextBoolean() ? 0 : random.nextInt(100));
      long out = in + 75 + random.nextInt(100);
      frame = out;
      String first = words.get(random.nextInt(words.size()));
      String second = words.get(random.nextInt(words.size()));
      Span end =
          random.nextBoolean()
              ? Span.of(" " + second)
              : WrittenFilm.coloured(" " + second, "#00ffff");
      Anchor anchor = Anchor.values()[random.nextInt(9)];
      PropertySet place =
          FrameBox.HD.place(
              anchor, Optional.of(10 + 80 * anchor.across()), Optional.of(10 + 80 * anchor.down()));
      cues.add(
          FILM.cue(
                  number,
                  film.at(in * share),
                  film.at(out * share),
                  Span.of(random.nextBoolean() ? first : first + "\u2028bell"),
                  end)
              .withLocal(place));
    }
    Timeline line =
        WrittenFilm.line(film)
            .withTimecode(new Timecode(film, drop))
            .withFirstFrame(new Timecode(film, drop).parse("01:00:00:00"));
    CaptionFiles.Written written = FILM.write(line, cues);
    assertThat(written.remarks()).hasSize(1);
    CaptionFiles.Read read =
        CaptionFiles.read(written.bytes(), "film.scc", FrameBox.HD).inTimeOf(line);
    assertThat(read.captions().cues()).hasSameSizeAs(cues);
    for (int index = 0; index < cues.size(); index++) {
      Timing timing = cues.get(index).timing().orElseThrow();
      CaptionList.Cue again = read.captions().cues().get(index);
      assertThat(again.in()).as("cue %d", index).isEqualTo(timing.in());
      assertThat(again.out()).as("cue %d", index).isEqualTo(timing.out());
      assertThat(again.text()).isEqualTo(cues.get(index).story().text().replace('\u2028', '\n'));
      Anchor was = cues.get(index).local().get(Properties.ANCHOR.key()).orElseThrow();
      Anchor now = again.local().get(Properties.ANCHOR.key()).orElse(Anchor.BOTTOM);
      assertThat(now.across()).as("%s", cues.get(index).story().text()).isEqualTo(was.across());
      assertThat(now.down()).isEqualTo(was.down() == 0.5 ? now.down() : was.down());
    }
  }

  /** A line that is too long is broken as captions are, not where it happens to be full. */
  @Test
  void longLinesAreBrokenIntoLikeOnes() throws CaptionException {
    List<Layer> cues =
        List.of(
            FILM.cue(1, at(200), at(300), Span.of("The clock stopped at ten past four.")),
            FILM.cue(
                2, at(400), at(500), Span.of("Yes,\u2028the clock stopped at ten past four.")));
    CaptionFiles.Written written = FILM.write(WrittenFilm.line(RATE), cues);
    assertThat(
            CaptionFiles.read(written.bytes(), "film.scc", FrameBox.HD).captions().cues().stream()
                .map(CaptionList.Cue::text))
        .containsExactly(
            "The clock stopped\nat ten past four.", "Yes,\nthe clock stopped\nat ten past four.");
    assertThat(written.remarks().toString()).contains("2 cues have lines of more than 32");
  }

  /** Ten seconds of the film's own timecode are ten of the file's, whatever its frames last. */
  @ParameterizedTest
  @CsvSource({"24000/1001, 01:00:10:00", "24, 01:00:10;00", "25, 01:00:10;00", "50, 01:00:10;00"})
  void filmsOfOtherRatesKeepTheirTimecode(String rate, String erased) throws CaptionException {
    FrameRate film = FrameRate.parse(rate);
    Timecode code = new Timecode(film, false);
    Timeline line = WrittenFilm.line(film).withFirstFrame(code.parse("01:00:00:00"));
    List<Layer> cues =
        List.of(
            FILM.cue(
                1, film.at(4L * film.nominal()), film.at(10L * film.nominal()), Span.of("abcd")));
    CaptionFiles.Written written = FILM.write(line, cues);
    assertThat(written.text()).contains(erased + "\t942c 942c");
    CaptionList.Cue again =
        CaptionFiles.read(written.bytes(), "film.scc", FrameBox.HD)
            .inTimeOf(line)
            .captions()
            .cues()
            .getFirst();
    // half a frame of 29.97 are 17 ms; then the next of the film begins
    long away = again.out().minus(film.at(10L * film.nominal())).ticks();
    assertThat(Math.abs(away)).isLessThanOrEqualTo(Time.ofMillis(17).plus(film.frame()).ticks());
  }

  /** Every letter that has a code comes back by it. */
  @Test
  void allLettersComeBack() {
    int known = 0;
    for (int letter = 0x20; letter < 0x2700; letter++) {
      int code = Cea608.code(letter);
      int basic = Cea608.basic(letter);
      if (basic >= 0 && letter != '\'') {
        assertThat(Cea608.letter(basic)).isEqualTo((char) letter);
        known++;
      } else if (code >= 0) {
        assertThat(Cea608.letter(code >> 8, code & 0x7F)).isEqualTo((char) letter);
        known++;
      }
    }
    assertThat(known).as("basic, special and extended ones").isEqualTo(96 + 16 + 64);
  }
}
