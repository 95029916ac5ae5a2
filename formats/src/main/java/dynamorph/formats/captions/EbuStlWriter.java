package dynamorph.formats.captions;

import dynamorph.formats.message.Messages;
import dynamorph.model.timeline.FrameRate;
import dynamorph.model.timeline.Time;
import dynamorph.model.timeline.Timecode;
import java.io.ByteArrayOutputStream;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Set;
import java.util.TreeSet;

/**
 * Writes subtitle data exchange files (EBU Tech 3264-E). Where words have colours it is a file for
 * teletext of level 1, with colours, boxes and letters of double height; otherwise one for open
 * subtitles, with italics and underlines.
 */
final class EbuStlWriter {
  /** Rows of a page. */
  private static final int ROWS = 23;

  /** What fits a row of teletext beside its codes. */
  static final int TELETEXT_LETTERS = 37;

  private static final int MOST_LETTERS = 99;
  private static final int MOST_SUBTITLES = 65_535;
  private static final int LAST_EXTENSION = 0xEF;

  private final CaptionExport captions;
  private final FrameRate film;
  private final FrameRate rate;
  private final boolean labels;

  /** The frame of the file at which the film begins, by the label that it has. */
  private final long first;

  private final boolean teletext;
  private final EbuStl.Alphabet alphabet;
  private final Set<String> missing = new TreeSet<>();
  private int blocks;

  private EbuStlWriter(CaptionExport captions) {
    this.captions = captions;
    this.film = captions.rate();
    this.rate = rate(film);
    this.labels = film.nominal() == rate.nominal();
    this.first =
        labels
            ? new Timecode(film, false).parse(captions.timecode().format(captions.firstFrame()))
            : rate.frameAt(captions.start());
    this.teletext = isTeletext(captions);
    this.alphabet = alphabet(captions);
  }

  /** A film of 30 frames or a multiple counts in 30, all others in 25. */
  static FrameRate rate(FrameRate film) {
    return film.nominal() % 30 == 0 ? new FrameRate(30, 1) : FrameRate.PAL;
  }

  static boolean isTeletext(CaptionExport captions) {
    return captions.cues().stream()
        .flatMap(cue -> cue.runs().stream())
        .anyMatch(run ->
            run.colour()
                .filter(colour -> EbuStl.COLOURS.nearest(colour) != EbuStl.WHITE)
                .isPresent());
  }

  static CaptionFiles.Written write(CaptionExport captions) {
    EbuStlWriter writer = new EbuStlWriter(captions);
    // the letters of such a file stand for a byte each
    String text = new String(writer.bytes(), StandardCharsets.ISO_8859_1);
    return new CaptionFiles.Written(text, StandardCharsets.ISO_8859_1, writer.losses());
  }

  /** What the format leaves behind of these captions, once they are written. */
  private List<Remark> losses() {
    List<Remark> losses = new ArrayList<>();
    losses.add(
        new Remark(
            0,
            teletext
                ? Messages.of("ebu-stl.written-as-teletext")
                : Messages.of("ebu-stl.written-as-open-subtitles")));
    if (!labels) {
      losses.add(new Remark(0, Messages.of("ebu-stl.times-in-frames", rate.nominal())));
    }
    if (!missing.isEmpty()) {
      losses.add(new Remark(0, Messages.of("ebu-stl.letters-missing", String.join(" ", missing))));
    }
    if (captions.shortened() > 0) {
      losses.add(
          new Remark(
              0, Messages.of("common.lines-broken", captions.shortened(), TELETEXT_LETTERS)));
    }
    int most = teletext ? TELETEXT_LETTERS : MOST_LETTERS;
    long tooLong =
        captions.cues().stream()
            .filter(cue ->
                Arrays.stream(cue.text().split("\u2028", -1))
                    .anyMatch(line -> line.length() > most))
            .count();
    if (tooLong > 0) {
      losses.add(new Remark(0, Messages.of("ebu-stl.lines-too-long", tooLong, most)));
    }
    return losses;
  }

  /** The alphabet that lacks the fewest letters. */
  private static EbuStl.Alphabet alphabet(CaptionExport captions) {
    int[] letters =
        captions.cues().stream()
            .flatMapToInt(cue -> cue.text().codePoints())
            .distinct()
            .filter(letter -> letter > 0x7F && letter != '\u2028')
            .toArray();
    EbuStl.Alphabet best = EbuStl.Alphabet.LATIN;
    long least = Long.MAX_VALUE;
    for (EbuStl.Alphabet one : EbuStl.Alphabet.values()) {
      long lacking =
          Arrays.stream(letters).filter(letter -> one.encoded(letter).length == 0).count();
      if (lacking < least) {
        best = one;
        least = lacking;
      }
    }
    return best;
  }

  private byte[] bytes() {
    ByteArrayOutputStream blocksOfText = new ByteArrayOutputStream();
    int number = 0;
    int longest = 1;
    for (WrittenCue cue : captions.cues()) {
      if (number == MOST_SUBTITLES) {
        break;
      }
      for (String line : cue.text().split("\u2028", -1)) {
        longest = Math.max(longest, line.length());
      }
      cue(blocksOfText, cue, number++);
    }
    ByteArrayOutputStream file = new ByteArrayOutputStream();
    file.writeBytes(head(number, Math.min(longest, MOST_LETTERS)));
    file.writeBytes(blocksOfText.toByteArray());
    return file.toByteArray();
  }

  private byte[] head(int subtitles, int longest) {
    byte[] head = new byte[EbuStl.HEAD];
    Arrays.fill(head, (byte) ' ');
    put(head, 0, "850");
    put(head, 3, "STL" + rate.nominal() + ".01");
    put(head, 11, teletext ? "1" : "0");
    put(head, 12, alphabet.code());
    put(head, 14, language());
    put(head, 16, ascii(captions.track().name(), 32));
    put(head, 236, "00");
    put(head, 238, String.format(Locale.ROOT, "%05d", Math.min(blocks, 99_999)));
    put(head, 243, String.format(Locale.ROOT, "%05d", Math.min(subtitles, 99_999)));
    put(head, 248, "001");
    put(head, 251, String.format(Locale.ROOT, "%02d", teletext ? 40 : longest));
    put(head, 253, Integer.toString(ROWS));
    put(head, 255, "1");
    put(head, 256, code(first));
    put(
        head,
        264,
        captions.cues().isEmpty()
            ? "00000000"
            : code(first + frame(captions.cues().getFirst().timing().in())));
    put(head, 272, "11");
    return head;
  }

  private static void put(byte[] head, int at, String text) {
    byte[] letters = text.getBytes(StandardCharsets.ISO_8859_1);
    System.arraycopy(letters, 0, head, at, letters.length);
  }

  /** Heads are in a code page of old machines, of which all have these letters. */
  private static String ascii(String text, int most) {
    String plain = text.replaceAll("[^ -~]", "");
    return plain.substring(0, Math.min(most, plain.length()));
  }

  private String language() {
    String own = captions.track().language();
    return EbuStl.LANGUAGES.entrySet().stream()
        .filter(entry -> entry.getValue().equalsIgnoreCase(own))
        .map(Map.Entry::getKey)
        .findFirst()
        .or(() ->
            EbuStl.LANGUAGES.entrySet().stream()
                .filter(entry -> entry.getValue().equals(own.split("-")[0]))
                .map(Map.Entry::getKey)
                .findFirst())
        .orElse("00");
  }

  // --- times
  // -----------------------------------------------------------------------------------------------------

  /** The frame of the file at a time. */
  private long frame(Time time) {
    return labels ? film.frameAt(time) : rate.frameAt(time);
  }

  private int[] parts(long frame) {
    int base = rate.nominal();
    return new int[] {
      (int) (frame / (base * 3600L) % 24),
      (int) (frame / (base * 60L) % 60),
      (int) (frame / base % 60),
      (int) (frame % base)
    };
  }

  private String code(long frame) {
    int[] parts = parts(frame);
    return String.format(Locale.ROOT, "%02d%02d%02d%02d", parts[0], parts[1], parts[2], parts[3]);
  }

  // --- cues
  // ------------------------------------------------------------------------------------------------------

  private void cue(ByteArrayOutputStream file, WrittenCue cue, int number) {
    byte[] words = words(cue);
    int lines = cue.text().split("\u2028", -1).length;
    long in = frame(cue.timing().in());
    long out = Math.max(in + 1, frame(cue.timing().out()));
    int room = EbuStl.BLOCK - EbuStl.TEXT;
    int count = Math.min(Math.max(1, Math.ceilDiv(words.length, room)), LAST_EXTENSION + 1);
    for (int part = 0; part < count; part++) {
      byte[] block = new byte[EbuStl.BLOCK];
      Arrays.fill(block, EbuStl.TEXT, EbuStl.BLOCK, (byte) EbuStl.UNUSED);
      block[1] = (byte) number;
      block[2] = (byte) (number >> 8);
      block[3] = (byte) (part == count - 1 ? EbuStl.LAST_BLOCK : part);
      time(block, 5, first + in);
      time(block, 9, first + out);
      block[13] = (byte) row(cue, lines * (teletext ? 2 : 1));
      block[14] = (byte) ((cue.key() - 1) % 3 + 1);
      int from = part * room;
      System.arraycopy(
          words, from, block, EbuStl.TEXT, Math.min(room, Math.max(0, words.length - from)));
      file.writeBytes(block);
      blocks++;
    }
  }

  private void time(byte[] block, int at, long frame) {
    int[] parts = parts(frame);
    for (int index = 0; index < parts.length; index++) {
      block[at + index] = (byte) parts[index];
    }
  }

  /** The row of the first line, so that the cue stands on the page as it does in the frame. */
  private int row(WrittenCue cue, int height) {
    int last = ROWS + (teletext ? 1 : 0) - height;
    if (cue.y().isEmpty()) {
      return Math.max(1, last);
    }
    double down = (2 - (cue.key() - 1) / 3) / 2.0;
    double first = cue.y().get() / 100 * ROWS - down * height;
    return (int) Math.clamp(Math.round(first), 1, Math.max(1, last));
  }

  private byte[] words(WrittenCue cue) {
    ByteArrayOutputStream bytes = new ByteArrayOutputStream();
    boolean italic = false;
    boolean underline = false;
    int colour = EbuStl.WHITE;
    begin(bytes);
    for (WrittenCue.Base base : cue.bases()) {
      for (WrittenCue.Run run : base.runs()) {
        int wanted = run.colour().map(EbuStl.COLOURS::nearest).orElse(EbuStl.WHITE);
        if (!teletext) {
          italic = turn(bytes, italic, run.italic(), EbuStl.ITALIC_ON, EbuStl.ITALIC_OFF);
          underline =
              turn(bytes, underline, run.underline(), EbuStl.UNDERLINE_ON, EbuStl.UNDERLINE_OFF);
        }
        String[] lines = run.text().split("\u2028", -1);
        for (int line = 0; line < lines.length; line++) {
          if (line > 0) {
            end(bytes);
            bytes.write(EbuStl.NEW_LINE);
            if (teletext) {
              bytes.write(EbuStl.NEW_LINE);
            }
            begin(bytes);
            colour = EbuStl.WHITE;
          }
          String text = lines[line];
          if (teletext && wanted != colour && !text.isBlank()) {
            // the code takes the place of the space before the words
            bytes.write(wanted);
            text = text.stripLeading();
            colour = wanted;
          }
          letters(bytes, text);
        }
      }
      if (!base.ruby().isEmpty()) {
        letters(bytes, "(" + base.ruby() + ")");
      }
    }
    end(bytes);
    return bytes.toByteArray();
  }

  private void begin(ByteArrayOutputStream bytes) {
    if (teletext) {
      bytes.write(EbuStl.DOUBLE_HEIGHT);
      bytes.write(EbuStl.START_BOX);
      bytes.write(EbuStl.START_BOX);
    }
  }

  private void end(ByteArrayOutputStream bytes) {
    if (teletext) {
      bytes.write(EbuStl.END_BOX);
      bytes.write(EbuStl.END_BOX);
    }
  }

  private static boolean turn(
      ByteArrayOutputStream bytes, boolean before, boolean now, int on, int off) {
    if (before != now) {
      bytes.write(now ? on : off);
    }
    return now;
  }

  private void letters(ByteArrayOutputStream bytes, String text) {
    text.codePoints()
        .forEach(letter -> {
          byte[] own = letter < 0x20 ? new byte[] {' '} : alphabet.encoded(letter);
          if (own.length == 0) {
            missing.add(Character.toString(letter));
            bytes.write('?');
          } else {
            bytes.writeBytes(own);
          }
        });
  }
}
