package dynamorph.formats.captions;

import dynamorph.formats.message.Messages;
import dynamorph.model.edit.importing.CaptionList;
import dynamorph.model.property.Properties;
import dynamorph.model.property.PropertySet;
import dynamorph.model.text.Story;
import dynamorph.model.timeline.FrameRate;
import dynamorph.model.timeline.Timecode;
import dynamorph.model.value.Alignment;
import dynamorph.model.value.Anchor;
import dynamorph.model.value.Colour;
import dynamorph.model.value.Slant;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/**
 * Reads closed captions as files of SCC carry them: lines of a timecode and the words that are sent
 * from there on, one a frame at 29.97. A decoder (CEA-608-E, annex B) takes them; what it shows,
 * from when to when, are the cues. Captions that pop on come as they are, those that roll up row by
 * row.
 */
final class SccReader {
  /** What such a file begins with. */
  static final String HEAD = "Scenarist_SCC V1.0";

  private static final Pattern LINE =
      Pattern.compile("(\\d{1,2}:\\d{2}:\\d{2}[:;.,]\\d{2})\\s+(.*)");

  /** How long a cue is seen that nothing ends. */
  private static final long UNENDED = 120;

  /** Frames that timecode numbers in a day. */
  private static final long DAY = 24 * 60 * 60 * 30;

  /** Drop-frame counting leaves out two numbers in nine of ten minutes. */
  private static final long DROPPED_IN_A_DAY = 24 * 6 * 9 * 2;

  /** From this row on captions stand where they stand anyway. */
  private static final int FOOT = 14;

  private final FrameBox frame;
  private final List<Remark> remarks;
  private final List<CaptionList.Cue> cues = new ArrayList<>();
  private final int channel;

  private SccPage shown = new SccPage();
  private SccPage loaded = new SccPage();
  private Mode mode = Mode.POP_ON;
  private int height = 2;
  private int row = Cea608.ROWS;
  private int column;
  private Cea608.Pen pen = Cea608.Pen.PLAIN;
  private int active;
  private int last = -1;
  private long since = -1;
  private long now = -1;
  private long day;
  private int line;
  private int sinceLine;
  private boolean rolling;
  private List<SccPage.Row> rolled = List.of();
  private int rolledUp;
  private int backgrounds;
  private boolean drops;

  private enum Mode {
    POP_ON,
    PAINT_ON,
    ROLL_UP,
    /** Service text beside the captions. */
    TEXT
  }

  /** The words of a line of the file, and when the first is sent. */
  private record Sent(int line, boolean drop, long frame, List<Integer> words) {}

  private SccReader(FrameBox frame, int channel, List<Remark> remarks) {
    this.frame = frame;
    this.channel = channel;
    this.remarks = remarks;
    this.active = channel;
  }

  /** Whether a text is such a file. */
  static boolean isOne(String text) {
    return text.stripLeading().startsWith(HEAD);
  }

  static CaptionList read(String text, FrameBox frame, List<Remark> remarks)
      throws CaptionException {
    if (!isOne(text)) {
      throw new CaptionException(Messages.of("scc.no-head", HEAD));
    }
    List<Sent> all = lines(text, remarks);
    int[] letters = lettersByChannel(all);
    int channel = letters[0] == 0 && letters[1] > 0 ? 1 : 0;
    if (letters[1 - channel] > 0) {
      remarks.add(new Remark(0, Messages.of("scc.other-channel", 2 - channel)));
    }
    SccReader reader = new SccReader(frame, channel, remarks);
    reader.drops = all.stream().anyMatch(Sent::drop);
    all.forEach(reader::take);
    return reader.captions();
  }

  private static List<Sent> lines(String text, List<Remark> remarks) {
    List<Sent> lines = new ArrayList<>();
    String[] all = text.split("\\R", -1);
    int wrongParity = 0;
    for (int index = 1; index < all.length; index++) {
      String own = all[index].strip();
      if (own.isEmpty() || own.startsWith(HEAD)) {
        continue;
      }
      Matcher found = LINE.matcher(own);
      Optional<Long> frame = found.matches() ? frame(found.group(1)) : Optional.empty();
      if (frame.isEmpty()) {
        remarks.add(new Remark(index + 1, Messages.of("scc.no-line", shortened(own))));
        continue;
      }
      List<Integer> words = new ArrayList<>();
      for (String word : found.group(2).strip().split("\\s+")) {
        if (!word.matches("[0-9A-Fa-f]{4}")) {
          remarks.add(new Remark(index + 1, Messages.of("scc.no-word", shortened(word))));
          words.add(0);
          continue;
        }
        int bytes = Integer.parseInt(word, 16);
        boolean sound =
            Integer.bitCount(bytes >> 8) % 2 == 1 && Integer.bitCount(bytes & 0xFF) % 2 == 1;
        wrongParity += sound ? 0 : 1;
        words.add(bytes & 0x7F7F);
      }
      lines.add(new Sent(index + 1, drops(found.group(1)), frame.get(), words));
    }
    if (wrongParity > 0) {
      remarks.add(new Remark(0, Messages.of("scc.wrong-parity", wrongParity)));
    }
    return lines;
  }

  private static String shortened(String text) {
    return text.length() > 40 ? text.substring(0, 40) + "\u2026" : text;
  }

  private static boolean drops(String code) {
    return ";.,".indexOf(code.charAt(code.length() - 3)) >= 0;
  }

  private static Optional<Long> frame(String code) {
    try {
      return Optional.of(new Timecode(FrameRate.NTSC, drops(code)).parse(code));
    } catch (IllegalArgumentException leftOut) {
      try {
        // a number that drop-frame counting leaves out: files that only look as if they dropped
        return Optional.of(new Timecode(FrameRate.NTSC, false).parse(code));
      } catch (IllegalArgumentException none) {
        return Optional.empty();
      }
    }
  }

  private static int[] lettersByChannel(List<Sent> lines) {
    int[] letters = new int[2];
    int active = 0;
    for (Sent sent : lines) {
      for (int word : sent.words) {
        int first = word >> 8;
        if (first >= 0x10 && first < 0x20) {
          active = first >> 3 & 1;
        } else if (first >= 0x20) {
          letters[active]++;
        }
      }
    }
    return letters;
  }

  private void take(Sent sent) {
    line = sent.line;
    if (sent.frame + day < now - DAY / 2) {
      day += drops ? DAY - DROPPED_IN_A_DAY : DAY; // past midnight
    }
    // what would be sent before the line above is through waits for it
    long from = Math.max(sent.frame + day, now + 1);
    if (from != now + 1) {
      last = -1;
    }
    for (int index = 0; index < sent.words.size(); index++) {
      now = from + index;
      word(sent.words.get(index));
    }
  }

  private void word(int word) {
    int first = word >> 8;
    int second = word & 0x7F;
    if (first >= 0x10 && first < 0x20) {
      boolean again = word == last;
      // codes are sent twice, lest one is lost
      last = again ? -1 : word;
      active = first >> 3 & 1;
      if (!again && active == channel) {
        control(first & 0x17, second);
      }
      return;
    }
    last = -1;
    if (active != channel || first > 0 && first < 0x10) {
      active = first > 0 && first < 0x10 ? -1 : active; // data about the programme
      return;
    }
    if (first >= 0x20) {
      letter(Cea608.letter(first));
    }
    if (second >= 0x20) {
      letter(Cea608.letter(second));
    }
  }

  private void control(int first, int second) {
    int kind = first & 7;
    if (second < 0x20) {
      return; // there is no such code
    }
    if (second >= 0x40) {
      address(first, second);
    } else if ((kind == 4 || kind == 5) && second < 0x30) {
      miscellaneous(second);
    } else if (kind == 7 && second >= 0x21 && second <= 0x23) {
      column = Math.min(Cea608.COLUMNS - 1, column + second - 0x20);
    } else if (kind == 1 && second >= 0x20 && second < 0x30) {
      letter(' ');
      pen = pen.after(second & 0xF);
    } else if (kind == 1 && second >= 0x30 || kind == 2 || kind == 3) {
      if (kind != 1) {
        column = Math.max(0, column - 1);
      }
      letter(Cea608.letter(first, second));
    } else if (kind == 0 || kind == 7 && second >= 0x2D) {
      backgrounds++;
    }
  }

  private void address(int first, int second) {
    int wanted = Cea608.row(first, second);
    if (mode != Mode.ROLL_UP) {
      row = wanted;
    } else if (row != wanted) {
      row = Math.max(wanted, height);
    }
    boolean indents = (second & 0x10) != 0;
    column = indents ? (second >> 1 & 7) * 4 : 0;
    pen = indents ? Cea608.Pen.PLAIN.after(second & 1) : Cea608.Pen.PLAIN.after(second & 0xF);
  }

  private void miscellaneous(int code) {
    switch (code) {
      case Cea608.RESUME_CAPTION_LOADING -> mode = Mode.POP_ON;
      case Cea608.RESUME_DIRECT_CAPTIONING -> mode = Mode.PAINT_ON;
      case Cea608.TEXT_RESTART, Cea608.RESUME_TEXT_DISPLAY -> mode = Mode.TEXT;
      case Cea608.BACKSPACE -> {
        column = Math.max(0, column - 1);
        page().put(row, column, '\0', pen);
      }
      case Cea608.DELETE_TO_END_OF_ROW -> page().clear(row, column);
      case Cea608.ERASE_DISPLAYED_MEMORY -> {
        end();
        shown.clear();
      }
      case Cea608.ERASE_NON_DISPLAYED_MEMORY -> loaded.clear();
      case Cea608.END_OF_CAPTION -> {
        end();
        SccPage swapped = shown;
        shown = loaded;
        loaded = swapped;
        mode = Mode.POP_ON;
        begin();
      }
      case Cea608.CARRIAGE_RETURN -> carriageReturn();
      default -> {
        if (code >= Cea608.ROLL_UP_2 && code <= Cea608.ROLL_UP_4) {
          rollUp(code - Cea608.ROLL_UP_2 + 2);
        }
      }
    }
  }

  private void rollUp(int rows) {
    if (mode != Mode.ROLL_UP) {
      end();
      shown.clear();
      loaded.clear();
      row = Cea608.ROWS;
      column = 0;
      pen = Cea608.Pen.PLAIN;
    }
    mode = Mode.ROLL_UP;
    height = rows;
  }

  private void carriageReturn() {
    if (mode != Mode.ROLL_UP) {
      return;
    }
    SccPage.Row full = shown.row(row);
    if (full.length() > 0) {
      rolled = List.of(full); // it is seen on, until there is another
    }
    shown.rollUp(row, height);
    column = 0;
    pen = Cea608.Pen.PLAIN;
  }

  private SccPage page() {
    return mode == Mode.POP_ON ? loaded : shown;
  }

  private void letter(char letter) {
    if (mode == Mode.TEXT) {
      return;
    }
    boolean shows = mode != Mode.POP_ON && letter != ' ';
    if (shows && (since < 0 || !rolled.isEmpty())) {
      end();
      begin();
    }
    page().put(row, column, letter, pen);
    if (shows && since < 0) {
      begin();
    }
    column = Math.min(Cea608.COLUMNS - 1, column + 1);
  }

  private void begin() {
    since = shown.isEmpty() ? -1 : now;
    sinceLine = line;
    rolling = mode == Mode.ROLL_UP;
  }

  /** What was seen until now becomes a cue. */
  private void end() {
    if (since < 0) {
      return;
    }
    List<SccPage.Row> rows =
        !rolled.isEmpty() ? rolled : rolling ? List.of(shown.row(row)) : shown.rows();
    rolledUp += rolling ? 1 : 0;
    rolled = List.of();
    long from = since;
    since = -1;
    if (rows.stream().noneMatch(one -> one.length() > 0)) {
      return;
    }
    if (from >= now) {
      remarks.add(
          new Remark(
              sinceLine,
              Messages.of(
                  "common.left-out-it-would-be-seen",
                  FrameRate.NTSC.at(from),
                  FrameRate.NTSC.at(now))));
      return;
    }
    cues.add(
        new CaptionList.Cue(
            "",
            FrameRate.NTSC.at(from),
            FrameRate.NTSC.at(now),
            "",
            story(rows),
            List.of(),
            place(rows)));
  }

  private CaptionList captions() {
    if (since >= 0) {
      now = Math.max(now, since) + UNENDED;
      end();
      remarks.add(new Remark(sinceLine, Messages.of("scc.never-erased", UNENDED / 30)));
    }
    if (rolledUp > 0) {
      remarks.add(new Remark(0, Messages.of("scc.rolled-up", rolledUp)));
    }
    if (backgrounds > 0) {
      remarks.add(new Remark(0, Messages.of("scc.backgrounds", backgrounds)));
    }
    CaptionList list = placed();
    return drops ? list : list.withNonDrop();
  }

  private CaptionList placed() {
    // a place that all have is that of the track
    PropertySet first = cues.isEmpty() ? PropertySet.EMPTY : cues.getFirst().local();
    boolean alike = cues.stream().allMatch(cue -> cue.local().equals(first));
    List<CaptionList.Cue> own =
        alike
            ? cues.stream()
                .map(cue -> CaptionList.Cue.of("", cue.in(), cue.out(), cue.story()))
                .toList()
            : cues;
    return new CaptionList(
            "",
            Optional.of(FrameRate.NTSC),
            List.of(),
            List.of(),
            alike ? first : PropertySet.EMPTY,
            own)
        .withGrain(FrameRate.NTSC.frame());
  }

  private static Story story(List<SccPage.Row> rows) {
    CueTextBuilder words = new CueTextBuilder();
    PropertySet before = PropertySet.EMPTY;
    boolean first = true;
    for (SccPage.Row row : rows) {
      if (!first) {
        words.add("\n", List.of(), before);
      }
      first = false;
      for (SccPage.Run run : row.runs()) {
        before = look(run.pen());
        words.add(run.text(), List.of(), before);
      }
    }
    return words.story();
  }

  private static PropertySet look(Cea608.Pen pen) {
    PropertySet look = PropertySet.EMPTY;
    if (pen.italic()) {
      look = look.with(Properties.SLANT, Slant.ITALIC);
    }
    if (pen.underline()) {
      look = look.with(Properties.UNDERLINE, true);
    }
    return pen.colour() == 0
        ? look
        : look.with(
            Properties.COAT_COLOUR.at(CueCss.FILL), Colour.of(Cea608.COLOURS.colour(pen.colour())));
  }

  private enum Side {
    LEFT,
    MIDDLE,
    RIGHT
  }

  /** Where a cue stands; nothing where captions stand anyway. */
  private PropertySet place(List<SccPage.Row> rows) {
    int top = rows.getFirst().row();
    int bottom = rows.getLast().row();
    Side side = side(rows);
    boolean foot = bottom >= FOOT;
    if (foot && side == Side.MIDDLE) {
      return PropertySet.EMPTY;
    }
    boolean low = top + bottom > Cea608.ROWS + 1;
    double y = foot ? 90 : Cea608.EDGE + Cea608.PAGE * (low ? bottom : top - 1) / Cea608.ROWS;
    return switch (side) {
      case MIDDLE ->
          frame.place(low ? Anchor.BOTTOM : Anchor.TOP, Optional.empty(), Optional.of(y));
      case LEFT ->
          frame
              .place(
                  low ? Anchor.BOTTOM_LEFT : Anchor.TOP_LEFT,
                  Optional.of(
                      across(rows.stream().mapToInt(SccPage.Row::column).min().orElseThrow())),
                  Optional.of(y))
              .with(Properties.ALIGNMENT, Alignment.LEFT);
      case RIGHT ->
          frame
              .place(
                  low ? Anchor.BOTTOM_RIGHT : Anchor.TOP_RIGHT,
                  Optional.of(
                      across(
                          rows.stream()
                              .mapToInt(one -> one.column() + one.length())
                              .max()
                              .orElseThrow())),
                  Optional.of(y))
              .with(Properties.ALIGNMENT, Alignment.RIGHT);
    };
  }

  private static double across(int column) {
    return Cea608.EDGE + Cea608.PAGE * column / Cea608.COLUMNS;
  }

  /** Rows are as good as in the middle if cells of four, which codes count in, cannot do better. */
  private static Side side(List<SccPage.Row> rows) {
    boolean middle =
        rows.stream()
            .allMatch(row -> Math.abs(2 * row.column() + row.length() - Cea608.COLUMNS) <= 4);
    boolean left = rows.stream().map(SccPage.Row::column).distinct().count() == 1;
    boolean alike =
        rows.stream().mapToInt(SccPage.Row::length).max().orElseThrow()
            <= rows.stream().mapToInt(SccPage.Row::length).min().orElseThrow() + 3;
    if (middle && (!left || alike)) {
      return Side.MIDDLE;
    }
    boolean right =
        rows.size() > 1
            ? !left && rows.stream().map(row -> row.column() + row.length()).distinct().count() == 1
            : rows.getFirst().column() + rows.getFirst().length() == Cea608.COLUMNS
                && rows.getFirst().column() > 0;
    return right ? Side.RIGHT : Side.LEFT;
  }
}
