package dynamorph.app.window;

import dynamorph.app.action.Action;
import dynamorph.app.action.Actions;
import dynamorph.app.field.Tips;
import dynamorph.app.message.Messages;
import dynamorph.app.session.Workspace;
import dynamorph.model.Artboard;
import dynamorph.model.Layer;
import dynamorph.model.style.Style;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.Comparator;
import java.util.List;
import java.util.Locale;
import java.util.stream.Stream;
import javafx.geometry.Pos;
import javafx.scene.control.Label;
import javafx.scene.control.ListCell;
import javafx.scene.control.ListView;
import javafx.scene.control.TextField;
import javafx.scene.input.KeyCode;
import javafx.scene.input.KeyEvent;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.Region;
import javafx.stage.Popup;

/** Finds actions, styles, texts, and what else is given to it, by their words. */
public final class CommandSearch extends TextField {
  private static final int MOST = 12;
  private static final double ROW_HEIGHT = 28;

  private final Workspace workspace;
  private final Actions actions;
  private final java.util.function.Consumer<Layer> reveal;
  private final List<SearchResult.Source> sources = new ArrayList<>();
  private SearchResult.Source guide = _ -> Stream.empty();
  private final Popup popup = new Popup();
  private final ListView<SearchResult> results = new ListView<>();

  /**
   * @param reveal shows a text on the stage
   */
  public CommandSearch(
      Workspace workspace, Actions actions, java.util.function.Consumer<Layer> reveal) {
    this.workspace = workspace;
    this.actions = actions;
    this.reveal = reveal;
    setAccessibleText(Messages.of("command-search.find-an-action-or-a-text-2"));
    setId("search");
    setPrefWidth(240);
    getStyleClass().add("command-search");
    results.setCellFactory(_ -> new ResultCell());
    results.getStyleClass().add("search-results");
    results.setPrefWidth(340);
    results.setFixedCellSize(ROW_HEIGHT);
    results.setFocusTraversable(false);
    results.setOnMouseClicked(_ -> choose());
    popup.getContent().add(results);
    popup.setAutoHide(true);
    popup.setHideOnEscape(false);
    // the list would take this key, which comes to it before the field
    popup.addEventFilter(
        KeyEvent.KEY_PRESSED,
        event -> {
          if (event.getCode() == KeyCode.ESCAPE) {
            keyPressed(event);
          }
        });
    textProperty().addListener((_, _, _) -> search());
    focusedProperty()
        .addListener((_, _, focused) -> {
          if (!focused) {
            popup.hide();
          }
        });
    addEventFilter(KeyEvent.KEY_PRESSED, this::keyPressed);
  }

  /** Finds other things too, behind actions and styles and before texts. */
  public void add(SearchResult.Source source) {
    sources.add(source);
  }

  /**
   * Finds what is written about something, last of all.
   *
   * @param source gives only what fits
   */
  public void setGuide(SearchResult.Source source) {
    guide = source;
  }

  /** Takes the keyboard; what was typed before is typed over. */
  public void begin() {
    requestFocus();
    selectAll();
  }

  private void keyPressed(KeyEvent event) {
    int index = results.getSelectionModel().getSelectedIndex();
    switch (event.getCode()) {
      case DOWN ->
          results.getSelectionModel().select(Math.min(index + 1, results.getItems().size() - 1));
      case UP -> results.getSelectionModel().select(Math.max(index - 1, 0));
      case ENTER -> choose();
      case ESCAPE -> {
        clear();
        popup.hide();
        getParent().requestFocus();
      }
      default -> {
        return;
      }
    }
    if (event.getCode() != KeyCode.ESCAPE || popup.isShowing()) {
      event.consume();
    }
  }

  private void choose() {
    SearchResult chosen = results.getSelectionModel().getSelectedItem();
    if (chosen != null) {
      popup.hide();
      clear();
      getParent().requestFocus();
      chosen.run().run();
    }
  }

  /** Says which keys begin a search. */
  void showKeys() {
    setPromptText(Tips.withKeys(Messages.of("command-search.find-an-action-or-a-text")));
  }

  private void search() {
    String wanted = getText().strip().toLowerCase(Locale.ROOT);
    if (wanted.isEmpty()) {
      popup.hide();
      return;
    }
    List<SearchResult> found =
        Stream.of(
                all().stream().filter(result -> matches(result, wanted)),
                sources.stream()
                    .flatMap(source -> source.results(wanted))
                    .filter(result -> matches(result, wanted)),
                texts(wanted),
                guide.results(wanted))
            .flatMap(results -> results)
            // la is more likely the beginning of a label than a part of play
            .sorted(Comparator.comparing(result -> !begins(result, wanted)))
            .limit(MOST)
            .toList();
    results.getItems().setAll(found);
    results.setPrefHeight(Math.max(1, found.size()) * ROW_HEIGHT + 4);
    results.setPlaceholder(new Label(Messages.of("command-search.nothing-is-called-that")));
    results.getSelectionModel().selectFirst();
    if (!popup.isShowing() && getScene() != null) {
      results.getStylesheets().setAll(getScene().getStylesheets());
      var corner = localToScreen(0, getHeight() + 4);
      popup.show(this, corner.getX(), corner.getY());
    }
  }

  /** Whether an action is only for films, and there is one to go to. */
  private boolean isInTheOtherView(Action action) {
    return action.id().startsWith("film.")
        && !workspace.playback().isOpen()
        && workspace.project().films().findAny().isPresent();
  }

  /** Whether the words of a result begin with what was typed. */
  private static boolean begins(SearchResult result, String wanted) {
    String text = " " + result.text().toLowerCase(Locale.ROOT);
    return Arrays.stream(wanted.split("\\s+")).allMatch(word -> text.contains(" " + word));
  }

  private static boolean matches(SearchResult result, String wanted) {
    return matches(result.text(), wanted);
  }

  private static boolean matches(String words, String wanted) {
    String text = words.toLowerCase(Locale.ROOT);
    for (String word : wanted.split("\\s+")) {
      if (!text.contains(word)) {
        return false;
      }
    }
    return true;
  }

  private List<SearchResult> all() {
    List<SearchResult> all = new ArrayList<>();
    for (Action action : actions.all()) {
      if (action.enabled().get()) {
        all.add(new SearchResult(action.name(), action.shortcutText(), action::run));
      } else if (isInTheOtherView(action)) {
        all.add(
            new SearchResult(
                action.name(),
                Messages.of("command-search.in-the-timeline"),
                () -> {
                  workspace.playback().open();
                  action.run();
                }));
      }
    }
    boolean selected = !workspace.selection().isEmpty();
    for (Style style : workspace.project().styles().list()) {
      if (selected) {
        all.add(
            new SearchResult(
                Messages.of("command-search.follow", style.name()),
                Messages.of("command-search.style"),
                () -> workspace.following().put(style.id(), false, false)));
      }
      all.add(
          new SearchResult(
              Messages.of("command-search.edit-style", style.name()),
              Messages.of("command-search.style"),
              () -> workspace.attempts().openDesk(style.id())));
    }
    return all;
  }

  /** Texts and shapes are found by their names too; one without words shows by its name. */
  private Stream<SearchResult> texts(String wanted) {
    return workspace.project().artboards().stream()
        .flatMap(board ->
            board.layers().stream()
                .map(layer -> text(board, layer))
                .filter(text -> matches(text.result.text() + " " + text.name, wanted))
                .sorted(Comparator.comparing(text -> !matches(text.name, wanted)))
                .map(text -> text.result));
  }

  private record Text(String name, SearchResult result) {}

  private Text text(Artboard board, Layer layer) {
    String first = layer.story().text().lines().findFirst().orElse("");
    String words = first.isBlank() ? layer.name() : first;
    return new Text(
        layer.name(),
        new SearchResult(
            words + " \u2013 " + board.name(),
            Messages.of("command-search.text"),
            () -> reveal.accept(layer)));
  }

  private static final class ResultCell extends ListCell<SearchResult> {
    @Override
    protected void updateItem(SearchResult item, boolean empty) {
      super.updateItem(item, empty);
      if (empty || item == null) {
        setGraphic(null);
        return;
      }
      Label text = new Label(item.text());
      text.setMinWidth(0);
      Label kind = new Label(item.kind());
      kind.getStyleClass().add("quiet");
      kind.setMinWidth(Region.USE_PREF_SIZE);
      Region gap = new Region();
      HBox.setHgrow(gap, Priority.ALWAYS);
      HBox row = new HBox(8, text, gap, kind);
      item.picture().ifPresent(picture -> row.getChildren().addFirst(picture.get()));
      row.setAlignment(Pos.CENTER_LEFT);
      row.setMaxWidth(310);
      setGraphic(row);
    }
  }
}
