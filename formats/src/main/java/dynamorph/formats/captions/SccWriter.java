package dynamorph.formats.captions;

import dynamorph.formats.message.Messages;
import dynamorph.model.timeline.FrameRate;
import dynamorph.model.timeline.Time;
import dynamorph.model.timeline.Timecode;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.TreeMap;
import java.util.TreeSet;

/**
 * Writes closed captions that pop on (CEA-608-E) as a file of SCC: the words of a cue are sent
 * before it, one a frame, so that the code that shows them is sent in its first frame.
 */
final class SccWriter {
  private final CaptionExport captions;
  private final boolean labels;
  private final Timecode code;

  /** What is sent in which frame. */
  private final Map<Long, Integer> sent = new TreeMap<>();

  private final Set<String> missing = new TreeSet<>();
  private int late;
  private int overlapping;
  private int longer;
  private int cut;

  private SccWriter(CaptionExport captions) {
    this.captions = captions;
    FrameRate film = captions.rate();
    this.labels = film.nominal() % 30 == 0;
    // drop-frame counting keeps to the clock, as films of whole rates do
    boolean drop =
        film.canDropFrames() ? captions.timecode().drop() : !labels && film.denominator() == 1;
    this.code = new Timecode(FrameRate.NTSC, drop);
  }

  static CaptionFiles.Written write(CaptionExport captions) {
    SccWriter writer = new SccWriter(captions);
    writer.longer = captions.shortened();
    writer.send();
    return new CaptionFiles.Written(writer.text(), StandardCharsets.US_ASCII, writer.losses());
  }

  private List<Remark> losses() {
    List<Remark> losses = new ArrayList<>();
    losses.add(new Remark(0, Messages.of("scc.written")));
    if (!labels) {
      losses.add(new Remark(0, Messages.of("scc.times-in-frames")));
    }
    if (!missing.isEmpty()) {
      losses.add(new Remark(0, Messages.of("scc.letters-missing", String.join(" ", missing))));
    }
    if (longer > 0) {
      losses.add(new Remark(0, Messages.of("common.lines-broken", longer, Cea608.COLUMNS)));
    }
    if (cut > 0) {
      losses.add(new Remark(0, Messages.of("scc.rows-left-out", cut, Cea608.ROWS)));
    }
    if (overlapping > 0) {
      losses.add(new Remark(0, Messages.of("scc.overlapping", overlapping)));
    }
    if (late > 0) {
      losses.add(new Remark(0, Messages.of("scc.late", late)));
    }
    return losses;
  }

  /** The frame of the file at a time of the film, or the nearest if its frames are others. */
  private long frame(Time time) {
    if (labels) {
      int share = captions.rate().nominal() / 30;
      return (captions.firstFrame() + captions.rate().frameAt(time)) / share;
    }
    Time start = code.drop() ? captions.start() : captions.start().times(1001, 1000);
    return FrameRate.NTSC.frameAt(FrameRate.NTSC.snap(start.plus(time)));
  }

  private void send() {
    List<WrittenCue> cues = captions.cues();
    long free = 0;
    long shown = -1;
    for (int index = 0; index < cues.size(); index++) {
      WrittenCue cue = cues.get(index);
      long in = frame(cue.timing().in());
      if (shown >= 0) {
        if (shown > in) {
          overlapping++;
        } else if (shown < in) {
          erase(Math.max(shown, free), in);
        }
      }
      free = show(cue, in, free);
      long begun = free - 1;
      shown = Math.max(begun + 1, frame(cue.timing().out()));
    }
    if (shown >= 0) {
      erase(Math.max(shown, free), Long.MAX_VALUE);
    }
  }

  /** Erases what is seen, unless the next cue comes in its place. */
  private void erase(long at, long next) {
    if (at < next) {
      int word = miscellaneous(Cea608.ERASE_DISPLAYED_MEMORY);
      sent.put(at, word);
      if (at + 1 < next) {
        sent.put(at + 1, word);
      }
    }
  }

  /**
   * Sends a cue and shows it.
   *
   * @param free the first frame in which its words can be sent
   * @return the first frame behind the code that shows it
   */
  private long show(WrittenCue cue, long in, long free) {
    List<SccRows.Row> whole = SccRows.of(cue, missing);
    List<SccRows.Row> rows = whole.subList(0, Math.min(whole.size(), Cea608.ROWS));
    cut += whole.size() > rows.size() ? 1 : 0;
    long lines = cue.text().chars().filter(letter -> letter == '\u2028').count() + 1;
    longer += rows.size() > lines ? 1 : 0;
    long end = in;
    if (!load(words(cue, rows, 2), in, free) && !load(words(cue, rows, 1), in, free)) {
      late++;
      end = loadLate(words(cue, rows, 1), free);
    }
    sent.put(end, miscellaneous(Cea608.END_OF_CAPTION));
    long out = frame(cue.timing().out());
    if (end + 1 < out) {
      sent.put(end + 1, miscellaneous(Cea608.END_OF_CAPTION));
      return end + 2;
    }
    return end + 1;
  }

  /** Sends words as late as they can be; false, and nothing sent, if there is no time. */
  private boolean load(List<List<Integer>> words, long in, long free) {
    Map<Long, Integer> own = new TreeMap<>();
    long end = in;
    for (List<Integer> together : words.reversed()) {
      long at = end - together.size();
      while (at >= free && !isFree(at, together.size())) {
        at--;
      }
      if (at < free) {
        return false;
      }
      for (int index = 0; index < together.size(); index++) {
        own.put(at + index, together.get(index));
      }
      end = at;
    }
    sent.putAll(own);
    return true;
  }

  /** Sends words as soon as they can be, and tells when that is done. */
  private long loadLate(List<List<Integer>> words, long free) {
    long at = free;
    for (List<Integer> together : words) {
      while (!isFree(at, together.size())) {
        at++;
      }
      for (int word : together) {
        sent.put(at++, word);
      }
    }
    while (!isFree(at, 2)) {
      at++;
    }
    return at;
  }

  private boolean isFree(long at, int frames) {
    for (int index = 0; index < frames; index++) {
      if (sent.containsKey(at + index)) {
        return false;
      }
    }
    return true;
  }

  private static int miscellaneous(int second) {
    return Cea608.MISCELLANEOUS << 8 | second;
  }

  // --- words

  /**
   * What loads a cue; words that are sent one after the other together.
   *
   * @param times how often codes are sent, which receivers take for one
   */
  private List<List<Integer>> words(WrittenCue cue, List<SccRows.Row> rows, int times) {
    Sending sending = new Sending(times);
    sending.code(miscellaneous(Cea608.RESUME_CAPTION_LOADING));
    sending.code(miscellaneous(Cea608.ERASE_NON_DISPLAYED_MEMORY));
    int row = first(cue, rows.size());
    for (SccRows.Row own : rows) {
      List<Integer> codes = own.codes();
      int column = column(cue, own.length());
      if (column == 0 && !codes.isEmpty()) {
        sending.code(Cea608.address(row, own.pen()));
        boolean both = own.pen().italic() && own.pen().colour() != 0;
        codes = both ? List.of(Cea608.italics(own.pen())) : List.of();
      } else {
        column = Math.max(0, column - codes.size());
        sending.code(Cea608.address(row, column / 4 * 4));
        if (column % 4 > 0) {
          sending.code(Cea608.TAB_OFFSET << 8 | 0x20 + column % 4);
        }
      }
      codes.forEach(sending::code);
      own.cells().forEach(sending::cell);
      sending.flush();
      row++;
    }
    return sending.words;
  }

  /** Words in the order in which they are sent. */
  private static final class Sending {
    private final List<List<Integer>> words = new ArrayList<>();
    private final int times;
    private int waiting = -1;

    Sending(int times) {
      this.times = times;
    }

    void code(int word) {
      flush();
      words.add(Collections.nCopies(times, word));
    }

    void cell(SccRows.Cell cell) {
      if (cell.letter() < 0) {
        code(cell.code());
        return;
      }
      int basic = Cea608.basic(cell.letter());
      if (basic >= 0) {
        basic(basic);
        return;
      }
      int word = Cea608.code(cell.letter());
      if (Cea608.replaces(word)) {
        String plain = Cea608.instead(cell.letter());
        basic(plain.length() == 1 ? Cea608.basic(plain.charAt(0)) : ' ');
      }
      code(word);
    }

    private void basic(int letter) {
      if (waiting < 0) {
        waiting = letter;
      } else {
        words.add(List.of(waiting << 8 | letter));
        waiting = -1;
      }
    }

    void flush() {
      if (waiting >= 0) {
        words.add(List.of(waiting << 8));
        waiting = -1;
      }
    }
  }

  // --- places

  /** The row of the first line, so that the cue stands on the page as it does in the frame. */
  private static int first(WrittenCue cue, int height) {
    int last = Cea608.ROWS - height + 1;
    if (cue.y().isEmpty() || height == 0) {
      return Math.max(1, last);
    }
    double down = (2 - (cue.key() - 1) / 3) / 2.0;
    double rows = (cue.y().get() - Cea608.EDGE) / Cea608.PAGE * Cea608.ROWS;
    return (int) Math.clamp(Math.round(rows - down * height) + 1, 1, Math.max(1, last));
  }

  /** The column of a row, so that it stands on the page as it does in the frame. */
  private static int column(WrittenCue cue, int length) {
    int free = Cea608.COLUMNS - length;
    int side = (cue.key() - 1) % 3;
    double at =
        cue.x()
            .map(x -> (x - Cea608.EDGE) / Cea608.PAGE * Cea608.COLUMNS)
            .orElse(side * Cea608.COLUMNS / 2.0);
    double column = at - length * side / 2.0;
    return (int) Math.clamp((long) Math.floor(column + 0.5), 0, Math.max(0, free));
  }

  private String text() {
    StringBuilder text = new StringBuilder(SccReader.HEAD + "\n\n");
    long before = Long.MIN_VALUE;
    for (Map.Entry<Long, Integer> entry : sent.entrySet()) {
      long frame = entry.getKey();
      if (frame != before + 1) {
        text.append(before == Long.MIN_VALUE ? "" : "\n\n");
        text.append(code.format(frame)).append('\t');
      } else {
        text.append(' ');
      }
      text.append(Cea608.written(entry.getValue()));
      before = frame;
    }
    return text.append("\n").toString();
  }
}
