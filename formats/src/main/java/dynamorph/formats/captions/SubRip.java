package dynamorph.formats.captions;

import dynamorph.formats.css.CssColours;
import dynamorph.formats.file.PlainText;
import dynamorph.formats.message.Messages;
import dynamorph.model.edit.importing.CaptionList;
import dynamorph.model.text.Story;
import dynamorph.model.timeline.Time;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/**
 * SubRip files. There is no standard; this reads what is in use: numbers that are missing or out of
 * order, commas or dots, stray blank lines, the tags b, i, u and font, and places such as {@code
 * {\an8}}.
 */
final class SubRip {
  private static final String CLOCK = "(-?\\d{1,4}):(\\d{1,2}):(\\d{1,2})(?:[,.:](\\d{1,9}))?";
  private static final Pattern TIMES =
      Pattern.compile("\\s*" + CLOCK + "\\s*-{1,2}>\\s*" + CLOCK + "(?:\\s.*)?");

  /** Two clocks with an arrow, as they look with slips of the hand. */
  private static final Pattern ALMOST =
      Pattern.compile("\\s*([-\\d:,.;OolI ]{2,24}?)\\s*-{2,3}\\s?>\\s*([-\\d:,.;OolI ]{2,24}).*");

  /** What is longer is words, or was made to take long. */
  private static final int LONGEST_TIMES = 200;

  private static final Pattern WITHOUT_HOURS =
      Pattern.compile("(\\d{1,2}:\\d{1,2}(?:[,.]\\d{1,9})?)");

  private SubRip() {}

  /** Whether text looks like a SubRip file. */
  static boolean isOne(String text) {
    return PlainText.lines(text.substring(0, Math.min(text.length(), 4000))).stream()
        .anyMatch(line -> TIMES.matcher(line).matches());
  }

  /**
   * A line that times a cue.
   *
   * @param text the line as it can be read; empty if it cannot
   */
  private record Start(int line, String text) {}

  static CaptionList read(String text, FrameBox frame, List<Remark> remarks) {
    List<String> lines = PlainText.lines(text);
    List<CaptionList.Cue> cues = new ArrayList<>();
    List<Start> starts = new ArrayList<>();
    for (int index = 0; index < lines.size(); index++) {
      int line = index;
      start(lines.get(index), index + 1, remarks)
          .ifPresent(times -> starts.add(new Start(line, times)));
    }
    for (int cue = 0; cue < starts.size(); cue++) {
      Start from = starts.get(cue);
      int to =
          cue + 1 < starts.size() ? beforeNumber(lines, starts.get(cue + 1).line) : lines.size();
      if (!from.text.isEmpty()) {
        cue(lines, from, to, frame, remarks).ifPresent(cues::add);
      }
    }
    return CaptionList.of("", cues);
  }

  /**
   * The times of a line, mended if a slip of the hand can be seen, which is told; empty text for
   * times that cannot be read, whose words are not those of the cue before; nothing for words.
   */
  private static Optional<String> start(String line, int number, List<Remark> remarks) {
    if (!line.contains("->") && !line.contains("- >")) {
      return Optional.empty();
    }
    if (TIMES.matcher(line).matches()) {
      return Optional.of(line);
    }
    Matcher almost = ALMOST.matcher(line.strip());
    if (line.length() > LONGEST_TIMES || !almost.matches() || !line.contains(":")) {
      return Optional.empty();
    }
    String mended = mended(almost.group(1)) + " --> " + mended(almost.group(2));
    boolean readable = TIMES.matcher(mended).matches();
    remarks.add(
        new Remark(
            number,
            readable
                ? Messages.of("sub-rip.times-read-as", line.strip(), mended)
                : Messages.of("sub-rip.times-cannot-be-read", line.strip())));
    return Optional.of(readable ? mended : "");
  }

  /** Letters that look like figures, spaces within, a semicolon, hours that are missing. */
  private static String mended(String clock) {
    String figures =
        clock
            .replaceAll("[Oo]", "0")
            .replaceAll("[lI]", "1")
            .replaceAll("\\s+", "")
            .replace(';', ',')
            .replaceAll("[:,.]+$", "");
    return WITHOUT_HOURS.matcher(figures).matches() ? "00:" + figures : figures;
  }

  /** The line before a time that holds the number of the cue, if there is one. */
  private static int beforeNumber(List<String> lines, int time) {
    boolean number = time > 0 && lines.get(time - 1).strip().matches("\\d{1,9}");
    return number ? time - 1 : time;
  }

  private static Optional<CaptionList.Cue> cue(
      List<String> lines, Start start, int to, FrameBox frame, List<Remark> remarks) {
    int from = start.line;
    Matcher times = TIMES.matcher(start.text);
    if (!times.matches()) {
      return Optional.empty();
    }
    Time in = time(times, 1);
    Time out = time(times, 5);
    int line = from + 1;
    if (in.isBefore(Time.ZERO) || !in.isBefore(out) || out.isAfter(Time.LONGEST)) {
      remarks.add(new Remark(line, Messages.of("common.left-out-it-would-be-seen", in, out)));
      return Optional.empty();
    }
    List<String> words = new ArrayList<>(lines.subList(from + 1, to));
    while (!words.isEmpty() && words.getLast().isBlank()) {
      words.removeLast();
    }
    while (!words.isEmpty() && words.getFirst().isBlank()) {
      words.removeFirst();
    }
    String name =
        from > 0 && lines.get(from - 1).strip().matches("\\d{1,9}")
            ? lines.get(from - 1).strip()
            : "";
    SubRipWords read = new SubRipWords(frame, line + 1, remarks);
    Story story = read.story(String.join("\n", words));
    return Optional.of(new CaptionList.Cue(name, in, out, "", story, List.of(), read.place()));
  }

  private static Time time(Matcher times, int group) {
    long hours = Long.parseLong(times.group(group));
    long rest =
        Long.parseLong(times.group(group + 1)) * 60_000
            + Long.parseLong(times.group(group + 2)) * 1000;
    String part = Optional.ofNullable(times.group(group + 3)).orElse("0");
    long millis = Math.round(Double.parseDouble("0." + part) * 1000);
    boolean negative = times.group(group).startsWith("-");
    long whole = Math.abs(hours) * 3_600_000 + rest + millis;
    return Time.ofMillis(negative ? -whole : whole);
  }

  // --- writing
  // ---------------------------------------------------------------------------------------------------

  static String write(List<WrittenCue> cues) {
    StringBuilder text = new StringBuilder();
    int number = 1;
    for (WrittenCue cue : cues) {
      text.append(number++)
          .append('\n')
          .append(clock(cue.in()))
          .append(" --> ")
          .append(clock(cue.out()))
          .append('\n');
      if (cue.key() != 2) {
        text.append("{\\an").append(cue.key()).append('}');
      }
      for (WrittenCue.Base base : cue.bases()) {
        base.runs().forEach(run -> text.append(tagged(run)));
        text.append(base.ruby().isEmpty() ? "" : "(" + base.ruby() + ")");
      }
      text.append("\n\n");
    }
    return text.toString();
  }

  private static String tagged(WrittenCue.Run run) {
    // a blank line would end the cue
    String words = run.text().replace('\u2028', '\n').replaceAll("\n{2,}", "\n");
    StringBuilder before = new StringBuilder();
    StringBuilder after = new StringBuilder();
    run.colour()
        .ifPresent(colour -> {
          before.append("<font color=\"").append(CssColours.hex(colour)).append("\">");
          after.insert(0, "</font>");
        });
    if (run.bold()) {
      before.append("<b>");
      after.insert(0, "</b>");
    }
    if (run.italic()) {
      before.append("<i>");
      after.insert(0, "</i>");
    }
    if (run.underline()) {
      before.append("<u>");
      after.insert(0, "</u>");
    }
    return before + words + after;
  }

  private static String clock(Time time) {
    return time.toString().replace('.', ',');
  }
}
