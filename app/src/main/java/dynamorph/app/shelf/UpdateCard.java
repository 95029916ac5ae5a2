package dynamorph.app.shelf;

import dynamorph.app.message.Messages;
import dynamorph.model.value.Rgba;
import dynamorph.shelf.Shelf;
import dynamorph.shelf.entry.Version;
import dynamorph.shelf.follow.Part;
import dynamorph.shelf.follow.PartWords;
import dynamorph.shelf.follow.Update;
import java.util.ArrayList;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.function.Consumer;
import javafx.geometry.Pos;
import javafx.geometry.VPos;
import javafx.scene.Node;
import javafx.scene.control.CheckBox;
import javafx.scene.control.Label;
import javafx.scene.control.RadioButton;
import javafx.scene.control.ToggleGroup;
import javafx.scene.layout.FlowPane;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.Region;
import javafx.scene.layout.VBox;
import javafx.scene.paint.Color;
import javafx.scene.shape.Rectangle;

/** One style or swatch in which project and shelf differ, with a tick at each value. */
final class UpdateCard extends VBox {
  private static final double CHIP = 12;

  private final Update update;
  private final PartWords words;
  private final boolean takes;
  private final Set<Part> ticked = new LinkedHashSet<>();
  private final CheckBox whole = new CheckBox();
  private final Consumer<Optional<Set<Part>>> changed;
  private final List<Node> values = new ArrayList<>();

  /**
   * @param takes whether values go from the shelf into the project, or the other way
   * @param changed told which parts are ticked; empty if the style is not
   */
  UpdateCard(
      Update update,
      Shelf shelf,
      boolean takes,
      Set<Part> ticked,
      Consumer<Optional<Set<Part>>> changed) {
    super(4);
    this.update = update;
    this.words = new PartWords(shelf);
    this.takes = takes;
    this.changed = changed;
    this.ticked.addAll(ticked);
    getStyleClass().add("update-card");
    setId("update-" + update.entry().id());
    getChildren().add(head());
    told().ifPresent(getChildren()::add);
    for (Update.Difference difference : takes ? update.toTake() : update.toPut()) {
      Node row = difference.isConflict() ? conflict(difference) : value(difference);
      values.add(row);
      getChildren().add(row);
    }
  }

  private Node head() {
    whole.setText(update.mine().name());
    whole.setSelected(true);
    whole.getStyleClass().add("section-title");
    whole.setMinWidth(0);
    whole.setOnAction(_ -> {
      values.forEach(row -> row.setDisable(!whole.isSelected()));
      tell();
    });
    HBox.setHgrow(whole, Priority.ALWAYS);
    whole.setMaxWidth(Double.MAX_VALUE);
    List<Version> versions = update.entry().versions();
    int now = versions.size();
    int then =
        update.taken().map(version -> versions.indexOf(version) + 1).filter(at -> at > 0).orElse(0);
    Label range =
        new Label(
            takes && then > 0
                ? Messages.of("update-card.versions", then, now)
                : Messages.of("update-card.version", now));
    range.getStyleClass().add("quiet");
    range.setMinWidth(Region.USE_PREF_SIZE);
    HBox row = new HBox(6, whole, range);
    row.setAlignment(Pos.CENTER_LEFT);
    return row;
  }

  /** Who changed it on the shelf, when and why. */
  private Optional<Node> told() {
    Version newest = update.newest();
    if (!takes || newest.author().isEmpty()) {
      return Optional.empty();
    }
    String who = Messages.of("update-card.by", newest.author(), Messages.time(newest.time()));
    Label label =
        new Label(newest.note().isEmpty() ? who : "\u201c" + newest.note() + "\u201d\n" + who);
    label.getStyleClass().add("quiet");
    label.setWrapText(true);
    label.setMinHeight(Region.USE_PREF_SIZE);
    return Optional.of(label);
  }

  private Node value(Update.Difference difference) {
    CheckBox tick = new CheckBox(PartWords.label(difference.part()));
    tick.setSelected(ticked.contains(difference.part()));
    tick.setWrapText(true);
    tick.setMinHeight(Region.USE_PREF_SIZE);
    tick.setOnAction(_ -> set(difference.part(), tick.isSelected()));
    Object from = takes ? difference.mine() : difference.shelf();
    Object to = takes ? difference.shelf() : difference.mine();
    HBox change =
        new HBox(
            6, said(difference.part(), from), new Label("\u2192"), said(difference.part(), to));
    change.setAlignment(Pos.CENTER_LEFT);
    FlowPane row = new FlowPane(8, 2, tick, change);
    row.setRowValignment(VPos.CENTER);
    return row;
  }

  /** A value that both sides changed: one of the two is chosen. */
  private Node conflict(Update.Difference difference) {
    Label label = new Label(PartWords.label(difference.part()));
    Label told = new Label(Messages.of("update-card.both"));
    told.getStyleClass().add("problem-text");
    told.setWrapText(true);
    HBox head = new HBox(6, label, told);
    head.setAlignment(Pos.CENTER_LEFT);
    ToggleGroup sides = new ToggleGroup();
    RadioButton mine = new RadioButton(Messages.of("update-card.mine"));
    RadioButton shelf = new RadioButton(Messages.of("update-card.shelf"));
    mine.setToggleGroup(sides);
    shelf.setToggleGroup(sides);
    boolean over = ticked.contains(difference.part());
    (over == takes ? shelf : mine).setSelected(true);
    mine.setOnAction(_ -> set(difference.part(), !takes));
    shelf.setOnAction(_ -> set(difference.part(), takes));
    HBox own = new HBox(6, mine, said(difference.part(), difference.mine()));
    HBox theirs = new HBox(6, shelf, said(difference.part(), difference.shelf()));
    own.setAlignment(Pos.CENTER_LEFT);
    theirs.setAlignment(Pos.CENTER_LEFT);
    VBox choice = new VBox(2, own, theirs);
    VBox both = new VBox(2, head, choice);
    // in line with the words beside the ticks
    both.getStyleClass().add("update-values");
    return both;
  }

  private void set(Part part, boolean on) {
    if (on) {
      ticked.add(part);
    } else {
      ticked.remove(part);
    }
    tell();
  }

  private void tell() {
    changed.accept(whole.isSelected() ? Optional.of(Set.copyOf(ticked)) : Optional.empty());
  }

  private Node said(Part part, Object value) {
    Label label = new Label(words.text(part, value));
    label.setWrapText(true);
    label.setMinWidth(0);
    words
        .colour(value)
        .ifPresent(colour -> {
          Rectangle chip = new Rectangle(CHIP, CHIP, paint(colour));
          chip.getStyleClass().add("colour-chip");
          label.setGraphic(chip);
        });
    return label;
  }

  private static Color paint(Rgba colour) {
    return Color.rgb(colour.red(), colour.green(), colour.blue(), colour.alpha() / 255.0);
  }
}
