package dynamorph.model;

import dynamorph.model.document.StyleMapping;
import dynamorph.model.document.WrittenParagraph;
import dynamorph.model.message.Messages;
import java.util.List;
import java.util.Objects;

/**
 * What a project remembers of a document that was imported, so that a later state of it can update
 * the words.
 *
 * @param name of its file
 * @param mapping what became of its styles
 * @param texts those that its words stand in, in the order of the document
 */
public record ImportedDocument(String name, StyleMapping mapping, List<Text> texts) {
  /**
   * A text with words of a document.
   *
   * @param paragraphs as the document had them
   */
  public record Text(LayerId layer, List<Words> paragraphs) {
    public Text {
      paragraphs = List.copyOf(paragraphs);
    }
  }

  /**
   * A paragraph as a document had it.
   *
   * @param style key of its paragraph style there
   */
  public record Words(String style, String text) {
    public static Words of(WrittenParagraph paragraph) {
      return new Words(paragraph.style(), paragraph.text());
    }
  }

  public ImportedDocument {
    Objects.requireNonNull(mapping, "mapping");
    texts = List.copyOf(texts);
    if (name.isEmpty()) {
      throw new IllegalArgumentException(Messages.of("imported-document.has-no-name"));
    }
  }
}
