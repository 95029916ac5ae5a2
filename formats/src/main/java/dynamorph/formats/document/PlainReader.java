package dynamorph.formats.document;

import dynamorph.formats.file.PlainText;
import dynamorph.model.document.Role;
import dynamorph.model.document.WrittenDocument;
import dynamorph.model.property.PropertySet;
import java.io.IOException;
import java.util.ArrayList;
import java.util.List;

/**
 * Reads plain text: a paragraph a line; where lines were broken to a width and paragraphs are
 * parted by empty lines, the lines of a paragraph are joined.
 */
final class PlainReader {
  /** Lines that were broken to a width are about so long, in UTF-16 units. */
  private static final int SHORTEST_FULL = 45;

  private static final int LONGEST_FULL = 100;

  private PlainReader() {}

  static WrittenDocument read(String text, String name) throws IOException {
    DocumentBuilder into = new DocumentBuilder(name);
    String style = into.standard(Role.BODY);
    List<List<String>> blocks = blocks(PlainText.lines(text));
    boolean broken = isBroken(blocks);
    if (broken) {
      into.omit(Omitted.JOINED_LINES);
    }
    for (List<String> block : blocks) {
      for (String line : broken ? List.of(String.join(" ", block)) : block) {
        into.begin(style, PropertySet.EMPTY);
        into.words(line.stripTrailing(), List.of(), PropertySet.EMPTY);
      }
    }
    return into.build();
  }

  private static List<List<String>> blocks(List<String> lines) {
    List<List<String>> blocks = new ArrayList<>();
    List<String> block = new ArrayList<>();
    for (String line : lines) {
      if (line.isBlank()) {
        if (!block.isEmpty()) {
          blocks.add(block);
        }
        block = new ArrayList<>();
      } else {
        block.add(line.stripTrailing());
      }
    }
    if (!block.isEmpty()) {
      blocks.add(block);
    }
    return blocks;
  }

  /** Whether nearly all lines but the last of each block are about as long as each other. */
  private static boolean isBroken(List<List<String>> blocks) {
    int inner = 0;
    int full = 0;
    for (List<String> block : blocks) {
      for (String line : block.subList(0, block.size() - 1)) {
        inner++;
        full += line.length() >= SHORTEST_FULL && line.length() <= LONGEST_FULL ? 1 : 0;
      }
    }
    return inner > 0 && full >= 0.8 * inner;
  }
}
