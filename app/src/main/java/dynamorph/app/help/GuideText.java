package dynamorph.app.help;

import dynamorph.formats.guide.GuideBlock;
import dynamorph.formats.guide.GuideLink;
import dynamorph.formats.guide.GuidePage;
import dynamorph.formats.guide.GuideRun;
import dynamorph.formats.guide.GuideSection;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.function.Consumer;
import javafx.geometry.Insets;
import javafx.scene.Node;
import javafx.scene.control.Hyperlink;
import javafx.scene.control.Label;
import javafx.scene.layout.ColumnConstraints;
import javafx.scene.layout.GridPane;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.Region;
import javafx.scene.layout.VBox;
import javafx.scene.text.Text;
import javafx.scene.text.TextFlow;

/** A page of the guide, set in one column. */
final class GuideText extends VBox {
  private static final double INDENT = 16;

  private final Map<String, Node> headings = new HashMap<>();
  private final Consumer<GuideLink> go;

  /**
   * @param go follows a link
   */
  GuideText(GuidePage page, Consumer<GuideLink> go) {
    super(8);
    this.go = go;
    getStyleClass().add("guide-text");
    page.sections().forEach(this::add);
  }

  /** The heading at an anchor. */
  Optional<Node> heading(String anchor) {
    return Optional.ofNullable(headings.get(anchor));
  }

  private void add(GuideSection section) {
    Label title = new Label(section.title());
    title.getStyleClass().addAll("guide-title", "guide-title-" + Math.min(section.level(), 3));
    title.setWrapText(true);
    title.setMinHeight(Region.USE_PREF_SIZE);
    headings.put(section.anchor(), title);
    getChildren().add(title);
    section.blocks().forEach(block -> getChildren().add(node(block)));
  }

  private Node node(GuideBlock block) {
    return switch (block) {
      case GuideBlock.Paragraph paragraph -> flow(paragraph.runs());
      case GuideBlock.Entry entry -> entry(entry);
      case GuideBlock.Code code -> code(code.text());
      case GuideBlock.Table table -> table(table);
    };
  }

  private Node entry(GuideBlock.Entry entry) {
    Label mark = new Label(entry.mark());
    mark.setMinWidth(INDENT);
    TextFlow words = flow(entry.runs());
    HBox.setHgrow(words, Priority.ALWAYS);
    HBox row = new HBox(mark, words);
    setMargin(row, new Insets(0, 0, 0, (entry.depth() - 1) * INDENT));
    return row;
  }

  private static Node code(String text) {
    Label code = new Label(text);
    code.getStyleClass().addAll("guide-code", "guide-block");
    code.setWrapText(true);
    code.setMinHeight(Region.USE_PREF_SIZE);
    code.setMaxWidth(Double.MAX_VALUE);
    return code;
  }

  /** The first column is as wide as a third, the others share the rest. */
  private Node table(GuideBlock.Table table) {
    GridPane grid = new GridPane(10, 6);
    grid.getStyleClass().add("guide-table");
    int columns = table.rows().stream().mapToInt(List::size).max().orElse(1);
    for (int column = 0; column < columns; column++) {
      ColumnConstraints wide = new ColumnConstraints();
      wide.setPercentWidth(columns == 1 ? 100 : column == 0 ? 34 : 66.0 / (columns - 1));
      grid.getColumnConstraints().add(wide);
    }
    for (List<List<GuideRun>> row : table.rows()) {
      int at = grid.getRowCount();
      for (int column = 0; column < row.size(); column++) {
        TextFlow cell = flow(row.get(column));
        if (at == 0) {
          cell.getStyleClass().add("guide-head");
        }
        grid.add(cell, column, at);
      }
    }
    return grid;
  }

  private TextFlow flow(List<GuideRun> runs) {
    TextFlow flow = new TextFlow();
    flow.setMinWidth(0);
    for (GuideRun run : runs) {
      flow.getChildren().add(run.link().<Node>map(to -> link(run, to)).orElseGet(() -> words(run)));
    }
    return flow;
  }

  private static Text words(GuideRun run) {
    Text text = new Text(run.text());
    text.getStyleClass()
        .addAll(
            "guide-words",
            switch (run.look()) {
              case PLAIN -> "guide-plain";
              case STRONG, EMPHASIS -> "guide-strong";
              case CODE -> "guide-code";
            });
    return text;
  }

  private Hyperlink link(GuideRun run, GuideLink to) {
    Hyperlink link = new Hyperlink(run.text());
    link.setOnAction(_ -> go.accept(to));
    return link;
  }
}
