package dynamorph.formats.captions;

import dynamorph.formats.file.PlainText;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.regex.Pattern;

/**
 * A script of SubStation Alpha by its sections: versions 4 and 4+ ({@code .ssa}, {@code .ass}).
 *
 * @param head what the first section says, by names in small letters
 * @param older whether its styles are those of version 4
 * @param styles in order
 * @param lines of the events: {@code Dialogue} and others
 * @param pictures whether fonts or pictures are packed into it
 */
record SubstationScript(
    Map<String, String> head, boolean older, List<Row> styles, List<Row> lines, boolean pictures) {
  /**
   * A line of a table.
   *
   * @param number of the line in the file, from 1
   * @param kind what stands before the colon, in small letters
   * @param cells by the names of their columns in small letters
   */
  record Row(int number, String kind, Map<String, String> cells) {
    String cell(String column) {
      return cells.getOrDefault(column, "");
    }
  }

  private static final Pattern FIRST =
      Pattern.compile("(?is)\\s*(?:;[^\\n]*\\n\\s*)*\\[script info\\].*");

  private static final Pattern DIALOGUE =
      Pattern.compile("(?m)^Dialogue:\\s*(?:Marked=)?\\d*\\s*,\\s*\\d+:\\d+:\\d+");

  private static final List<String> STYLES =
      List.of(
          "name",
          "fontname",
          "fontsize",
          "primarycolour",
          "secondarycolour",
          "outlinecolour",
          "backcolour",
          "bold",
          "italic",
          "underline",
          "strikeout",
          "scalex",
          "scaley",
          "spacing",
          "angle",
          "borderstyle",
          "outline",
          "shadow",
          "alignment",
          "marginl",
          "marginr",
          "marginv",
          "encoding");

  private static final List<String> OLDER_STYLES =
      List.of(
          "name",
          "fontname",
          "fontsize",
          "primarycolour",
          "secondarycolour",
          "tertiarycolour",
          "backcolour",
          "bold",
          "italic",
          "borderstyle",
          "outline",
          "shadow",
          "alignment",
          "marginl",
          "marginr",
          "marginv",
          "alphalevel",
          "encoding");

  private static final List<String> EVENTS =
      List.of(
          "layer", "start", "end", "style", "name", "marginl", "marginr", "marginv", "effect",
          "text");

  /** Whether text looks like a script. */
  static boolean isOne(String text) {
    String start = text.substring(0, Math.min(text.length(), 4000));
    return FIRST.matcher(start).matches() || DIALOGUE.matcher(start).find();
  }

  static SubstationScript parse(String text) {
    Map<String, String> head = new HashMap<>();
    List<Row> styles = new ArrayList<>();
    List<Row> events = new ArrayList<>();
    boolean older = false;
    boolean pictures = false;
    String section = "script info";
    List<String> columns = List.of();
    List<String> lines = PlainText.lines(text);
    for (int index = 0; index < lines.size(); index++) {
      String line = lines.get(index);
      String plain = line.strip();
      if (plain.matches("\\[[^\\[\\]]{1,40}\\]")) {
        section = plain.substring(1, plain.length() - 1).strip().toLowerCase(Locale.ROOT);
        older |= section.equals("v4 styles");
        pictures |= section.equals("fonts") || section.equals("graphics");
        columns =
            section.equals("v4 styles")
                ? OLDER_STYLES
                : section.endsWith("styles") ? STYLES : EVENTS;
        continue;
      }
      int colon = line.indexOf(':');
      if (colon < 0 || plain.startsWith(";") || plain.startsWith("!:")) {
        continue;
      }
      String kind = line.substring(0, colon).strip().toLowerCase(Locale.ROOT);
      String rest = line.substring(colon + 1);
      boolean table = section.endsWith("styles") || section.equals("events");
      if (kind.equals("dialogue") && !section.equals("events")) {
        events.add(row(index + 1, kind, rest, EVENTS));
      } else if (!table) {
        if (section.equals("script info")) {
          head.putIfAbsent(kind, rest.strip());
        }
      } else if (kind.equals("format")) {
        columns = columns(rest);
      } else {
        (section.equals("events") ? events : styles).add(row(index + 1, kind, rest, columns));
      }
    }
    return new SubstationScript(head, older, styles, events, pictures);
  }

  private static List<String> columns(String format) {
    List<String> columns = new ArrayList<>();
    for (String column : format.split(",")) {
      columns.add(column.strip().toLowerCase(Locale.ROOT).replace("color", "colour"));
    }
    return columns;
  }

  /** The last column takes all that is left, commas too. */
  private static Row row(int number, String kind, String line, List<String> columns) {
    String[] parts = line.split(",", columns.size());
    Map<String, String> cells = new HashMap<>();
    for (int index = 0; index < parts.length; index++) {
      boolean words = columns.get(index).equals("text");
      cells.put(columns.get(index), words ? parts[index] : parts[index].strip());
    }
    return new Row(number, kind, cells);
  }
}
