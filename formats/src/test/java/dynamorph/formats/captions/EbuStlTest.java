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
import dynamorph.model.timeline.Track;
import dynamorph.model.value.Anchor;
import dynamorph.model.value.Colour;
import dynamorph.model.value.Slant;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.HexFormat;
import java.util.List;
import java.util.SplittableRandom;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;

/** Subtitle data exchange files: bytes by hand after EBU Tech 3264-E, and files that come back. */
class EbuStlTest {
  private static final WrittenFilm FILM =
      new WrittenFilm(Track.Captions.of("de", "Deutsch", "de"), CaptionFiles.Format.EBU_STL);

  private static byte[] head(String format, String start) {
    byte[] head = new byte[1024];
    Arrays.fill(head, (byte) ' ');
    put(head, 0, "850" + format + "1" + "00" + "08");
    put(head, 253, "23");
    put(head, 255, "1" + start);
    return head;
  }

  private static void put(byte[] block, int at, String text) {
    byte[] letters = text.getBytes(StandardCharsets.ISO_8859_1);
    System.arraycopy(letters, 0, block, at, letters.length);
  }

  /** A block; bytes of times, row, side and words in hexadecimal digits, letters behind a quote. */
  private static byte[] block(int number, int extension, String times, String place, String words) {
    byte[] block = new byte[128];
    Arrays.fill(block, 16, 128, (byte) 0x8F);
    block[1] = (byte) number;
    block[3] = (byte) extension;
    byte[] clock = HexFormat.of().parseHex(times.replace(" ", ""));
    System.arraycopy(clock, 0, block, 5, 8);
    byte[] where = HexFormat.of().parseHex(place);
    System.arraycopy(where, 0, block, 13, where.length);
    int at = 16;
    for (String part : words.split("(?=<)|(?<=>)")) {
      byte[] bytes =
          part.startsWith("<")
              ? HexFormat.of().parseHex(part.substring(1, part.length() - 1))
              : part.getBytes(StandardCharsets.ISO_8859_1);
      System.arraycopy(bytes, 0, block, at, bytes.length);
      at += bytes.length;
    }
    return block;
  }

  private static byte[] file(byte[]... parts) {
    int length = Arrays.stream(parts).mapToInt(part -> part.length).sum();
    byte[] file = new byte[length];
    int at = 0;
    for (byte[] part : parts) {
      System.arraycopy(part, 0, file, at, part.length);
      at += part.length;
    }
    return file;
  }

  private static CaptionFiles.Read read(byte[]... parts) throws CaptionException {
    return CaptionFiles.read(file(parts), "film.stl", FrameBox.HD);
  }

  /** 10:00:01:05 to 10:00:03:00. */
  private static final String TIMES = "0A000105 0A000300";

  @Test
  void aFileOfTeletextIsRead() throws CaptionException {
    CaptionFiles.Read read =
        read(
            head("STL25.01", "10000000"),
            block(
                0, 0xFF, TIMES, "1402", "<0D0B0B>Die<C8>uhr <06>blieb<0A0A8A8A0D0B0B>stehen<0A0A>"),
            block(1, 0xFF, "0A000400 0A000500", "0201", "<0D0B0B>oben<0A0A>"),
            block(2, 0xFF, "0A000600 0A000500", "1402", "falsch"),
            block(3, 0xFE, TIMES, "1402", "data of others"),
            block(4, 0xFF, TIMES, "140201", "a comment"));
    assertThat(read.captions().language()).isEqualTo("de");
    assertThat(read.captions().rate()).contains(FrameRate.PAL);
    List<CaptionList.Cue> cues = read.captions().cues();
    assertThat(cues.stream().map(CaptionList.Cue::text))
        .containsExactly("Die\u00fchr blieb\nstehen", "oben");
    // 5 frames of 25 are 200 ms
    assertThat(cues.getFirst().in()).isEqualTo(Time.ofMillis(1200));
    assertThat(cues.getFirst().out()).isEqualTo(Time.ofMillis(3000));
    List<Span> spans = cues.getFirst().story().paragraphs().getFirst().spans();
    assertThat(spans.stream().map(Span::text))
        .containsExactly("Die\u00fchr ", "blieb\u2028", "stehen");
    assertThat(spans.get(1).local().get(Properties.COAT_COLOUR.at(CueCss.FILL)))
        .contains(Colour.hex("#00ffff"));
    assertThat(spans.get(2).local().isEmpty()).as("each row begins in white").isTrue();
    assertThat(cues.getFirst().local().isEmpty()).as("where captions stand anyway").isTrue();
    assertThat(cues.getLast().local().get(Properties.ANCHOR.key())).contains(Anchor.TOP_LEFT);
    assertThat(read.remarks().stream().map(Object::toString))
        .containsExactly(
            "line 3: left out: it would be seen from 10:00:06.000 to 10:00:05.000",
            "1 comment is left out",
            "its times count from 10:00:00.000, where it says that the programme starts");
  }

  @Test
  void longWordsGoOnInTheNextBlock() throws CaptionException {
    CaptionFiles.Read read =
        read(
            head("STL30.01", "00000000"),
            block(0, 0, TIMES, "1402", "x".repeat(111) + "<80>"),
            block(0, 0xFF, TIMES, "1402", "italic<81> upright"));
    List<Span> spans = read.captions().cues().getFirst().story().paragraphs().getFirst().spans();
    assertThat(spans.stream().map(Span::text))
        .containsExactly("x".repeat(111), "italic", " upright");
    assertThat(spans.get(1).local().get(Properties.SLANT.key())).contains(Slant.ITALIC);
    assertThat(read.captions().cues().getFirst().in())
        .isEqualTo(Time.ofSeconds(36_001 * 30 + 5, 30));
  }

  @Test
  void whatIsCutOffOrOfAnotherKindIsTold() throws CaptionException {
    byte[] whole =
        file(head("STL25.01", "00000000"), block(0, 0xFF, TIMES, "1402", "a"), new byte[40]);
    assertThat(CaptionFiles.read(whole, "film.stl", FrameBox.HD).remarks().toString())
        .contains("it ends within a block");
    assertThatThrownBy(() -> read(head("STL24.01", "00000000"), block(0, 0xFF, TIMES, "1402", "a")))
        .isInstanceOf(CaptionException.class)
        .hasMessageContaining("STL24.01");
    assertThatThrownBy(() ->
            CaptionFiles.read("words".getBytes(StandardCharsets.UTF_8), "film.stl", FrameBox.HD))
        .isInstanceOf(CaptionException.class)
        .hasMessageContaining("STL25.01 or STL30.01");
  }

  /** What iconv (GNU libc, ISO6937) makes of each byte; 24 and A4 as EBU Tech 3264 has them. */
  @Test
  void theAlphabetIsThatOfIso6937() {
    String signs =
        "\u00a0\u00a1\u00a2\u00a3$\u00a5 \u00a7\u00a4\u2018\u201c\u00ab\u2190\u2191\u2192\u2193\u00b0\u00b1\u00b2\u00b3\u00d7"
            + "\u00b5\u00b6\u00b7\u00f7\u2019\u201d\u00bb\u00bc\u00bd\u00be\u00bf";
    assertThat(Iso6937.decoded(bytes(0xA0, 0xC0))).isEqualTo(signs);
    assertThat(Iso6937.decoded(bytes(0xD0, 0x100)))
        .isEqualTo(
            "\u2014\u00b9\u00ae\u00a9\u2122\u266a\u00ac\u00a6    \u215b\u215c\u215d\u215e\u03a9\u00c6\u0110\u00aa\u0126 \u0132\u013f\u0141"
                + "\u00d8\u0152\u00ba\u00de\u0166\u014a\u0149\u0138\u00e6\u0111\u00f0\u0127\u0131\u0133\u0140\u0142\u00f8\u0153\u00df\u00fe"
                + "\u0167\u014b\u00ad");
    String marked =
        "\u00e0\u0107\u00ea\u00f1\u016b\u011e\u017b\u00ef\u00e5\u015f\u0151\u0105\u0159";
    int[] marks = {0xC1, 0xC2, 0xC3, 0xC4, 0xC5, 0xC6, 0xC7, 0xC8, 0xCA, 0xCB, 0xCD, 0xCE, 0xCF};
    for (int index = 0; index < marks.length; index++) {
      byte[] own = Iso6937.encoded(marked.charAt(index));
      assertThat(own).hasSize(2);
      assertThat(Byte.toUnsignedInt(own[0])).isEqualTo(marks[index]);
      assertThat(Iso6937.decoded(own)).isEqualTo(marked.substring(index, index + 1));
    }
    assertThat(Iso6937.encoded('\u6642')).isEmpty();
  }

  private static byte[] bytes(int from, int to) {
    byte[] bytes = new byte[to - from];
    for (int at = from; at < to; at++) {
      bytes[at - from] = (byte) at;
    }
    return bytes;
  }

  private static final Time SECOND = Time.ofMillis(1000);

  @Test
  void openSubtitlesAreWrittenByTheByte() {
    byte[] file =
        FILM.write(
                FrameRate.PAL,
                List.of(
                    FILM.cue(
                        1,
                        FrameRate.PAL.at(25 * 61 + 3),
                        FrameRate.PAL.at(25 * 63),
                        Span.of("Die \u00dchr \u2028"),
                        Span.of("$5")
                            .withLocal(PropertySet.EMPTY.with(Properties.SLANT, Slant.ITALIC)))))
            .bytes();
    assertThat(file).hasSize(1024 + 128);
    assertThat(EbuStl.ascii(file, 0, 16)).isEqualTo("850STL25.0100008");
    assertThat(EbuStl.ascii(file, 238, 35)).isEqualTo("0000100001001082310000000000010103" + "1");
    assertThat(HexFormat.of().formatHex(file, 1024, 1024 + 40).replace(" ", ""))
        .isEqualTo(
            "000000ff00"
                + "00010103"
                + "00010300"
                + "150200"
                + "44696520"
                + "c855687220"
                + "8a80"
                + "a435"
                + "8f8f8f8f8f8f8f8f8f8f8f");
  }

  @Test
  void colouredWordsMakeItTeletext() {
    CaptionFiles.Written written =
        FILM.write(
            FrameRate.PAL,
            List.of(
                FILM.cue(
                    1,
                    SECOND,
                    SECOND.plus(SECOND),
                    Span.of("a "),
                    Span.of("b")
                        .withLocal(
                            PropertySet.EMPTY.with(
                                Properties.COAT_COLOUR.at(CueCss.FILL), Colour.hex("#e0d010"))))));
    byte[] file = written.bytes();
    assertThat(file[11]).isEqualTo((byte) '1');
    assertThat(HexFormat.of().formatHex(file, 1024 + 13, 1024 + 26))
        .isEqualTo("1602" + "00" + "0d0b0b" + "6120" + "0362" + "0a0a" + "8f");
    assertThat(written.remarks().toString()).contains("teletext");
  }

  /** A row of teletext has room for 37 letters beside its codes. */
  @Test
  void linesOfTeletextAreBrokenWhereThereIsNoRoom() throws CaptionException {
    Span yellow = WrittenFilm.coloured("yellow", "#ffff00");
    CaptionFiles.Written written =
        FILM.write(
            FrameRate.PAL,
            List.of(
                FILM.cue(
                    1,
                    SECOND,
                    SECOND.plus(SECOND),
                    yellow,
                    Span.of(" is what this line begins with now."))));
    assertThat(
            CaptionFiles.read(written.bytes(), "film.stl", FrameBox.HD)
                .captions()
                .cues()
                .getFirst()
                .text())
        .isEqualTo("yellow is what this\nline begins with now.");
    assertThat(written.remarks().toString()).contains("1 cue has a line of more than 37");
    Span byHand = Span.of(" first \u2028then a line that is longer than a row of it.");
    CaptionFiles.Written again =
        FILM.write(
            FrameRate.PAL, List.of(FILM.cue(1, SECOND, SECOND.plus(SECOND), yellow, byHand)));
    assertThat(again.text().chars().filter(code -> code == EbuStl.NEW_LINE))
        .as("a space before a break by hand makes no empty row: two breaks of two codes each")
        .hasSize(4);
  }

  /** Labels of timecode count the frames of the film, whole numbers to a second. */
  @ParameterizedTest
  @ValueSource(strings = {"25", "30", "30000/1001", "24", "24000/1001"})
  void framesAndWordsComeBack(String name) throws CaptionException {
    FrameRate rate = FrameRate.parse(name);
    SplittableRandom random = new SplittableRandom(7);
    List<Layer> cues = new ArrayList<>();
    long frame = 0;
    for (int number = 0; number < 300; number++) {
      frame += 1 + random.nextInt(40);
      long after = frame + 1 + random.nextInt(90);
      PropertySet look =
          random.nextBoolean()
              ? PropertySet.EMPTY.with(Properties.SLANT, Slant.ITALIC)
              : PropertySet.EMPTY.with(Properties.UNDERLINE, true);
      cues.add(
          FILM.cue(
              number,
              rate.at(frame),
              rate.at(after),
              Span.of(
                  "w\u00f6rd" + number + "\u2028" + "\u0161 ".repeat(1 + random.nextInt(60)) + "."),
              Span.of("it\u2028").withLocal(look),
              Span.of("end")));
      frame = after;
    }
    CaptionList read =
        CaptionFiles.read(FILM.write(rate, cues).bytes(), "film.stl", FrameBox.HD)
            .captions()
            .inFrames(rate)
            .captions();
    assertThat(read.cues()).hasSameSizeAs(cues);
    for (int index = 0; index < cues.size(); index++) {
      CaptionList.Cue now = read.cues().get(index);
      assertThat(now.in()).isEqualTo(cues.get(index).timing().orElseThrow().in());
      assertThat(now.out()).isEqualTo(cues.get(index).timing().orElseThrow().out());
      assertThat(now.story()).isEqualTo(cues.get(index).story());
    }
  }

  @ParameterizedTest
  @CsvSource({
    "\u0427\u0430\u0441\u044b, 01",
    "\u0633\u0627\u0639\u0629, 02",
    "\u03a1\u03bf\u03bb\u03cc\u03b9, 03",
    "\u05e9\u05e2\u05d5\u05df, 04",
    "Uhr, 00"
  })
  void theAlphabetIsTheOneThatHasTheLetters(String word, String code) throws CaptionException {
    CaptionFiles.Written written =
        FILM.write(
            FrameRate.PAL, List.of(FILM.cue(1, SECOND, SECOND.plus(SECOND), Span.of(word + " 5"))));
    assertThat(EbuStl.ascii(written.bytes(), 12, 2)).isEqualTo(code);
    assertThat(read(written.bytes()).captions().cues().getFirst().text()).isEqualTo(word + " 5");
    assertThat(written.remarks()).hasSize(1);
  }

  @Test
  void lettersThatNoAlphabetHasAreTold() {
    CaptionFiles.Written written =
        FILM.write(
            FrameRate.FILM,
            List.of(
                FILM.cue(1, SECOND, SECOND.plus(SECOND), Span.of("\u6642 ab" + "x".repeat(100)))));
    assertThat(written.remarks().toString())
        .contains("has no \u6642", "set to 25 frames", "1 cue has a line of more than 99 letters");
  }

  /** The label of the first frame is that of the film, whatever an hour of its frames lasts. */
  @ParameterizedTest
  @CsvSource({"30000/1001,false", "30000/1001,true", "30,false", "25,false", "24,false"})
  void aProgrammeBeginsWithItsTimecode(String rate, boolean drop) {
    FrameRate film = FrameRate.parse(rate);
    Timecode code = new Timecode(film, drop);
    Timeline line =
        WrittenFilm.line(film).withTimecode(code).withFirstFrame(code.parse("01:00:00:00"));
    byte[] file =
        FILM.write(line, List.of(FILM.cue(1, film.at(0), film.at(24), Span.of("a")))).bytes();
    assertThat(EbuStl.ascii(file, 256, 16)).isEqualTo("0100000001000000");
  }
}
