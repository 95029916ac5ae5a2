package dynamorph.app.field;

import dynamorph.app.message.Messages;
import dynamorph.typeset.font.FontFamily;
import dynamorph.typeset.font.FontTraits;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.concurrent.CompletableFuture;
import java.util.concurrent.ConcurrentHashMap;
import java.util.function.Consumer;
import javafx.application.Platform;
import javafx.collections.FXCollections;
import javafx.geometry.Insets;
import javafx.geometry.Pos;
import javafx.scene.Node;
import javafx.scene.control.ComboBox;
import javafx.scene.control.Label;
import javafx.scene.control.ListCell;
import javafx.scene.control.ListView;
import javafx.scene.control.TextField;
import javafx.scene.control.ToggleButton;
import javafx.scene.image.ImageView;
import javafx.scene.input.KeyCode;
import javafx.scene.input.KeyEvent;
import javafx.scene.layout.BorderPane;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.VBox;
import javafx.stage.Popup;
import org.jspecify.annotations.Nullable;
import org.kordamp.ikonli.feather.Feather;
import org.kordamp.ikonli.javafx.FontIcon;

/**
 * A list of families, each drawn with the selection's own words, that can be narrowed by name,
 * script, class, feature, and by what was used, chosen lately or marked.
 */
public final class FontChooser {
  private static final double WIDTH = 380;
  private static final double LIST_HEIGHT = 330;
  private static final double ROW_HEIGHT = 54;
  private static final int WORDS_WIDTH = 280;
  private static final int WORDS_HEIGHT = 28;
  private static final String ANY = Messages.of("font-chooser.any");

  /** Features that a family is chosen for, by what they are called. */
  private static final Map<String, String> FEATURES =
      new java.util.TreeMap<>(
          Map.of(
              Messages.of("font-chooser.small-capitals"), "smcp",
              Messages.of("font-chooser.old-style-figures"), "onum",
              Messages.of("font-chooser.tabular-figures"), "tnum",
              Messages.of("font-chooser.fractions"), "frac",
              Messages.of("font-chooser.swashes"), "swsh",
              Messages.of("font-chooser.discretionary-ligatures"), "dlig",
              Messages.of("font-chooser.stylistic-sets"), "ss01"));

  private final Families families;
  private final Consumer<String> choose;
  private final Popup popup = new Popup();
  private final TextField search = new TextField();
  private final ComboBox<String> script = new ComboBox<>();
  private final ComboBox<String> fontClass = new ComboBox<>();
  private final ComboBox<String> feature = new ComboBox<>();
  private final ToggleButton variable =
      chip(Messages.of("font-chooser.variable"), Messages.of("font-chooser.only-variable-fonts"));
  private final ToggleButton used =
      chip(
          Messages.of("font-chooser.in-this-project"),
          Messages.of("font-chooser.only-families-the-project-asks-for"));
  private final ToggleButton recent =
      chip(
          Messages.of("font-chooser.recent"),
          Messages.of("font-chooser.only-recently-used-families"));
  private final ToggleButton marked =
      chip(
          Messages.of("font-chooser.marked"),
          Messages.of("font-chooser.only-families-marked-with-a-star"));
  private final ListView<FontFamily> list = new ListView<>();
  private final Label state = new Label();
  private final Map<String, FontTraits> facts = new ConcurrentHashMap<>();
  private final String words;

  private FontChooser(Families families, Consumer<String> choose) {
    this.families = families;
    this.choose = choose;
    this.words = families.words();
  }

  /**
   * Opens the list below a node.
   *
   * @param current the family that shows as chosen
   * @param choose gets the family that is chosen
   */
  public static void open(
      Node below, Families families, Optional<String> current, Consumer<String> choose) {
    new FontChooser(families, choose).open(below, current);
  }

  private void open(Node below, Optional<String> current) {
    popup.setAutoHide(true);
    popup.setHideOnEscape(true);
    search.setId("font-search");
    search.setPromptText(Messages.of("font-chooser.find-a-family"));
    search.setAccessibleText(Messages.of("font-chooser.find-a-family"));
    search.textProperty().addListener((_, _, _) -> narrow());
    search.addEventFilter(KeyEvent.KEY_PRESSED, this::keyInSearch);
    List<String> scripts = new ArrayList<>(List.of(ANY));
    for (FontTraits.FontScript known : FontTraits.FontScript.values()) {
      scripts.add(name(known));
    }
    List<String> classes = new ArrayList<>(List.of(ANY));
    for (FontTraits.FontClass known : FontTraits.FontClass.values()) {
      classes.add(name(known));
    }
    List<String> features = new ArrayList<>(List.of(ANY));
    features.addAll(FEATURES.keySet());
    fill(script, scripts, "font-script");
    fill(fontClass, classes, "font-class");
    fill(feature, features, "font-feature");
    for (ToggleButton filter : List.of(variable, used, recent, marked)) {
      filter.setOnAction(_ -> {
        narrow();
        // what is typed next is a name
        search.requestFocus();
      });
    }
    list.setId("font-list");
    list.setFixedCellSize(ROW_HEIGHT);
    list.setPrefHeight(LIST_HEIGHT);
    list.setCellFactory(_ -> new FamilyCell());
    list.setPlaceholder(new Label(Messages.of("font-chooser.no-family-is-like-that")));
    list.addEventHandler(
        KeyEvent.KEY_PRESSED,
        event -> {
          if (event.getCode() == KeyCode.ENTER) {
            take(list.getSelectionModel().getSelectedItem());
          }
        });
    state.getStyleClass().add("quiet");
    GridRow filters =
        new GridRow(
            row(Messages.of("font-chooser.script"), script),
            row(Messages.of("font-chooser.class"), fontClass),
            row(Messages.of("font-chooser.with"), feature));
    VBox content =
        new VBox(8, search, filters, new HBox(4, variable, used, recent, marked), list, state);
    content.getStyleClass().add("font-chooser");
    content.setPadding(new Insets(12));
    content.setPrefWidth(WIDTH);
    content.getStylesheets().setAll(below.getScene().getStylesheets());
    popup.getContent().add(content);
    narrow();
    list.getItems().stream()
        .filter(family -> current.filter(family.name()::equals).isPresent())
        .findFirst()
        .ifPresent(family -> {
          list.getSelectionModel().select(family);
          list.scrollTo(Math.max(0, list.getItems().indexOf(family) - 2));
        });
    var corner = below.localToScreen(0, below.getBoundsInLocal().getHeight() + 4);
    popup.show(below, Math.max(0, corner.getX() - WIDTH + 180), corner.getY());
    search.requestFocus();
  }

  /** Three labelled boxes beside each other. */
  private static final class GridRow extends HBox {
    GridRow(Node... parts) {
      super(8, parts);
      for (Node part : parts) {
        HBox.setHgrow(part, Priority.ALWAYS);
      }
    }
  }

  private static VBox row(String label, ComboBox<String> box) {
    box.setMaxWidth(Double.MAX_VALUE);
    box.setPrefWidth(110);
    Label name = Controls.rowLabel(label);
    return new VBox(2, name, box);
  }

  private void fill(ComboBox<String> box, List<String> options, String id) {
    box.setItems(FXCollections.observableArrayList(options));
    box.setValue(ANY);
    box.setId(id);
    box.valueProperty().addListener((_, _, _) -> narrow());
  }

  private static ToggleButton chip(String name, String help) {
    ToggleButton chip = new ToggleButton(name);
    chip.getStyleClass().add("fold-chip");
    Tips.on(chip, help);
    return chip;
  }

  private static String name(Enum<?> constant) {
    return constant.name().toLowerCase(Locale.ROOT).replace('_', ' ');
  }

  private void keyInSearch(KeyEvent event) {
    int at = list.getSelectionModel().getSelectedIndex();
    switch (event.getCode()) {
      case DOWN -> list.getSelectionModel().select(Math.min(at + 1, list.getItems().size() - 1));
      case UP -> list.getSelectionModel().select(Math.max(0, at - 1));
      case ENTER -> {
        FontFamily selected = list.getSelectionModel().getSelectedItem();
        take(
            selected == null && !list.getItems().isEmpty() ? list.getItems().getFirst() : selected);
      }
      default -> {
        return;
      }
    }
    list.scrollTo(Math.max(0, list.getSelectionModel().getSelectedIndex() - 2));
    event.consume();
  }

  private void take(FontFamily family) {
    if (family != null) {
      popup.hide();
      families.chosen(family.name());
      choose.accept(family.name());
    }
  }

  private boolean asksForFacts() {
    return variable.isSelected()
        || !ANY.equals(script.getValue())
        || !ANY.equals(fontClass.getValue())
        || !ANY.equals(feature.getValue());
  }

  private void narrow() {
    if (asksForFacts() && facts.isEmpty()) {
      state.setText(Messages.of("font-chooser.reading-the-fonts"));
      CompletableFuture.runAsync(() -> {
        for (FontFamily family : families.all()) {
          try {
            facts.put(family.name(), families.facts(family.name()));
          } catch (RuntimeException damaged) {
            // a font that cannot be read has no facts, and so is not found by them
          }
        }
        Platform.runLater(this::narrow);
      });
      return;
    }
    List<String> lately = families.recent();
    List<FontFamily> shown = families.all().stream().filter(this::isWanted).toList();
    if (recent.isSelected()) {
      shown =
          shown.stream()
              .filter(family -> lately.contains(family.name()))
              .sorted(Comparator.comparingInt(family -> lately.indexOf(family.name())))
              .toList();
    }
    list.getItems().setAll(shown);
    state.setText(Messages.of("count.family", shown.size()));
  }

  private boolean isWanted(FontFamily family) {
    String wanted = search.getText().strip().toLowerCase(Locale.ROOT);
    return family.name().toLowerCase(Locale.ROOT).contains(wanted)
        && (!used.isSelected() || families.used().contains(family.name()))
        && (!marked.isSelected() || families.favourites().contains(family.name()))
        && (!asksForFacts() || suits(facts.get(family.name())));
  }

  private boolean suits(@Nullable FontTraits known) {
    return known != null
        && (!variable.isSelected() || known.variable())
        && (ANY.equals(script.getValue())
            || known.scripts().stream().anyMatch(own -> name(own).equals(script.getValue())))
        && (ANY.equals(fontClass.getValue())
            || name(known.fontClass()).equals(fontClass.getValue()))
        && (ANY.equals(feature.getValue())
            || known.features().contains(FEATURES.get(feature.getValue())));
  }

  /** A family with the selection's own words in it. */
  private final class FamilyCell extends ListCell<FontFamily> {
    private final ImageView picture = new ImageView();
    private final Label name = new Label();
    private final ToggleButton star = new ToggleButton("", new FontIcon(Feather.STAR));
    private final BorderPane row = new BorderPane();

    FamilyCell() {
      picture.setFitWidth(WORDS_WIDTH);
      picture.setFitHeight(WORDS_HEIGHT);
      name.getStyleClass().add("quiet");
      star.getStyleClass().add("star");
      star.setFocusTraversable(false);
      Tips.on(star, Messages.of("font-chooser.mark-this-family"));
      star.setOnAction(_ -> families.favour(getItem().name(), star.isSelected()));
      row.setCenter(new VBox(picture, name));
      row.setRight(star);
      BorderPane.setAlignment(star, Pos.CENTER);
      setOnMouseClicked(_ -> take(getItem()));
    }

    @Override
    protected void updateItem(FontFamily family, boolean empty) {
      super.updateItem(family, empty);
      if (empty || family == null) {
        setGraphic(null);
        return;
      }
      name.setText(
          family.name()
              + switch (family.origin()) {
                case PROJECT -> Messages.of("font-chooser.travels-in-the-project");
                case SHIPPED -> Messages.of("font-chooser.comes-with-dynamorph");
                case INSTALLED -> "";
              });
      star.setSelected(families.favourites().contains(family.name()));
      families.show(picture, family.name(), words, WORDS_WIDTH, WORDS_HEIGHT);
      setGraphic(row);
      setAccessibleText(family.name());
    }
  }
}
