package dynamorph.model.document.mapping;

import dynamorph.model.document.WrittenParagraph;
import dynamorph.model.style.StyleId;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;

/**
 * A part of a document that stands together.
 *
 * @param name its first words
 * @param blocks its paragraphs, cut where they follow another text style
 */
public record Section(String name, List<Block> blocks) {
  /** The longest name of a section, in UTF-16 units. */
  private static final int LONGEST_NAME = 60;

  /**
   * Paragraphs that stand in one text.
   *
   * @param follows the text style of that text, if they want one
   */
  public record Block(Optional<StyleId> follows, List<WrittenParagraph> paragraphs) {
    public Block {
      paragraphs = List.copyOf(paragraphs);
    }
  }

  public Section {
    blocks = List.copyOf(blocks);
  }

  /** Its paragraphs in one piece. */
  public List<WrittenParagraph> paragraphs() {
    return blocks.stream().flatMap(block -> block.paragraphs().stream()).toList();
  }

  /**
   * The sections of a document. Paragraphs without words are left out: in most documents they are
   * there for their height, which is a matter of styles here.
   *
   * @param beginning key of the style whose paragraphs begin one; the whole document is one if
   *     empty
   */
  public static List<Section> of(MappedDocument mapped, Optional<String> beginning) {
    List<List<WrittenParagraph>> parts = new ArrayList<>();
    boolean begun = false;
    for (WrittenParagraph paragraph : mapped.document().paragraphs()) {
      if (paragraph.isEmpty()) {
        continue;
      }
      boolean begins = beginning.filter(paragraph.style()::equals).isPresent();
      // headings that stand below each other begin one section
      boolean inRow = begins && begun;
      if (parts.isEmpty() || begins && !inRow) {
        parts.add(new ArrayList<>());
      }
      begun = begins;
      parts.getLast().add(paragraph);
    }
    return parts.stream().map(part -> new Section(name(part), blocks(mapped, part))).toList();
  }

  private static String name(List<WrittenParagraph> part) {
    String words = part.getFirst().text().replace('\u2028', ' ').replace('\t', ' ').strip();
    if (words.length() <= LONGEST_NAME) {
      return words;
    }
    int space = words.lastIndexOf(' ', LONGEST_NAME);
    int end = space > LONGEST_NAME / 2 ? space : LONGEST_NAME;
    return words.substring(0, Character.isLowSurrogate(words.charAt(end)) ? end - 1 : end);
  }

  private static List<Block> blocks(MappedDocument mapped, List<WrittenParagraph> part) {
    List<Block> blocks = new ArrayList<>();
    List<WrittenParagraph> block = new ArrayList<>();
    Optional<StyleId> follows = Optional.empty();
    for (WrittenParagraph paragraph : part) {
      Optional<StyleId> wanted = mapped.textStyle(paragraph);
      if (!block.isEmpty() && !wanted.equals(follows)) {
        blocks.add(new Block(follows, block));
        block = new ArrayList<>();
      }
      follows = wanted;
      block.add(paragraph);
    }
    blocks.add(new Block(follows, block));
    return blocks;
  }
}
