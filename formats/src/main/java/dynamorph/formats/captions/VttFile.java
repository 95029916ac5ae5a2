package dynamorph.formats.captions;

import dynamorph.formats.message.Messages;
import dynamorph.model.timeline.Time;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.regex.Pattern;

/**
 * The blocks of a WebVTT file, collected as the standard prescribes (W3C, WebVTT, 6.1 to 6.3).
 * Whatever is malformed is passed over as it says, with a remark.
 */
final class VttFile {
  /** Hours that no film has; times beyond them are kept as this. */
  private static final long MOST_HOURS = 100_000;

  private static final Pattern STYLE = Pattern.compile("STYLE[ \\t\\f]*");
  private static final Pattern REGION = Pattern.compile("REGION[ \\t\\f]*");
  private static final Pattern NOTE = Pattern.compile("NOTE(?:[ \\t\\n].*)?", Pattern.DOTALL);

  /**
   * A cue as it is written.
   *
   * @param line of the file that its times stand in, from 1
   */
  record Cue(String id, Time start, Time end, VttSettings settings, String text, int line) {}

  /**
   * A style sheet.
   *
   * @param line of the file that it begins in, from 1
   */
  record Sheet(String css, int line) {}

  private final String[] lines;
  private final List<Remark> remarks;
  private final List<Cue> cues = new ArrayList<>();
  private final List<Sheet> sheets = new ArrayList<>();
  private final List<VttRegion> regions = new ArrayList<>();
  private int at;

  private VttFile(String[] lines, List<Remark> remarks) {
    this.lines = lines;
    this.remarks = remarks;
  }

  static boolean isOne(String text) {
    return text.equals("WEBVTT") || text.matches("(?s)WEBVTT[ \\t\\r\\n].*");
  }

  /** The blocks of a text that begins with the signature. */
  static VttFile read(String text, List<Remark> remarks) {
    String clean = text.replace('\u0000', '\ufffd').replace("\r\n", "\n").replace('\r', '\n');
    VttFile file = new VttFile(clean.split("\n", -1), remarks);
    file.collect();
    return file;
  }

  List<Cue> cues() {
    return cues;
  }

  List<Sheet> sheets() {
    return sheets;
  }

  List<VttRegion> regions() {
    return regions;
  }

  private boolean ended() {
    return at >= lines.length;
  }

  private void collect() {
    at = 1;
    if (!ended() && !lines[at].isEmpty()) {
      block(true);
    }
    while (!ended()) {
      if (lines[at].isEmpty()) {
        at++;
      } else {
        block(false);
      }
    }
  }

  /** What a block is, as far as its lines have told. */
  private enum Kind {
    UNKNOWN,
    SHEET,
    REGION
  }

  private void block(boolean header) {
    int first = at;
    Kind kind = Kind.UNKNOWN;
    List<String> buffer = new ArrayList<>();
    while (!ended() && !lines[at].isEmpty()) {
      String line = lines[at];
      if (line.contains("-->")) {
        // an arrow in any later line begins the next cue
        boolean here = !header && at - first <= 1;
        if (here) {
          cue(buffer.isEmpty() ? "" : buffer.getFirst());
        } else {
          passOver(first, kind, buffer, header);
        }
        return;
      }
      if (!header && at == first + 1 && cues.isEmpty()) {
        kind = kind(buffer.getFirst());
        if (kind != Kind.UNKNOWN) {
          buffer.clear();
        }
      }
      buffer.add(line);
      at++;
    }
    passOver(first, kind, buffer, header);
  }

  private static Kind kind(String line) {
    return STYLE.matcher(line).matches()
        ? Kind.SHEET
        : REGION.matcher(line).matches() ? Kind.REGION : Kind.UNKNOWN;
  }

  /** Ends a block that is no cue. */
  private void passOver(int first, Kind kind, List<String> buffer, boolean header) {
    switch (kind) {
      case SHEET -> sheets.add(new Sheet(String.join("\n", buffer), first + 2));
      case REGION -> regions.add(VttRegion.parse(String.join("\n", buffer)));
      case UNKNOWN -> {
        if (!header && !NOTE.matcher(String.join("\n", buffer)).matches()) {
          remarks.add(
              new Remark(first + 1, Messages.of("vtt-file.passed-over-no-cue-style-sheet")));
        }
      }
    }
  }

  private void cue(String id) {
    int timesLine = at;
    Times scanner = new Times(lines[at]);
    Optional<Time> start = scanner.next();
    Optional<Time> end = start.isPresent() && scanner.arrow() ? scanner.next() : Optional.empty();
    at++;
    List<String> text = new ArrayList<>();
    while (!ended() && !lines[at].isEmpty() && !lines[at].contains("-->")) {
      text.add(lines[at++]);
    }
    if (end.isEmpty()) {
      remarks.add(new Remark(timesLine + 1, Messages.of("vtt-file.left-out-the-times-cannot-be")));
      return;
    }
    cues.add(
        new Cue(
            id,
            start.orElseThrow(),
            end.get(),
            VttSettings.parse(scanner.rest(), regions),
            String.join("\n", text),
            timesLine + 1));
  }

  /** A time alone, with nothing around it. */
  static Optional<Time> time(String text) {
    Times scanner = new Times(text);
    Optional<Time> time = scanner.time();
    return scanner.rest().isEmpty() ? time : Optional.empty();
  }

  /** Walks along a line with times. */
  private static final class Times {
    private final String line;
    private int at;

    Times(String line) {
      this.line = line;
    }

    String rest() {
      return line.substring(at);
    }

    private boolean is(char sign) {
      return at < line.length() && line.charAt(at) == sign;
    }

    private void white() {
      while (at < line.length() && " \t\f".indexOf(line.charAt(at)) >= 0) {
        at++;
      }
    }

    Optional<Time> next() {
      white();
      return time();
    }

    boolean arrow() {
      white();
      boolean there = line.startsWith("-->", at);
      at += there ? 3 : 0;
      return there;
    }

    private String digits() {
      int from = at;
      while (at < line.length() && line.charAt(at) >= '0' && line.charAt(at) <= '9') {
        at++;
      }
      return line.substring(from, at);
    }

    /** A colon or point, and as many digits behind it as there must be; -1 if not. */
    private int part(char before, int count) {
      if (!is(before)) {
        return -1;
      }
      at++;
      String digits = digits();
      return digits.length() == count ? Integer.parseInt(digits) : -1;
    }

    /** Collects a timestamp: minutes and seconds have two digits, hours any number. */
    Optional<Time> time() {
      String first = digits();
      int second = first.isEmpty() ? -1 : part(':', 2);
      if (second < 0) {
        return Optional.empty();
      }
      boolean hours = first.length() != 2 || Integer.parseInt(first) > 59 || is(':');
      int third = hours ? part(':', 2) : second;
      int millis = third < 0 ? -1 : part('.', 3);
      long minutes = hours ? second : Integer.parseInt(first);
      if (millis < 0 || minutes > 59 || third > 59) {
        return Optional.empty();
      }
      long whole =
          !hours
              ? 0
              : first.length() > 9 ? MOST_HOURS : Math.min(MOST_HOURS, Long.parseLong(first));
      return Optional.of(
          Time.ofMillis(whole * 3_600_000 + minutes * 60_000 + third * 1000L + millis));
    }
  }
}
