package dynamorph.formats.captions;

import dynamorph.formats.file.PlainText;
import dynamorph.formats.message.Messages;
import dynamorph.model.edit.importing.CaptionList;
import dynamorph.model.property.Address;
import dynamorph.model.property.Properties;
import dynamorph.model.property.PropertySet;
import dynamorph.model.timeline.Time;
import dynamorph.model.value.Anchor;
import dynamorph.model.value.Colour;
import dynamorph.model.value.Rgba;
import dynamorph.model.value.Slant;
import java.util.ArrayDeque;
import java.util.ArrayList;
import java.util.Deque;
import java.util.List;
import java.util.Locale;
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
      Pattern.compile("\\s*" + CLOCK + "\\s*-{1,2}>\\s*" + CLOCK + "(.*)");
  private static final Pattern TAG =
      Pattern.compile(
          "<(/?)(b|i|u|s|font)((?:\\s[^<>]{0,200})?)>|\\{\\\\(an?)(\\d{1,2})[^}]{0,40}\\}",
          Pattern.CASE_INSENSITIVE);
  private static final Pattern FONT_COLOUR =
      Pattern.compile("color\\s*=\\s*[\"']?([#\\w]+)", Pattern.CASE_INSENSITIVE);
  private static final Address FILL = Address.coat("fill");

  private SubRip() {}

  /** Whether text looks like a SubRip file. */
  static boolean isOne(String text) {
    return PlainText.lines(text.substring(0, Math.min(text.length(), 4000))).stream()
        .anyMatch(line -> TIMES.matcher(line).matches());
  }

  static CaptionList read(String text, List<Remark> remarks) {
    List<String> lines = PlainText.lines(text);
    List<CaptionList.Cue> cues = new ArrayList<>();
    List<Integer> starts = new ArrayList<>();
    for (int index = 0; index < lines.size(); index++) {
      if (lines.get(index).contains("->") && TIMES.matcher(lines.get(index)).matches()) {
        starts.add(index);
      }
    }
    for (int cue = 0; cue < starts.size(); cue++) {
      int from = starts.get(cue);
      int to = cue + 1 < starts.size() ? beforeNumber(lines, starts.get(cue + 1)) : lines.size();
      cue(lines, from, to, remarks).ifPresent(cues::add);
    }
    return CaptionList.of("", cues);
  }

  /** The line before a time that holds the number of the cue, if there is one. */
  private static int beforeNumber(List<String> lines, int time) {
    boolean number = time > 0 && lines.get(time - 1).strip().matches("\\d{1,9}");
    return number ? time - 1 : time;
  }

  private static Optional<CaptionList.Cue> cue(
      List<String> lines, int from, int to, List<Remark> remarks) {
    Matcher times = TIMES.matcher(lines.get(from));
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
    return Optional.of(words(name, in, out, String.join("\n", words), line + 1, remarks));
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

  private static CaptionList.Cue words(
      String name, Time in, Time out, String text, int line, List<Remark> remarks) {
    CueTextBuilder runs = new CueTextBuilder();
    Deque<PropertySet> looks = new ArrayDeque<>(List.of(PropertySet.EMPTY));
    Deque<String> open = new ArrayDeque<>();
    PropertySet place = PropertySet.EMPTY;
    Matcher tag = TAG.matcher(text);
    int at = 0;
    while (tag.find()) {
      runs.add(text.substring(at, tag.start()), List.of(), looks.peek());
      at = tag.end();
      if (tag.group(4) != null) {
        place = placed(tag.group(4), Integer.parseInt(tag.group(5)));
        continue;
      }
      String element = tag.group(2).toLowerCase(Locale.ROOT);
      if (tag.group(1).isEmpty()) {
        open.push(element);
        looks.push(looks.peek().overlaidBy(look(element, tag.group(3), line, remarks)));
      } else if (open.contains(element)) {
        String closed;
        do {
          closed = open.pop();
          looks.pop();
        } while (!closed.equals(element));
      }
    }
    runs.add(text.substring(at), List.of(), looks.peek());
    return new CaptionList.Cue(name, in, out, "", runs.story(), List.of(), place);
  }

  private static PropertySet look(
      String element, String attributes, int line, List<Remark> remarks) {
    return switch (element) {
      case "b" -> PropertySet.EMPTY.with(Properties.FONT_WEIGHT, 700.0);
      case "i" -> PropertySet.EMPTY.with(Properties.SLANT, Slant.ITALIC);
      case "u" -> PropertySet.EMPTY.with(Properties.UNDERLINE, true);
      case "s" -> PropertySet.EMPTY.with(Properties.STRIKE, true);
      default -> {
        Matcher colour = FONT_COLOUR.matcher(attributes);
        Optional<Rgba> found = colour.find() ? CssColours.parse(colour.group(1)) : Optional.empty();
        if (found.isEmpty()) {
          remarks.add(
              new Remark(line, Messages.of("sub-rip.the-tag-font-gives-no-known", attributes)));
        }
        yield found
            .map(rgba -> PropertySet.EMPTY.with(Properties.COAT_COLOUR.at(FILL), Colour.of(rgba)))
            .orElse(PropertySet.EMPTY);
      }
    };
  }

  /** Places as on the keys of a numeric block: 1 is lower left, 8 the middle of the top. */
  private static PropertySet placed(String form, int number) {
    // the older form counts left, middle, right, then adds 4 for the top and 8 for the middle
    int key =
        form.equalsIgnoreCase("an")
            ? number
            : (number - 1) % 4 + 1 + (number > 8 ? 3 : number > 4 ? 6 : 0);
    return switch (key) {
      case 1 -> place(Anchor.BOTTOM_LEFT, 100, -90);
      case 3 -> place(Anchor.BOTTOM_RIGHT, -100, -90);
      case 4 -> place(Anchor.LEFT, 100, 0);
      case 5 -> place(Anchor.CENTRE, 0, 0);
      case 6 -> place(Anchor.RIGHT, -100, 0);
      case 7 -> place(Anchor.TOP_LEFT, 100, 90);
      case 8 -> place(Anchor.TOP, 0, 90);
      case 9 -> place(Anchor.TOP_RIGHT, -100, 90);
      default -> PropertySet.EMPTY;
    };
  }

  private static PropertySet place(Anchor anchor, double x, double y) {
    return PropertySet.EMPTY
        .with(Properties.ANCHOR, anchor)
        .with(Properties.POSITION_X, x)
        .with(Properties.POSITION_Y, y);
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
