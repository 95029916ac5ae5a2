package dynamorph.app.styles.column;

import dynamorph.app.field.Tips;
import dynamorph.app.message.Messages;
import dynamorph.app.session.Workspace;
import dynamorph.app.shelf.ShelfKeeper;
import dynamorph.app.shelf.ShelfLooks;
import dynamorph.app.styles.specimen.Specimens;
import dynamorph.model.Project;
import dynamorph.model.cascade.Cascade;
import dynamorph.model.edit.Target;
import dynamorph.model.property.PropertySet;
import dynamorph.model.reach.StyleFilter;
import dynamorph.model.style.Style;
import dynamorph.shelf.Shelf;
import dynamorph.shelf.entry.Kept;
import dynamorph.shelf.order.NearLooks;
import java.util.HashSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import javafx.animation.PauseTransition;
import javafx.css.PseudoClass;
import javafx.geometry.Point2D;
import javafx.geometry.Pos;
import javafx.scene.AccessibleRole;
import javafx.scene.control.ContentDisplay;
import javafx.scene.control.Label;
import javafx.scene.control.ListCell;
import javafx.scene.control.ListView;
import javafx.scene.input.KeyEvent;
import javafx.scene.input.MouseButton;
import javafx.scene.input.MouseEvent;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.Region;
import javafx.util.Duration;
import org.kordamp.ikonli.feather.Feather;
import org.kordamp.ikonli.javafx.FontIcon;

/**
 * The looks on the shelf, by group, as cards or as a compact list. Resting on one shows the
 * selection in it; a click brings it into the project and lets the selection follow it. Only what
 * is in sight is drawn, so that thousands of looks are no more work than ten.
 */
final class ShelfList extends ListView<ShelfList.Row> {
  private static final Duration REST = Duration.millis(150);
  private static final double NAME_WIDTH = 118;
  private static final double DRAG_THRESHOLD = 6;
  private static final PseudoClass DENSE = PseudoClass.getPseudoClass("dense");

  /** A line of the list. */
  sealed interface Row {
    record Head(String group, int size, boolean open) implements Row {}

    record Look(Kept.OfStyle kept) implements Row {}

    record Near(NearLooks near) implements Row {}
  }

  private final Workspace workspace;
  private final ShelfKeeper keeper;
  private final ShelfLooks looks;
  private final Specimens specimens;
  private final ShelfMenu menu;
  private final Set<String> shut = new HashSet<>();
  private final PauseTransition rest = new PauseTransition(REST);
  private Project drawn = Project.empty("");
  private Optional<Shelf> drawnOf = Optional.empty();
  private Cascade cascade = Cascade.of(drawn);
  private List<Listed> all = List.of();
  private StyleFilter wanted = StyleFilter.of("");
  private boolean onlyMissing;
  private boolean compact;
  private final ShelfArrangement arrangement;

  ShelfList(
      Workspace workspace,
      ShelfKeeper keeper,
      ShelfLooks looks,
      Specimens specimens,
      ShelfMenu menu) {
    this.workspace = workspace;
    this.keeper = keeper;
    this.looks = looks;
    this.specimens = specimens;
    this.menu = menu;
    this.arrangement = new ShelfArrangement(keeper, this::isVisible, this::fill);
    setId("shelf-list");
    getStyleClass().add("shelf-list");
    setAccessibleText(Messages.of("shelf-list.looks-on-the-shelf"));
    setCellFactory(_ -> new Cell());
    Label empty = new Label();
    empty.setWrapText(true);
    empty.getStyleClass().addAll("quiet", "empty-state");
    setPlaceholder(empty);
    addEventHandler(KeyEvent.KEY_PRESSED, this::keyPressed);
    getSelectionModel()
        .selectedItemProperty()
        .addListener((_, _, row) -> {
          if (isFocused()) {
            preview(row);
          }
        });
    focusedProperty()
        .addListener((_, _, focused) -> {
          if (!focused) {
            workspace.endPreview();
          }
        });
    keeper
        .shelfProperty()
        .addListener((_, _, _) -> {
          arrangement.seek();
          fill();
        });
    keeper.followedProperty().addListener((_, _, _) -> refresh());
    workspace
        .selectionProperty()
        .addListener((_, _, _) -> {
          if (inSelectedWords && isVisible()) {
            refresh();
          }
        });
  }

  /**
   * What is listed.
   *
   * @param words in the name, group, tags, note or family, and values such as {@code size>40}
   * @param missing only what the project has not
   */
  void list(String words, boolean missing, boolean dense) {
    boolean other = dense != compact;
    wanted = StyleFilter.of(words);
    onlyMissing = missing;
    compact = dense;
    pseudoClassStateChanged(DENSE, dense);
    fill();
    if (other) {
      refresh();
    }
  }

  private boolean inSelectedWords;

  /** Shows the looks in the words that are selected, where there are some. */
  void showInSelectedWords(boolean wanted) {
    inSelectedWords = wanted;
    refresh();
  }

  /** A look with the words that it is shown in. */
  private Style worded(Style style) {
    return inSelectedWords ? selectedWords().map(style::withSample).orElse(style) : style;
  }

  private Optional<String> selectedWords() {
    Project project = workspace.project();
    return workspace.texts().stream()
        .flatMap(id -> project.layer(id).stream())
        .map(layer -> layer.story().text().strip())
        .filter(words -> !words.isEmpty())
        .findFirst()
        .map(words -> words.lines().findFirst().orElse(words));
  }

  private Optional<LookCarrier> carrier = Optional.empty();

  /** Gives what carries looks to other places. */
  void setCarrier(LookCarrier given) {
    carrier = Optional.of(given);
  }

  /** In which order they are listed, and which of them. */
  ShelfArrangement arrangement() {
    return arrangement;
  }

  private void fill() {
    if (!isVisible()) {
      return;
    }
    Shelf shelf = keeper.shelf();
    if (drawnOf.filter(one -> one == shelf).isEmpty()) {
      drawnOf = Optional.of(shelf);
      drawn = shelf.asProject();
      cascade = cascade.follow(drawn);
      all = shelf.styles().stream().map(this::listed).toList();
    }
    List<Row> rows =
        arrangement.rows(
            shelf,
            all.stream().filter(this::isWanted).map(Listed::kept).toList(),
            group -> !shut.contains(group) || !wanted.isEmpty());
    ((Label) getPlaceholder())
        .setText(
            !keeper.placeProperty().get().isReachable()
                ? Messages.of("shelf-keeper.away", keeper.placeProperty().get().path())
                : all.isEmpty()
                    ? Messages.of("shelf-list.nothing-yet")
                    : onlyMissing && wanted.isEmpty()
                        ? Messages.of("shelf-list.all-in-project")
                        : arrangement.nothing(wanted.isEmpty()));
    if (!rows.equals(getItems())) {
      rest.stop();
      getItems().setAll(rows);
    }
  }

  /** A look with the words that it is found by. */
  private record Listed(Kept.OfStyle kept, String words) {}

  private Listed listed(Kept.OfStyle kept) {
    return new Listed(
        kept, FoundBy.words(kept.style(), value(kept.style()), String.join(" ", kept.tags())));
  }

  private boolean isWanted(Listed one) {
    return !(onlyMissing && looks.inProject(one.kept().id()).isPresent())
        && wanted.fits(one.words(), value(one.kept().style()));
  }

  private PropertySet value(Style style) {
    return drawn.styles().find(style.id()).map(cascade::values).orElse(PropertySet.EMPTY);
  }

  private void preview(Row row) {
    if (row instanceof Row.Look(Kept.OfStyle kept)) {
      looks.preview(kept);
    } else {
      workspace.endPreview();
    }
  }

  private void keyPressed(KeyEvent event) {
    Row row = getSelectionModel().getSelectedItem();
    switch (row) {
      case Row.Head(String group, int _, boolean _) -> {
        switch (event.getCode()) {
          case ENTER, SPACE -> flip(group);
          default -> {
            return;
          }
        }
      }
      case Row.Look(Kept.OfStyle kept) -> {
        switch (event.getCode()) {
          case ENTER -> looks.apply(kept);
          case F2 -> menu.rename(kept);
          case DELETE, BACK_SPACE -> menu.delete(List.of(kept));
          case CONTEXT_MENU -> menu.of(kept).show(this, javafx.geometry.Side.RIGHT, 0, 0);
          default -> {
            return;
          }
        }
      }
      case Row.Near _ -> {
        return;
      }
      case null -> {
        return;
      }
    }
    event.consume();
  }

  private void flip(String group) {
    if (!shut.remove(group)) {
      shut.add(group);
    }
    fill();
  }

  private final class Cell extends ListCell<Row> {
    private final StyleCard card = new StyleCard();
    private final Label name = new Label();
    private final Label family = new Label();
    private final Label mark = new Label();
    private final FontIcon there = new FontIcon(Feather.CHECK);
    private final HBox chips = new HBox(2);
    private final HBox line = new HBox(6, name, family, new Region(), chips, mark, there);

    Cell() {
      setContentDisplay(ContentDisplay.GRAPHIC_ONLY);
      // as wide as the list, however long the words are
      setPrefWidth(0);
      card.setFocusTraversable(false);
      name.setMinWidth(Region.USE_PREF_SIZE);
      name.setMaxWidth(NAME_WIDTH);
      name.getStyleClass().add("style-name");
      chips.setAlignment(Pos.CENTER_RIGHT);
      chips.setMinWidth(Region.USE_PREF_SIZE);
      family.getStyleClass().add("quiet");
      family.setMinWidth(0);
      mark.getStyleClass().add("quiet");
      mark.setMinWidth(Region.USE_PREF_SIZE);
      HBox.setHgrow(line.getChildren().get(2), Priority.ALWAYS);
      line.setAlignment(Pos.CENTER_LEFT);
      line.getStyleClass().add("shelf-line");
      line.setMaxWidth(StyleCard.WIDTH);
      setOnMouseEntered(_ -> rested());
      setOnMouseExited(_ -> {
        rest.stop();
        workspace.endPreview();
      });
      setOnMouseClicked(this::clicked);
      setOnMousePressed(event -> pressedAt = new Point2D(event.getSceneX(), event.getSceneY()));
      setOnMouseDragged(this::dragged);
      setOnMouseReleased(this::released);
      setOnContextMenuRequested(event -> {
        rest.stop();
        if (getItem() instanceof Row.Look(Kept.OfStyle kept)) {
          menu.of(kept).show(this, event.getScreenX(), event.getScreenY());
        } else if (getItem() instanceof Row.Head head) {
          menu.of(head.group()).show(this, event.getScreenX(), event.getScreenY());
        }
        event.consume();
      });
    }

    private void rested() {
      Row row = getItem();
      rest.setOnFinished(_ -> preview(row));
      rest.playFromStart();
    }

    private Point2D pressedAt = Point2D.ZERO;
    private boolean carried;
    private Optional<Target.Layers> over = Optional.empty();

    private void dragged(MouseEvent event) {
      Point2D now = new Point2D(event.getSceneX(), event.getSceneY());
      if (carrier.isEmpty()
          || !event.isPrimaryButtonDown()
          || !(getItem() instanceof Row.Look(Kept.OfStyle kept))
          || !carried && now.distance(pressedAt) < DRAG_THRESHOLD) {
        return;
      }
      if (!carried) {
        carried = true;
        rest.stop();
        workspace.endPreview();
        carrier.get().pick(this);
      }
      carrier.get().move(now);
      Optional<Target.Layers> texts = carrier.get().textsAt(now);
      if (!texts.equals(over)) {
        over = texts;
        texts.ifPresentOrElse(target -> looks.preview(kept, target), workspace::endPreview);
      }
      event.consume();
    }

    private void released(MouseEvent event) {
      if (!carried) {
        return;
      }
      carried = false;
      over = Optional.empty();
      workspace.endPreview();
      LookCarrier by = carrier.orElseThrow();
      by.letGo();
      Point2D at = new Point2D(event.getSceneX(), event.getSceneY());
      if (getItem() instanceof Row.Look(Kept.OfStyle kept)) {
        by.textsAt(at)
            .ifPresentOrElse(
                target -> looks.apply(kept, target),
                () -> {
                  if (by.isProjectAt(at)) {
                    looks.take(List.of(kept.id()));
                  }
                });
      }
      event.consume();
    }

    private void clicked(MouseEvent event) {
      if (event.getButton() != MouseButton.PRIMARY || !event.isStillSincePress()) {
        return;
      }
      switch (getItem()) {
        case Row.Head head -> flip(head.group());
        case Row.Look(Kept.OfStyle kept) -> {
          rest.stop();
          if (event.getClickCount() == 1) {
            looks.apply(kept);
          }
        }
        case Row.Near _ -> {}
        case null -> {}
      }
    }

    @Override
    protected void updateItem(Row row, boolean empty) {
      super.updateItem(row, empty);
      setText(null);
      setAccessibleRole(AccessibleRole.LIST_ITEM);
      switch (empty ? null : row) {
        case Row.Head(String group, int size, boolean open) -> {
          GroupHead head = new GroupHead(workspace, group, () -> {});
          head.show(size, open);
          head.setMouseTransparent(true);
          head.setFocusTraversable(false);
          setAccessibleText(group);
          setGraphic(head);
        }
        case Row.Look(Kept.OfStyle kept) -> show(kept);
        case Row.Near(NearLooks alike) -> {
          setAccessibleText(Messages.of("shelf-show.near"));
          setGraphic(
              new NearHead(alike, keeper.isWritable(), into -> arrangement.merge(alike, into)));
        }
        case null -> {
          setAccessibleText(null);
          setGraphic(null);
        }
      }
    }

    private void show(Kept.OfStyle kept) {
      Style style = kept.style();
      String where = where(kept);
      setId("shelf-" + kept.id());
      setAccessibleText(Messages.of("shelf-list.look", style.name(), style.level().label(), where));
      if (compact) {
        LookSummary summary = LookSummary.of(value(style), drawn.palette());
        name.setText(style.name());
        family.setText(summary.letters());
        boolean newer = where.equals(Messages.of("shelf-list.newer"));
        mark.setText(newer ? where : "");
        there.setVisible(!newer && !where.isEmpty());
        chips.getChildren().setAll(summary.chips());
        Tips.on(line, style.name());
        setGraphic(line);
        return;
      }
      int versions = keeper.shelf().find(kept.id()).map(one -> one.versions().size()).orElse(0);
      card.show(StyleCard.Content.onShelf(style, versions, where));
      Style shown = worded(drawn.styles().find(style.id()).orElse(style));
      specimens.showAlone(
          card.specimen,
          drawn,
          cascade,
          shown,
          (int) StyleCard.WIDTH - 2,
          (int) StyleCard.SPECIMEN_HEIGHT);
      setGraphic(card);
    }

    /** Whether the project has it too. */
    private String where(Kept.OfStyle kept) {
      return looks
          .inProject(kept.id())
          .flatMap(keeper::of)
          .map(update -> update.isNewer() ? Messages.of("shelf-list.newer") : StyleCard.IN_PROJECT)
          .orElse("");
    }
  }
}
