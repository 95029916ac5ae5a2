package dynamorph.formats.document;

import dynamorph.model.document.WrittenDocument;
import java.io.IOException;
import java.util.List;
import org.commonmark.ext.gfm.strikethrough.StrikethroughExtension;
import org.commonmark.ext.gfm.tables.TablesExtension;
import org.commonmark.parser.Parser;
import org.commonmark.renderer.html.HtmlRenderer;

/**
 * Reads Markdown (CommonMark 0.31 with tables and strikethrough) as the page that it stands for.
 */
final class MarkdownReader {
  /** Blocks in each other, at most. */
  private static final int DEEPEST = 60;

  private MarkdownReader() {}

  static WrittenDocument read(String text, String name) throws IOException {
    var extensions = List.of(TablesExtension.create(), StrikethroughExtension.create());
    Parser parser = Parser.builder().extensions(extensions).maxOpenBlockParsers(DEEPEST).build();
    HtmlRenderer renderer = HtmlRenderer.builder().extensions(extensions).build();
    String html = renderer.render(parser.parse(withoutHead(text)));
    // struck words are no deleted ones here
    return HtmlReader.read(html.replace("<del>", "<s>").replace("</del>", "</s>"), name);
  }

  /** Without what tools write between lines of hyphens at the top. */
  private static String withoutHead(String text) {
    if (!text.startsWith("---\n") && !text.startsWith("---\r\n")) {
      return text;
    }
    int end = text.indexOf("\n---", 3);
    int line = end < 0 ? -1 : text.indexOf('\n', end + 1);
    return line < 0 ? text : text.substring(line + 1);
  }
}
