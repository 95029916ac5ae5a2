package dynamorph.formats.table;

import dynamorph.formats.file.Incoming;
import dynamorph.formats.file.PlainText;
import dynamorph.formats.file.SafeFile;
import dynamorph.formats.message.Messages;
import dynamorph.model.Artboard;
import dynamorph.model.Layer;
import dynamorph.model.LayerId;
import dynamorph.model.Project;
import dynamorph.model.edit.text.ReplaceStories;
import dynamorph.model.text.Story;
import dynamorph.typeset.caption.CueText;
import java.io.IOException;
import java.io.StringReader;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Set;
import org.apache.commons.csv.CSVFormat;
import org.apache.commons.csv.CSVParser;
import org.apache.commons.csv.CSVRecord;

/**
 * The words of all texts as a table for translators and proofreaders: CSV (RFC 4180) in UTF-8 with
 * the columns {@code id}, {@code words} and {@code note}. Nothing but the words comes back.
 */
public final class WordTable {
  private static final String ID = "id";
  private static final String WORDS = "words";
  private static final String NOTE = "note";
  private static final long LARGEST = 64L << 20;

  /** A cell that begins so is run by spreadsheets unless an apostrophe stands before it. */
  private static final String FORMULA = "=+-@\t\r";

  private WordTable() {}

  /**
   * What a table does to a project.
   *
   * @param edit puts the words in
   * @param changed how many texts have other words then
   * @param unchanged how many rows say what is there
   * @param remarks what could not be taken over, a line each
   */
  public record Imported(ReplaceStories edit, int changed, int unchanged, List<String> remarks) {}

  // --- writing --------------------------------------------------------------------------------

  /**
   * Writes the words of all texts, beside its place first and then moved there.
   *
   * @throws IOException if it cannot be written; what was there before is still there
   */
  public static void write(Project project, Path file) throws IOException {
    byte[] bytes = ("\uFEFF" + of(project)).getBytes(StandardCharsets.UTF_8);
    SafeFile.write(file, out -> out.write(bytes));
  }

  /** The table as text. */
  public static String of(Project project) {
    StringBuilder table = new StringBuilder();
    CSVFormat format = CSVFormat.RFC4180;
    table.append(format.format(ID, WORDS, NOTE)).append("\r\n");
    for (Artboard board : project.artboards()) {
      for (Layer layer : board.layers()) {
        if (layer.isText() && !layer.story().text().isEmpty()) {
          table
              .append(
                  format.format(
                      layer.id().value(),
                      guarded(CueText.inLines(layer.story())),
                      guarded(board.name() + " / " + layer.name())))
              .append("\r\n");
        }
      }
    }
    return table.toString();
  }

  /** With an apostrophe before what a spreadsheet would run, or would take for such a mark. */
  public static String guarded(String cell) {
    boolean risky = !cell.isEmpty() && (FORMULA.indexOf(cell.charAt(0)) >= 0 || isGuarded(cell));
    return risky ? "'" + cell : cell;
  }

  /** The cell as it was before it was guarded. */
  public static String unguarded(String cell) {
    return isGuarded(cell) ? cell.substring(1) : cell;
  }

  private static boolean isGuarded(String cell) {
    int marks = 0;
    while (marks < cell.length() && cell.charAt(marks) == '\'') {
      marks++;
    }
    return marks > 0 && marks < cell.length() && FORMULA.indexOf(cell.charAt(marks)) >= 0;
  }

  // --- reading --------------------------------------------------------------------------------

  /**
   * Reads a table that came back.
   *
   * @throws IOException saying what is wrong, if it is missing, too large or no table of words
   */
  public static Imported read(Path file, Project project) throws IOException {
    String name = String.valueOf(file.getFileName());
    return parse(PlainText.decode(Incoming.bytes(file, LARGEST)), name, project);
  }

  /** Reads the text of a table. */
  static Imported parse(String text, String name, Project project) throws IOException {
    if (text.isBlank()) {
      throw new IOException(Messages.of("table-reader.the-table-is-empty", name));
    }
    String head = text.lines().filter(line -> !line.isBlank()).findFirst().orElse("");
    try (CSVParser parser =
        CSVFormat.DEFAULT
            .builder()
            .setDelimiter(TableReader.delimiter(head))
            .setIgnoreEmptyLines(true)
            .get()
            .parse(new StringReader(text))) {
      return read(parser, name, project);
    } catch (UncheckedIOException | IllegalStateException broken) {
      throw new IOException(name + ": " + broken.getMessage(), broken);
    }
  }

  private static Imported read(CSVParser parser, String name, Project project) throws IOException {
    int id = -1;
    int words = -1;
    boolean begun = false;
    List<String> remarks = new ArrayList<>();
    Map<LayerId, Layer> layers = new HashMap<>();
    project.layers().filter(Layer::isText).forEach(layer -> layers.put(layer.id(), layer));
    Map<LayerId, Story> stories = new LinkedHashMap<>();
    Set<LayerId> seen = new HashSet<>();
    int unchanged = 0;
    for (CSVRecord found : parser) {
      long line = parser.getCurrentLineNumber();
      if (!begun) {
        List<String> columns =
            found.toList().stream().map(one -> one.strip().toLowerCase(Locale.ROOT)).toList();
        id = columns.indexOf(ID);
        words = columns.indexOf(WORDS);
        if (id < 0 || words < 0) {
          throw new IOException(
              Messages.of("word-table.needs-columns", name, String.join(", ", columns)));
        }
        begun = true;
        continue;
      }
      if (found.size() <= Math.max(id, words)) {
        remarks.add(Messages.of("word-table.row-is-short", line));
        continue;
      }
      LayerId layer = id(found.get(id).strip());
      Layer there = layers.get(layer);
      if (there == null) {
        remarks.add(Messages.of("word-table.no-such-text", line, found.get(id).strip()));
      } else if (!seen.add(layer)) {
        remarks.add(Messages.of("word-table.twice", line, layer));
      } else {
        Story told = CueText.retoldInLines(there.story(), unguarded(found.get(words)));
        if (told.equals(there.story())) {
          unchanged++;
        } else {
          stories.put(layer, told);
        }
      }
    }
    int missing =
        (int)
            layers.values().stream()
                .filter(layer -> !layer.story().text().isEmpty() && !seen.contains(layer.id()))
                .count();
    if (missing > 0) {
      remarks.add(Messages.of("word-table.not-in-the-table", missing));
    }
    return new Imported(
        new ReplaceStories(stories, Messages.of("word-table.import-words-of")),
        stories.size(),
        unchanged,
        remarks);
  }

  /** An id that cannot be one names no text. */
  private static LayerId id(String text) {
    try {
      return new LayerId(text);
    } catch (IllegalArgumentException none) {
      return new LayerId("none");
    }
  }
}
