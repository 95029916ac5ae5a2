package dynamorph.formats.guide;

import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import org.commonmark.ext.gfm.tables.TableBlock;
import org.commonmark.ext.gfm.tables.TableCell;
import org.commonmark.ext.gfm.tables.TableRow;
import org.commonmark.ext.gfm.tables.TablesExtension;
import org.commonmark.node.BulletList;
import org.commonmark.node.Code;
import org.commonmark.node.Emphasis;
import org.commonmark.node.FencedCodeBlock;
import org.commonmark.node.HardLineBreak;
import org.commonmark.node.Heading;
import org.commonmark.node.Image;
import org.commonmark.node.IndentedCodeBlock;
import org.commonmark.node.Link;
import org.commonmark.node.ListBlock;
import org.commonmark.node.ListItem;
import org.commonmark.node.Node;
import org.commonmark.node.OrderedList;
import org.commonmark.node.SoftLineBreak;
import org.commonmark.node.StrongEmphasis;
import org.commonmark.node.Text;
import org.commonmark.parser.Parser;

/** Reads pages of the guide, which are written in Markdown (CommonMark, with tables). */
public final class GuideReader {
  private static final String BULLET = "•";
  private static final Parser PARSER =
      Parser.builder().extensions(List.of(TablesExtension.create())).build();

  private final String page;
  private final List<GuideSection> sections = new ArrayList<>();
  private String title = "";
  private String anchor = "";
  private int level;
  private List<GuideBlock> blocks = new ArrayList<>();

  private GuideReader(String page) {
    this.page = page;
  }

  /**
   * Reads a page.
   *
   * @param id what links call it
   */
  public static GuidePage read(String id, String markdown) {
    GuideReader reader = new GuideReader(id);
    for (Node node : children(PARSER.parse(markdown))) {
      reader.block(node);
    }
    reader.finish();
    String title = reader.sections.stream().findFirst().map(GuideSection::title).orElse(id);
    return new GuidePage(id, title, List.copyOf(reader.sections));
  }

  private void block(Node node) {
    switch (node) {
      case Heading heading -> begin(heading);
      case ListBlock list -> entries(list, 1);
      case FencedCodeBlock code ->
          blocks.add(new GuideBlock.Code(code.getLiteral().stripTrailing()));
      case IndentedCodeBlock code ->
          blocks.add(new GuideBlock.Code(code.getLiteral().stripTrailing()));
      case TableBlock table -> blocks.add(table(table));
      default -> {
        List<GuideRun> runs = runs(node);
        if (!runs.isEmpty()) {
          blocks.add(new GuideBlock.Paragraph(runs));
        }
      }
    }
  }

  private void begin(Heading heading) {
    finish();
    title = GuideRun.text(runs(heading));
    anchor = anchor(title);
    level = heading.getLevel();
  }

  private void finish() {
    if (!title.isEmpty() || !blocks.isEmpty()) {
      sections.add(new GuideSection(page, anchor, title, level, List.copyOf(blocks)));
    }
    blocks = new ArrayList<>();
  }

  /** What links call a heading. */
  static String anchor(String title) {
    return title
        .toLowerCase(Locale.ROOT)
        .replaceAll("[^\\p{L}\\p{N} _-]", "")
        .strip()
        .replace(' ', '-');
  }

  private void entries(ListBlock list, int depth) {
    int number =
        list instanceof OrderedList ordered && ordered.getMarkerStartNumber() != null
            ? ordered.getMarkerStartNumber()
            : 1;
    for (Node item : children(list)) {
      String mark = list instanceof BulletList ? BULLET : number++ + ".";
      for (Node part : children((ListItem) item)) {
        if (part instanceof ListBlock inner) {
          entries(inner, depth + 1);
        } else {
          blocks.add(new GuideBlock.Entry(mark, depth, runs(part)));
          mark = "";
        }
      }
    }
  }

  private GuideBlock table(TableBlock table) {
    List<List<List<GuideRun>>> rows = new ArrayList<>();
    for (Node part : children(table)) {
      for (Node row : children(part)) {
        if (row instanceof TableRow) {
          rows.add(
              children(row).stream().filter(TableCell.class::isInstance).map(this::runs).toList());
        }
      }
    }
    return new GuideBlock.Table(rows);
  }

  // --- words

  private List<GuideRun> runs(Node of) {
    List<GuideRun> runs = new ArrayList<>();
    for (Node node : children(of)) {
      add(runs, node, GuideRun.Look.PLAIN, Optional.empty());
    }
    return List.copyOf(runs);
  }

  private void add(List<GuideRun> runs, Node node, GuideRun.Look look, Optional<GuideLink> link) {
    switch (node) {
      case Text text -> runs.add(new GuideRun(text.getLiteral(), look, link));
      case Code code -> runs.add(new GuideRun(code.getLiteral(), GuideRun.Look.CODE, link));
      case SoftLineBreak _, HardLineBreak _ -> runs.add(new GuideRun(" ", look, link));
      case StrongEmphasis strong -> inside(runs, strong, GuideRun.Look.STRONG, link);
      case Emphasis emphasis -> inside(runs, emphasis, GuideRun.Look.EMPHASIS, link);
      case Link to -> inside(runs, to, look, inGuide(to.getDestination()));
      case Image _ -> {} // pictures are those of the window that is open anyway
      default -> inside(runs, node, look, link);
    }
  }

  private void inside(
      List<GuideRun> runs, Node node, GuideRun.Look look, Optional<GuideLink> link) {
    children(node).forEach(child -> add(runs, child, look, link));
  }

  /** Only what is beside the page leads anywhere. */
  private Optional<GuideLink> inGuide(String destination) {
    boolean beside = !destination.contains("/") && !destination.contains(":");
    boolean page = destination.startsWith("#") || destination.contains(".md");
    return beside && page ? Optional.of(GuideLink.of(destination, this.page)) : Optional.empty();
  }

  private static List<Node> children(Node node) {
    List<Node> children = new ArrayList<>();
    for (Node child = node.getFirstChild(); child != null; child = child.getNext()) {
      children.add(child);
    }
    return children;
  }
}
