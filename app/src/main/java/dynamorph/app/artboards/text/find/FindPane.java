package dynamorph.app.artboards.text.find;

import dynamorph.app.artboards.stage.StageView;
import dynamorph.app.field.Controls;
import dynamorph.app.field.Tips;
import dynamorph.app.message.Messages;
import dynamorph.app.session.Notice;
import dynamorph.app.session.Selection;
import dynamorph.app.session.Workspace;
import dynamorph.model.Layer;
import dynamorph.model.edit.text.ReplaceWords;
import dynamorph.model.reach.WordSearch;
import dynamorph.model.style.Style;
import dynamorph.model.text.WordQuery;
import java.util.List;
import java.util.Optional;
import javafx.collections.FXCollections;
import javafx.geometry.Pos;
import javafx.scene.control.Button;
import javafx.scene.control.CheckBox;
import javafx.scene.control.ComboBox;
import javafx.scene.control.Label;
import javafx.scene.control.ListCell;
import javafx.scene.control.ListView;
import javafx.scene.control.TextField;
import javafx.scene.input.KeyCode;
import javafx.scene.input.KeyEvent;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.Region;
import javafx.scene.layout.VBox;
import javafx.scene.text.Text;
import javafx.scene.text.TextFlow;
import org.kordamp.ikonli.feather.Feather;

/**
 * Finds words in the whole project, or only in text that follows a style, and replaces them in one
 * place or in all. The list shows each place in its sentence before anything is changed.
 */
public final class FindPane extends VBox {
  private static final double WIDTH = 330;
  private static final double LIST_HEIGHT = 190;

  /** Letters shown before and behind what was found. */
  private static final int CONTEXT = 22;

  private final Workspace workspace;
  private final StageView stage;
  private final TextField words = new TextField();
  private final TextField replacement = new TextField();
  private final CheckBox matchCase = new CheckBox(Messages.of("find-pane.match-case"));
  private final CheckBox wholeWords = new CheckBox(Messages.of("find-pane.whole-words"));
  private final ComboBox<Optional<Style>> style =
      Controls.styles(Messages.of("find-pane.any-style-or-none"));
  private final Label count = new Label();
  private final ListView<WordSearch.Hit> list = new ListView<>();
  private final Button one = new Button(Messages.of("find-pane.replace"));
  private final Button all = new Button(Messages.of("find-pane.replace-all"));

  public FindPane(Workspace workspace, StageView stage) {
    super(8);
    this.workspace = workspace;
    this.stage = stage;
    getStyleClass().add("find-pane");
    setId("find-pane");
    setMaxSize(WIDTH, Region.USE_PREF_SIZE);
    setPrefWidth(WIDTH);
    words.setId("find-words");
    words.setPromptText(Messages.of("find-pane.find"));
    words.setAccessibleText(Messages.of("find-pane.find"));
    replacement.setId("find-replacement");
    replacement.setPromptText(Messages.of("find-pane.replace-with"));
    replacement.setAccessibleText(Messages.of("find-pane.replace-with"));
    Tips.on(style, Messages.of("find-pane.only-in-text-that-follows-this"));
    style.setMaxWidth(Double.MAX_VALUE);
    style.setId("find-style");
    count.getStyleClass().add("quiet");
    count.setId("find-count");
    list.setPrefHeight(LIST_HEIGHT);
    list.setId("find-list");
    list.setCellFactory(_ -> new HitCell());
    list.setPlaceholder(new Label(""));
    one.setId("replace-one");
    all.setId("replace-all");
    getChildren().addAll(head(), words, replacement, options(), styleRow(), list, foot());
    words.textProperty().addListener((_, _, _) -> search());
    matchCase.selectedProperty().addListener((_, _, _) -> search());
    wholeWords.selectedProperty().addListener((_, _, _) -> search());
    style.valueProperty().addListener((_, _, _) -> search());
    list.getSelectionModel().selectedItemProperty().addListener((_, _, hit) -> show(hit));
    workspace.historyProperty().addListener((_, _, _) -> searchIfOpen());
    words.setOnAction(_ -> step(1));
    replacement.setOnAction(_ -> replaceOne());
    one.setOnAction(_ -> replaceOne());
    all.setOnAction(_ -> replaceAll());
    addEventFilter(KeyEvent.KEY_PRESSED, this::keyPressed);
    setVisible(false);
    managedProperty().bind(visibleProperty());
  }

  private HBox head() {
    Label title = new Label(Messages.of("find-pane.find-and-replace"));
    title.getStyleClass().add("section-title");
    Region gap = new Region();
    HBox.setHgrow(gap, Priority.ALWAYS);
    Button close = Controls.icon(Feather.X, Messages.of("common.close-esc"), this::close);
    HBox head = new HBox(6, title, Controls.help("guide#write-in-place"), gap, count, close);
    head.setAlignment(Pos.CENTER_LEFT);
    return head;
  }

  private HBox options() {
    return new HBox(14, matchCase, wholeWords);
  }

  private HBox styleRow() {
    Label label = new Label(Messages.of("find-pane.in-text-that-follows"));
    label.getStyleClass().add("row-label");
    label.setMinWidth(Region.USE_PREF_SIZE);
    HBox.setHgrow(style, Priority.ALWAYS);
    HBox row = new HBox(8, label, style);
    row.setAlignment(Pos.CENTER_LEFT);
    return row;
  }

  private HBox foot() {
    Button before =
        Controls.icon(
            Feather.CHEVRON_UP, Messages.of("find-pane.previous-shift-enter"), () -> step(-1));
    Button next =
        Controls.icon(Feather.CHEVRON_DOWN, Messages.of("find-pane.next-enter"), () -> step(1));
    Region gap = new Region();
    HBox.setHgrow(gap, Priority.ALWAYS);
    HBox foot = new HBox(6, before, next, gap, one, all);
    foot.setAlignment(Pos.CENTER_LEFT);
    return foot;
  }

  private void keyPressed(KeyEvent event) {
    if (event.getCode() == KeyCode.ESCAPE) {
      close();
      event.consume();
    } else if (event.getCode() == KeyCode.ENTER && event.isShiftDown()) {
      step(-1);
      event.consume();
    }
  }

  /** Opens with the words that are marked on the stage, if any are. */
  public void open() {
    Optional<Style> chosen = style.getValue() == null ? Optional.empty() : style.getValue();
    style.setItems(
        FXCollections.observableArrayList(
            java.util.stream.Stream.concat(
                    java.util.stream.Stream.of(Optional.<Style>empty()),
                    workspace.project().styles().stream().map(Optional::of))
                .toList()));
    style.setValue(chosen.flatMap(known -> workspace.project().styles().find(known.id())));
    marked().ifPresent(words::setText);
    setVisible(true);
    words.requestFocus();
    words.selectAll();
    search();
  }

  private Optional<String> marked() {
    return workspace
        .selection()
        .cursor()
        .filter(cursor -> !cursor.range().isEmpty())
        .flatMap(cursor ->
            workspace
                .project()
                .layer(cursor.layer())
                .map(layer -> layer.story().text(cursor.range().within(layer.story().all()))))
        .filter(text -> text.indexOf('\n') < 0);
  }

  private void close() {
    setVisible(false);
    stage.requestFocus();
  }

  private void searchIfOpen() {
    if (isVisible()) {
      search();
    }
  }

  private void search() {
    int selected = list.getSelectionModel().getSelectedIndex();
    List<WordSearch.Hit> hits = hits();
    list.getItems().setAll(hits);
    boolean asked = !words.getText().isEmpty() || chosenStyle().isPresent();
    count.setText(!asked ? "" : Messages.of("count.place", hits.size()));
    boolean nothing = hits.isEmpty() || words.getText().isEmpty();
    one.setDisable(nothing);
    all.setDisable(nothing);
    if (selected >= 0 && !hits.isEmpty()) {
      list.getSelectionModel().select(Math.min(selected, hits.size() - 1));
    }
  }

  private Optional<Style> chosenStyle() {
    return style.getValue() == null ? Optional.empty() : style.getValue();
  }

  private List<WordSearch.Hit> hits() {
    if (words.getText().isEmpty()) {
      return chosenStyle()
          .map(own -> WordSearch.following(workspace.project(), own.id()))
          .orElse(List.of());
    }
    WordQuery query =
        new WordQuery(words.getText(), matchCase.isSelected(), wholeWords.isSelected());
    return WordSearch.hits(workspace.project(), query, chosenStyle().map(Style::id));
  }

  private void show(WordSearch.Hit hit) {
    if (hit != null && workspace.project().layer(hit.layer()).isPresent()) {
      workspace
          .selectionProperty()
          .set(Selection.editing(hit.layer(), hit.range().start(), hit.range().end()));
      stage.reveal(hit.layer());
    }
  }

  private void step(int by) {
    int many = list.getItems().size();
    if (many > 0) {
      int now = list.getSelectionModel().getSelectedIndex();
      int next = now < 0 ? (by > 0 ? 0 : many - 1) : Math.floorMod(now + by, many);
      list.getSelectionModel().select(next);
      list.scrollTo(next);
    }
  }

  private void replaceOne() {
    WordSearch.Hit hit = list.getSelectionModel().getSelectedItem();
    if (one.isDisabled()) {
      return;
    }
    if (hit == null) {
      step(1);
      return;
    }
    workspace.apply(new ReplaceWords(List.of(hit), replacement.getText()));
  }

  private void replaceAll() {
    List<WordSearch.Hit> hits = hits();
    if (workspace.apply(new ReplaceWords(hits, replacement.getText()))) {
      String places = Messages.of("find-pane.place", hits.size());
      workspace.tell(
          Notice.offering(
              Messages.of("find-pane.replaced-in", places),
              Messages.of("common.undo"),
              workspace::undo));
    }
  }

  /** What was found in its sentence, and the text it stands in. */
  private final class HitCell extends ListCell<WordSearch.Hit> {
    @Override
    protected void updateItem(WordSearch.Hit hit, boolean empty) {
      super.updateItem(hit, empty);
      Optional<Layer> layer =
          empty || hit == null ? Optional.empty() : workspace.project().layer(hit.layer());
      setGraphic(layer.map(found -> content(found, hit)).orElse(null));
      setAccessibleText(layer.map(found -> found.name()).orElse(""));
    }

    private VBox content(Layer layer, WordSearch.Hit hit) {
      String text = layer.story().text();
      int start = Math.min(hit.range().start(), text.length());
      int end = Math.min(hit.range().end(), Math.min(text.length(), start + 60));
      Text before = piece(text.substring(Math.max(0, start - CONTEXT), start), "hit-context");
      Text found = piece(text.substring(start, end), "hit-words");
      Text after =
          piece(text.substring(end, Math.min(text.length(), end + CONTEXT)), "hit-context");
      TextFlow flow = new TextFlow(before, found, after);
      Label name =
          new Label(
              workspace
                      .project()
                      .artboardOf(layer.id())
                      .map(board -> board.name() + " \u00b7 ")
                      .orElse("")
                  + layer.name());
      name.getStyleClass().add("quiet");
      flow.setMaxHeight(18);
      return new VBox(1, flow, name);
    }

    private static Text piece(String words, String look) {
      Text piece = new Text(words.replace('\n', ' '));
      piece.getStyleClass().add(look);
      return piece;
    }
  }
}
