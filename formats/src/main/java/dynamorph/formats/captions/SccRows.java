package dynamorph.formats.captions;

import java.util.ArrayList;
import java.util.List;
import java.util.Set;

/** The words of a cue as rows of cells: letters, and the codes that change how they look. */
final class SccRows {
  /**
   * A cell.
   *
   * @param letter a letter that there is a code for; −1 for a code that takes a cell
   * @param code where {@code letter} is −1
   */
  record Cell(int letter, int code) {
    boolean isSpace() {
      return letter == ' ';
    }
  }

  /**
   * A row.
   *
   * @param pen what its first letter looks like
   * @param cells without the codes for that
   */
  record Row(Cea608.Pen pen, List<Cell> cells) {
    /** Codes that come before the letters and take a cell each, unless the row begins with them. */
    List<Integer> codes() {
      return between(Cea608.Pen.PLAIN, pen);
    }

    int length() {
      return cells.size();
    }
  }

  /** A letter and what it looks like. */
  private record Glyph(int letter, Cea608.Pen pen) {}

  private SccRows() {}

  /**
   * The rows of a cue, which may be more than a page has; a line that is too long goes on in the
   * next.
   *
   * @param missing takes letters that there is no code for
   */
  static List<Row> of(WrittenCue cue, Set<String> missing) {
    List<Row> rows = new ArrayList<>();
    for (List<Glyph> line : lines(cue, missing)) {
      List<Glyph> rest = stripped(byWord(line));
      while (!rest.isEmpty()) {
        int taken = fitting(rest);
        rows.add(row(stripped(rest.subList(0, taken))));
        rest = stripped(rest.subList(taken, rest.size()));
      }
    }
    return rows;
  }

  private static List<List<Glyph>> lines(WrittenCue cue, Set<String> missing) {
    List<List<Glyph>> lines = new ArrayList<>();
    lines.add(new ArrayList<>());
    for (WrittenCue.Base base : cue.bases()) {
      Cea608.Pen pen = Cea608.Pen.PLAIN;
      for (WrittenCue.Run run : base.runs()) {
        pen =
            new Cea608.Pen(
                run.colour().map(Cea608.COLOURS::nearest).orElse(0), run.italic(), run.underline());
        add(lines, run.text(), pen, missing);
      }
      if (!base.ruby().isEmpty()) {
        add(lines, "(" + base.ruby() + ")", pen, missing);
      }
    }
    return lines;
  }

  private static void add(
      List<List<Glyph>> lines, String text, Cea608.Pen pen, Set<String> missing) {
    text.codePoints()
        .forEach(letter -> {
          if (letter == 0x2028) {
            lines.add(new ArrayList<>());
          } else if (letter < 0x20 || Character.isSpaceChar(letter)) {
            lines.getLast().add(new Glyph(' ', pen));
          } else if (isKnown(letter)) {
            lines.getLast().add(new Glyph(letter, pen));
          } else if (Character.getType(letter) != Character.FORMAT) {
            String instead = Cea608.instead(letter);
            missing.add(Character.toString(letter));
            (instead.isEmpty() ? "?" : instead)
                .codePoints()
                .forEach(one -> lines.getLast().add(new Glyph(one, pen)));
          }
        });
  }

  private static boolean isKnown(int letter) {
    return Cea608.basic(letter) >= 0 || Cea608.code(letter) >= 0;
  }

  /**
   * Signs at a word look like its letters if those look alike: a code takes a cell, which would
   * part the word from them.
   */
  private static List<Glyph> byWord(List<Glyph> line) {
    List<Glyph> all = new ArrayList<>();
    int from = 0;
    while (from < line.size()) {
      int to = from + 1;
      while (to < line.size() && line.get(to).letter != ' ' && line.get(from).letter != ' ') {
        to++;
      }
      List<Glyph> word = line.subList(from, to);
      List<Cea608.Pen> pens =
          word.stream()
              .filter(glyph -> Character.isLetterOrDigit(glyph.letter))
              .map(Glyph::pen)
              .distinct()
              .toList();
      if (pens.size() == 1) {
        word.forEach(glyph -> all.add(new Glyph(glyph.letter, pens.getFirst())));
      } else {
        all.addAll(word);
      }
      from = to;
    }
    return all;
  }

  private static List<Glyph> stripped(List<Glyph> line) {
    int from = 0;
    int to = line.size();
    while (from < to && line.get(from).letter == ' ') {
      from++;
    }
    while (to > from && line.get(to - 1).letter == ' ') {
      to--;
    }
    return line.subList(from, to);
  }

  /** How many letters of a line fit a row, up to a space if there is one. */
  private static int fitting(List<Glyph> line) {
    int most = line.size();
    int space = 0;
    for (int end = 1; end <= line.size(); end++) {
      Row row = row(stripped(line.subList(0, end)));
      if (row.length() + row.codes().size() > Cea608.COLUMNS) {
        most = end - 1;
        break;
      }
      if (end < line.size() && line.get(end).letter == ' ') {
        space = end;
      }
    }
    return most == line.size() ? most : space > 0 ? space : Math.max(1, most);
  }

  private static Row row(List<Glyph> line) {
    List<Cell> cells = new ArrayList<>();
    Cea608.Pen first = line.getFirst().pen;
    Cea608.Pen pen = first;
    for (Glyph glyph : line) {
      if (glyph.letter != ' ' && !glyph.pen.equals(pen)) {
        // the codes take the place of the space before the word
        if (!cells.isEmpty() && cells.getLast().isSpace()) {
          cells.removeLast();
        }
        between(pen, glyph.pen).forEach(code -> cells.add(new Cell(-1, code)));
        pen = glyph.pen;
      }
      cells.add(new Cell(glyph.letter, 0));
    }
    return new Row(first, cells);
  }

  /** Codes among letters that change their look. */
  private static List<Integer> between(Cea608.Pen from, Cea608.Pen to) {
    if (from.equals(to)) {
      return List.of();
    }
    boolean keeps = to.italic() && from.colour() == to.colour();
    if (keeps) {
      return List.of(Cea608.italics(to));
    }
    return to.italic() && to.colour() != 0
        ? List.of(Cea608.midRow(to), Cea608.italics(to))
        : to.italic() ? List.of(white(to), Cea608.italics(to)) : List.of(Cea608.midRow(to));
  }

  private static int white(Cea608.Pen pen) {
    return Cea608.midRow(new Cea608.Pen(0, false, pen.underline()));
  }
}
