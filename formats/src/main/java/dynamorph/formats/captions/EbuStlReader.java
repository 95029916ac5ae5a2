package dynamorph.formats.captions;

import dynamorph.formats.message.Messages;
import dynamorph.model.edit.importing.CaptionList;
import dynamorph.model.property.Properties;
import dynamorph.model.property.PropertySet;
import dynamorph.model.text.Paragraph;
import dynamorph.model.text.Span;
import dynamorph.model.text.Story;
import dynamorph.model.timeline.FrameRate;
import dynamorph.model.timeline.Time;
import dynamorph.model.value.Alignment;
import dynamorph.model.value.Anchor;
import dynamorph.model.value.Colour;
import dynamorph.model.value.Slant;
import java.io.ByteArrayOutputStream;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Optional;

/**
 * Reads subtitle data exchange files (EBU Tech 3264-E): one cue for each subtitle, in the letters,
 * colours, italics and places of its block. Times are counted from the start of the programme.
 */
final class EbuStlReader {
  private static final int COMMENT = 1;
  private static final int LEFT = 1;
  private static final int RIGHT = 3;

  /** Rows from the foot within which captions stand anyway. */
  private static final int AT_FOOT = 3;

  private final byte[] bytes;
  private final FrameBox frame;
  private final List<Remark> remarks;
  private final FrameRate rate;
  private final EbuStl.Alphabet alphabet;
  private final boolean teletext;
  private final int rows;

  private EbuStlReader(byte[] bytes, FrameRate rate, FrameBox frame, List<Remark> remarks) {
    this.bytes = bytes;
    this.rate = rate;
    this.frame = frame;
    this.remarks = remarks;
    this.alphabet = EbuStl.Alphabet.of(EbuStl.ascii(bytes, 12, 2));
    this.teletext = bytes[11] == '1' || bytes[11] == '2';
    String most = EbuStl.ascii(bytes, 253, 2);
    int told = most.matches("\\d{1,2}") ? Integer.parseInt(most) : 0;
    this.rows = teletext || told < 2 ? 23 : told;
  }

  static CaptionList read(byte[] bytes, FrameBox frame, List<Remark> remarks)
      throws CaptionException {
    String format = EbuStl.ascii(bytes, 3, 8);
    FrameRate rate =
        EbuStl.rate(format)
            .orElseThrow(() -> new CaptionException(Messages.of("ebu-stl.unknown-format", format)));
    return new EbuStlReader(bytes, rate, frame, remarks).captions();
  }

  private CaptionList captions() {
    List<CaptionList.Cue> cues = new ArrayList<>();
    ByteArrayOutputStream words = new ByteArrayOutputStream();
    int comments = 0;
    int number = 0;
    for (int at = EbuStl.HEAD; at + EbuStl.BLOCK <= bytes.length; at += EbuStl.BLOCK) {
      number++;
      int extension = unsigned(at + 3);
      if (extension == EbuStl.USER_DATA) {
        continue;
      }
      words.write(bytes, at + EbuStl.TEXT, EbuStl.BLOCK - EbuStl.TEXT);
      if (extension != EbuStl.LAST_BLOCK) {
        continue;
      }
      if (unsigned(at + 15) == COMMENT) {
        comments++;
      } else {
        cue(at, number, words.toByteArray()).ifPresent(cues::add);
      }
      words.reset();
    }
    if ((bytes.length - EbuStl.HEAD) % EbuStl.BLOCK != 0) {
      remarks.add(new Remark(0, Messages.of("ebu-stl.ends-within-a-block")));
    }
    if (comments > 0) {
      remarks.add(new Remark(0, Messages.of("substation.comments-left-out", comments)));
    }
    String language =
        EbuStl.LANGUAGES.getOrDefault(EbuStl.ascii(bytes, 14, 2).toUpperCase(Locale.ROOT), "");
    return new CaptionList(
            language, Optional.of(rate), List.of(), List.of(), PropertySet.EMPTY, fromStart(cues))
        .withGrain(rate.frame());
  }

  /** Times count from the timecode at which the programme starts, if no cue lies before it. */
  private List<CaptionList.Cue> fromStart(List<CaptionList.Cue> cues) {
    String start = EbuStl.ascii(bytes, 256, 8);
    if (!start.matches("\\d{8}")) {
      return cues;
    }
    Time from =
        time(
            Integer.parseInt(start.substring(0, 2)),
            Integer.parseInt(start.substring(2, 4)),
            Integer.parseInt(start.substring(4, 6)),
            Integer.parseInt(start.substring(6)));
    boolean counts =
        from.isAfter(Time.ZERO) && cues.stream().noneMatch(cue -> cue.in().isBefore(from));
    if (!counts) {
      return cues;
    }
    remarks.add(new Remark(0, Messages.of("ebu-stl.counted-from", from)));
    return cues.stream()
        .map(cue ->
            new CaptionList.Cue(
                cue.name(),
                cue.in().minus(from),
                cue.out().minus(from),
                "",
                cue.story(),
                List.of(),
                cue.local()))
        .toList();
  }

  private int unsigned(int at) {
    return Byte.toUnsignedInt(bytes[at]);
  }

  private Time time(int at) {
    return time(unsigned(at), unsigned(at + 1), unsigned(at + 2), unsigned(at + 3));
  }

  private Time time(int hours, int minutes, int seconds, int frames) {
    long whole = (hours * 60L + minutes) * 60 + seconds;
    return rate.at(whole * rate.nominal() + frames);
  }

  /**
   * A cue.
   *
   * @param at where its last block begins
   * @param number of that block, from 1
   */
  private Optional<CaptionList.Cue> cue(int at, int number, byte[] words) {
    Time in = time(at + 5);
    Time out = time(at + 9);
    if (!in.isBefore(out)) {
      remarks.add(new Remark(number, Messages.of("common.left-out-it-would-be-seen", in, out)));
      return Optional.empty();
    }
    Words read = new Words();
    read.add(words);
    Story story = read.story();
    if (story.text().isBlank()) {
      remarks.add(new Remark(number, Messages.of("substation.no-words")));
      return Optional.empty();
    }
    int name = unsigned(at + 1) | unsigned(at + 2) << 8;
    PropertySet place = place(unsigned(at + 13), unsigned(at + 14), read.height);
    return Optional.of(
        new CaptionList.Cue(Integer.toString(name), in, out, "", story, List.of(), place));
  }

  /**
   * Where a cue stands; nothing where captions stand anyway.
   *
   * @param row of its first line
   * @param justification 1 for left, 3 for right
   * @param height in rows
   */
  private PropertySet place(int row, int justification, int height) {
    double across = justification == LEFT ? 0 : justification == RIGHT ? 1 : 0.5;
    boolean foot = row == 0 && teletext || row + height >= rows - AT_FOOT + 1;
    if (foot && across == 0.5) {
      return PropertySet.EMPTY;
    }
    Anchor anchor =
        across == 0
            ? foot ? Anchor.BOTTOM_LEFT : Anchor.TOP_LEFT
            : across == 1
                ? foot ? Anchor.BOTTOM_RIGHT : Anchor.TOP_RIGHT
                : foot ? Anchor.BOTTOM : Anchor.TOP;
    Optional<Double> x = across == 0.5 ? Optional.empty() : Optional.of(across == 0 ? 10.0 : 90.0);
    Optional<Double> y =
        foot ? Optional.of(90.0) : Optional.of(Math.clamp(100.0 * row / rows, 5, 90));
    PropertySet place = frame.place(anchor, x, y);
    return across == 0.5
        ? place
        : place.with(Properties.ALIGNMENT, across == 0 ? Alignment.LEFT : Alignment.RIGHT);
  }

  /** The letters of a cue with what its codes make of them. */
  private final class Words {
    private final CueTextBuilder runs = new CueTextBuilder();
    private final ByteArrayOutputStream letters = new ByteArrayOutputStream();
    private boolean italic;
    private boolean underline;
    private int colour = EbuStl.WHITE;
    private boolean doubled;
    private boolean lineBegun;
    private boolean any;
    private PropertySet atBreak = PropertySet.EMPTY;
    private boolean gap;
    private boolean afterSpace;
    private int height = 1;

    void add(byte[] words) {
      for (byte one : words) {
        int code = Byte.toUnsignedInt(one);
        if (code == EbuStl.UNUSED) {
          break;
        }
        if (code >= 0x20 && code < 0x80 || code >= 0xA0) {
          letters.write(code);
          continue;
        }
        flush();
        control(code);
      }
      flush();
    }

    private void control(int code) {
      switch (code) {
        case EbuStl.ITALIC_ON -> italic = true;
        case EbuStl.ITALIC_OFF -> italic = false;
        case EbuStl.UNDERLINE_ON -> underline = true;
        case EbuStl.UNDERLINE_OFF -> underline = false;
        case EbuStl.DOUBLE_HEIGHT -> doubled = true;
        case EbuStl.NEW_LINE -> {
          height++;
          atBreak = lineBegun ? look() : atBreak;
          // teletext begins each row anew
          colour = EbuStl.WHITE;
          gap = false;
          lineBegun = false;
        }
        default -> {
          if (code <= EbuStl.WHITE) {
            colour = code;
          }
          // codes of teletext take the place of a letter
          gap |= code < 0x20;
        }
      }
    }

    private void flush() {
      if (letters.size() == 0) {
        return;
      }
      String text = alphabet.decoded(letters.toByteArray());
      letters.reset();
      String plain = lineBegun ? text : text.stripLeading();
      if (plain.isEmpty()) {
        return;
      }
      if (!lineBegun && any) {
        runs.add("\n", List.of(), atBreak);
      } else if (lineBegun && gap && !plain.startsWith(" ") && !afterSpace) {
        plain = " " + plain;
      }
      afterSpace = plain.endsWith(" ");
      runs.add(plain, List.of(), look());
      lineBegun = true;
      any = true;
      gap = false;
    }

    private PropertySet look() {
      PropertySet look = PropertySet.EMPTY;
      if (italic) {
        look = look.with(Properties.SLANT, Slant.ITALIC);
      }
      if (underline) {
        look = look.with(Properties.UNDERLINE, true);
      }
      return colour == EbuStl.WHITE
          ? look
          : look.with(
              Properties.COAT_COLOUR.at(CueCss.FILL), Colour.of(EbuStl.COLOURS.colour(colour)));
    }

    private Story story() {
      height += doubled ? 1 : 0;
      List<Span> spans = new ArrayList<>();
      for (Span span : runs.story().paragraphs().getFirst().spans()) {
        spans.add(
            span.withText(span.text().replaceAll(" {2,}", " ").replaceAll(" *\u2028 *", "\u2028")));
      }
      Span last = spans.removeLast();
      spans.add(last.withText(last.text().stripTrailing()));
      return Story.of(Paragraph.of(spans.toArray(Span[]::new)));
    }
  }
}
