package dynamorph.app;

import java.awt.image.BufferedImage;
import java.io.IOException;
import java.io.OutputStream;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.stream.IntStream;
import javafx.scene.Node;
import javafx.scene.Parent;
import javafx.scene.control.Labeled;
import javafx.scene.control.TextInputControl;
import javax.imageio.IIOImage;
import javax.imageio.ImageIO;
import javax.imageio.ImageTypeSpecifier;
import javax.imageio.ImageWriter;
import javax.imageio.metadata.IIOMetadata;
import javax.imageio.metadata.IIOMetadataNode;
import javax.imageio.stream.ImageInputStream;
import javax.imageio.stream.ImageOutputStream;

/**
 * The words that a window shows, one line for each control, kept in the picture that was taken of
 * it: in an {@code iTXt} chunk (W3C, <i>Portable Network Graphics</i>). A picture whose words are
 * not those of the window any more is out of date.
 */
final class ShownWords {
  private static final String FORMAT = "javax_imageio_png_1.0";
  private static final String KEYWORD = "shown";

  private ShownWords() {}

  /** The words of what can be seen below a node, in its order. */
  static List<String> of(Node root) {
    List<String> words = new ArrayList<>();
    collect(root, words);
    return words;
  }

  private static void collect(Node node, List<String> words) {
    if (!node.isVisible() || node.getOpacity() == 0) {
      return;
    }
    String text =
        switch (node) {
          case Labeled labeled -> labeled.getText();
          case TextInputControl field when !field.getText().isEmpty() -> field.getText();
          case TextInputControl field -> field.getPromptText();
          default -> null;
        };
    if (text != null && !text.isBlank()) {
      words.add(text.strip().replaceAll("\\s+", " "));
    }
    if (node instanceof Parent parent) {
      parent.getChildrenUnmodifiable().forEach(child -> collect(child, words));
    }
  }

  /** Writes a PNG that carries its words. */
  static void write(BufferedImage picture, List<String> words, OutputStream stream)
      throws IOException {
    ImageWriter writer = ImageIO.getImageWritersByFormatName("png").next();
    IIOMetadata metadata =
        writer.getDefaultImageMetadata(ImageTypeSpecifier.createFromRenderedImage(picture), null);
    IIOMetadataNode entry = new IIOMetadataNode("iTXtEntry");
    entry.setAttribute("keyword", KEYWORD);
    entry.setAttribute("compressionFlag", "TRUE");
    entry.setAttribute("compressionMethod", "0");
    entry.setAttribute("languageTag", "en");
    entry.setAttribute("translatedKeyword", "");
    entry.setAttribute("text", String.join("\n", words));
    IIOMetadataNode texts = new IIOMetadataNode("iTXt");
    texts.appendChild(entry);
    IIOMetadataNode root = new IIOMetadataNode(FORMAT);
    root.appendChild(texts);
    metadata.mergeTree(FORMAT, root);
    try (ImageOutputStream out = ImageIO.createImageOutputStream(stream)) {
      writer.setOutput(out);
      writer.write(new IIOImage(picture, null, metadata));
    } finally {
      writer.dispose();
    }
  }

  /** The words that a PNG carries; none if it has none. */
  static List<String> read(Path png) throws IOException {
    try (ImageInputStream in = ImageIO.createImageInputStream(Files.newInputStream(png))) {
      var reader = ImageIO.getImageReadersByFormatName("png").next();
      reader.setInput(in);
      var entries =
          ((IIOMetadataNode) reader.getImageMetadata(0).getAsTree(FORMAT))
              .getElementsByTagName("iTXtEntry");
      List<String> words =
          IntStream.range(0, entries.getLength())
              .mapToObj(index -> (IIOMetadataNode) entries.item(index))
              .filter(entry -> entry.getAttribute("keyword").equalsIgnoreCase(KEYWORD))
              .flatMap(entry -> entry.getAttribute("text").lines())
              .toList();
      reader.dispose();
      return words;
    }
  }
}
