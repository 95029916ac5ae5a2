package dynamorph.app.fonts;

import dynamorph.app.artboards.stage.StageView;
import dynamorph.app.field.Controls;
import dynamorph.app.field.Families;
import dynamorph.app.field.FontChooser;
import dynamorph.app.message.Messages;
import dynamorph.app.render.Studio;
import dynamorph.app.session.Notice;
import dynamorph.app.session.Workspace;
import dynamorph.model.LayerId;
import dynamorph.model.Project;
import dynamorph.model.edit.text.ReplaceFont;
import dynamorph.model.reach.FontUse;
import dynamorph.paint.scene.PlacedLayer;
import dynamorph.paint.scene.Scene;
import dynamorph.typeset.font.FontLibrary;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.TreeMap;
import java.util.function.Supplier;
import javafx.geometry.Pos;
import javafx.scene.control.Button;
import javafx.scene.control.Hyperlink;
import javafx.scene.control.Label;
import javafx.scene.control.ScrollPane;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.Region;
import javafx.scene.layout.VBox;

/**
 * Lists the families that the project asks for, the missing ones first, with what a replacement
 * would change, and the letters that no font has.
 */
public final class FontsPane extends VBox {
  private static final double WIDTH = 360;
  private static final double MOST_HEIGHT = 420;

  private final Workspace workspace;
  private final StageView stage;
  private final Supplier<Studio> studio;
  private final Families families;
  private final VBox rows = new VBox(10);

  public FontsPane(
      Workspace workspace, StageView stage, Supplier<Studio> studio, Families families) {
    super(8);
    this.workspace = workspace;
    this.stage = stage;
    this.studio = studio;
    this.families = families;
    getStyleClass().add("find-pane");
    setId("fonts-pane");
    setPrefWidth(WIDTH);
    setMaxSize(WIDTH, Region.USE_PREF_SIZE);
    HBox head =
        Controls.paneHead(
            Messages.of("fonts-pane.fonts-in-this-project"),
            "typesetting#fonts-dictionaries-patterns",
            this::close);
    ScrollPane scroll = new ScrollPane(rows);
    scroll.setFitToWidth(true);
    scroll.setMaxHeight(MOST_HEIGHT);
    scroll.setHbarPolicy(ScrollPane.ScrollBarPolicy.NEVER);
    getChildren().addAll(head, scroll);
    workspace.historyProperty().addListener((_, _, _) -> listIfOpen());
    stage.frameProperty().addListener((_, _, _) -> listIfOpen());
    Controls.closeOnEscape(this, this::close);
    setVisible(false);
    managedProperty().bind(visibleProperty());
  }

  /** Opens the list. */
  public void open() {
    setVisible(true);
    shown = Map.of();
    list();
    requestFocus();
  }

  private void close() {
    setVisible(false);
    stage.requestFocus();
  }

  private void listIfOpen() {
    if (isVisible()) {
      list();
    }
  }

  /** What is listed, so that it is made anew only when it changes. */
  private Map<String, Object> shown = Map.of();

  private void list() {
    Project project = workspace.project();
    FontUse use = FontUse.of(project);
    Map<Integer, List<LayerId>> letters = missingLetters();
    Map<String, Object> now = new TreeMap<>();
    use.families().forEach(family -> now.put(family, use.of(family)));
    now.put("", letters);
    if (now.equals(shown)) {
      return;
    }
    shown = now;
    rows.getChildren().clear();
    List<String> ordered = new ArrayList<>(use.families());
    ordered.sort(java.util.Comparator.comparing(family -> isThere(family)));
    ordered.forEach(family -> rows.getChildren().add(row(family, use.of(family))));
    letters.forEach((letter, layers) -> rows.getChildren().add(letterRow(letter, layers)));
  }

  private boolean isThere(String family) {
    return studio.get().fonts().has(family);
  }

  private VBox row(String family, FontUse.Use use) {
    Label name = new Label(family);
    name.getStyleClass().add("sub-title");
    Region gap = new Region();
    HBox.setHgrow(gap, Priority.ALWAYS);
    Button replace = new Button(Messages.of("fonts-pane.replace"));
    replace.setId("replace-font-" + family.toLowerCase(java.util.Locale.ROOT).replace(' ', '-'));
    HBox first = new HBox(8, name, gap, replace);
    first.setAlignment(Pos.CENTER_LEFT);
    boolean there = isThere(family);
    Label state =
        new Label(
            there
                ? Messages.of("fonts-pane.asked-for-by", users(use))
                : Messages.of(
                    "fonts-pane.not-on-this-machine-stands-in",
                    FontLibrary.SUBSTITUTE,
                    users(use)));
    state.getStyleClass().add(there ? "quiet" : "attention");
    state.setWrapText(true);
    replace.setOnAction(_ ->
        FontChooser.open(
            replace, families, Optional.of(family), chosen -> ask(first, family, use, chosen)));
    return new VBox(3, first, state);
  }

  private static String users(FontUse.Use use) {
    List<String> parts = new ArrayList<>();
    if (!use.styles().isEmpty()) {
      parts.add(Messages.of("count.style", use.styles().size()));
    }
    if (!use.layers().isEmpty()) {
      parts.add(Messages.of("count.text-by-hand", use.layers().size()));
    }
    return Messages.list(parts);
  }

  /** Says what would change, with the names, before it is done. */
  private void ask(HBox first, String family, FontUse.Use use, String chosen) {
    if (chosen.equalsIgnoreCase(family)) {
      return;
    }
    Project project = workspace.project();
    List<String> names = new ArrayList<>();
    use.styles()
        .forEach(id -> project.styles().find(id).ifPresent(style -> names.add(style.name())));
    use.layers().forEach(id -> project.layer(id).ifPresent(layer -> names.add(layer.name())));
    Label what = new Label(Messages.of("fonts-pane.changes", users(use), String.join(", ", names)));
    what.setWrapText(true);
    Button sure = new Button(Messages.of("fonts-pane.set-in", chosen));
    sure.setId("replace-font-sure");
    sure.getStyleClass().add("commit");
    Button no = new Button(Messages.of("fonts-pane.leave-it"));
    VBox row = (VBox) first.getParent();
    VBox question = new VBox(6, what, new HBox(8, sure, no));
    no.setOnAction(_ -> row.getChildren().remove(question));
    sure.setOnAction(_ -> {
      if (workspace.apply(new ReplaceFont(family, chosen))) {
        workspace.tell(
            Notice.offering(
                Messages.of("fonts-pane.is-set-in-now", family, chosen),
                Messages.of("common.undo"),
                workspace::undo));
      }
    });
    if (row.getChildren().size() > 2) {
      row.getChildren().remove(2);
    }
    row.getChildren().add(question);
    sure.requestFocus();
  }

  private Map<Integer, List<LayerId>> missingLetters() {
    Map<Integer, List<LayerId>> missing = new TreeMap<>();
    stage
        .whole()
        .ifPresent(scene -> {
          for (Scene.Board board : scene.boards()) {
            for (PlacedLayer text : board.texts()) {
              for (int letter : text.layout().missingGlyphs()) {
                missing.computeIfAbsent(letter, _ -> new ArrayList<>()).add(text.layer().id());
              }
            }
          }
        });
    return missing;
  }

  private HBox letterRow(int letter, List<LayerId> layers) {
    Label what =
        new Label(
            Messages.of(
                "fonts-pane.no-font-has",
                "U+%04X".formatted(letter),
                Character.getName(letter) == null
                    ? ""
                    : Character.getName(letter).toLowerCase(java.util.Locale.ROOT)));
    what.getStyleClass().add("attention");
    what.setWrapText(true);
    HBox.setHgrow(what, Priority.ALWAYS);
    Hyperlink go = new Hyperlink(Messages.of("fonts-pane.show", layers.size()));
    go.setMinWidth(Region.USE_PREF_SIZE);
    go.setOnAction(_ -> {
      workspace.select(layers);
      stage.reveal(layers.getFirst());
    });
    HBox row = new HBox(8, what, go);
    row.setAlignment(Pos.CENTER_LEFT);
    return row;
  }
}
