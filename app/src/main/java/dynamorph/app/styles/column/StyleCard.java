package dynamorph.app.styles.column;

import dynamorph.app.field.Controls;
import dynamorph.app.field.Tips;
import dynamorph.app.message.Messages;
import dynamorph.model.style.ColourLabel;
import dynamorph.model.style.Style;
import java.util.List;
import java.util.Optional;
import javafx.css.PseudoClass;
import javafx.geometry.Pos;
import javafx.scene.AccessibleRole;
import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.image.ImageView;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.Region;
import javafx.scene.layout.StackPane;
import javafx.scene.layout.VBox;
import javafx.scene.paint.Color;
import javafx.scene.shape.Circle;
import javafx.scene.shape.Rectangle;
import org.kordamp.ikonli.feather.Feather;

/** A specimen with the style's name, level and counts. Knows nothing of what clicking it does. */
final class StyleCard extends HBox {
  static final double SPECIMEN_HEIGHT = 46;
  static final double WIDTH = 243;

  /** How far a derived style stands in from its base. */
  static final double INDENT = 14;

  private static final PseudoClass PICKED = PseudoClass.getPseudoClass("picked");
  private static final PseudoClass IN_USE = PseudoClass.getPseudoClass("followed");
  private static final PseudoClass CHOSEN = PseudoClass.getPseudoClass("chosen");
  private static final PseudoClass DROP_ABOVE = PseudoClass.getPseudoClass("drop-above");
  private static final PseudoClass DROP_BELOW = PseudoClass.getPseudoClass("drop-below");

  /** How a style is marked that is on the shelf as it is here. */
  static final String ON_SHELF = Messages.of("shelf-part.on-shelf");

  /** How a look on the shelf is marked that the project has as it is there. */
  static final String IN_PROJECT = Messages.of("shelf-list.in-project");

  private static final PseudoClass COMPACT = PseudoClass.getPseudoClass("compact");
  private static final PseudoClass SETTLED = PseudoClass.getPseudoClass("settled");
  private static final PseudoClass DROP_ON = PseudoClass.getPseudoClass("drop-on");

  final ImageView specimen = new ImageView();
  private final HBox actions = new HBox(2);
  private Optional<Actions> on = Optional.empty();
  final VBox face = new VBox();
  final Label name = new Label();
  private final Label level = new Label();
  private final Label count = new Label();
  private final Label place = new Label();
  private final Label local = new Label();
  private final Label letters = new Label();
  private final HBox chips = new HBox(2);
  private final Region gap = Controls.gap();
  private final HBox footer = new HBox(6);
  private final StackPane picture = new StackPane(specimen);
  private final Region elbow = new Region();
  private final Circle dot = new Circle(4);
  private Optional<Content> content = Optional.empty();

  StyleCard() {
    setFocusTraversable(true);
    setAccessibleRole(AccessibleRole.LIST_ITEM);
    getStyleClass().add("style-card-row");
    face.getStyleClass().add("style-card");
    elbow.getStyleClass().add("elbow");
    name.getStyleClass().add("style-name");
    level.getStyleClass().add("quiet");
    count.getStyleClass().add("quiet");
    local.getStyleClass().add("local-text");
    actions.setAlignment(Pos.CENTER_RIGHT);
    actions.setMinWidth(Region.USE_PREF_SIZE);
    letters.getStyleClass().add("quiet");
    letters.setMinWidth(0);
    chips.setAlignment(Pos.CENTER_RIGHT);
    chips.setMinWidth(Region.USE_PREF_SIZE);
    name.setMinWidth(0);
    level.setMinWidth(Region.USE_PREF_SIZE);
    local.setMinWidth(Region.USE_PREF_SIZE);
    count.setMinWidth(Region.USE_PREF_SIZE);
    place.getStyleClass().add("place-mark");
    place.setMinWidth(Region.USE_PREF_SIZE);
    place.setVisible(false);
    place.setManaged(false);
    footer.setAlignment(Pos.CENTER_LEFT);
    footer.getStyleClass().add("style-footer");
    picture.setMinHeight(SPECIMEN_HEIGHT);
    picture.setMaxHeight(SPECIMEN_HEIGHT);
    picture.setAlignment(Pos.CENTER_LEFT);
    arrange(false);
    HBox.setHgrow(face, Priority.ALWAYS);
    hoverProperty().addListener((_, _, _) -> showActions());
    focusedProperty().addListener((_, _, _) -> showActions());
    showActions();
  }

  /** What the buttons of a card do. */
  record Actions(Runnable edit, Runnable onTop, Runnable stamp) {}

  void setActions(Actions wanted) {
    on = Optional.of(wanted);
  }

  /** Most cards are never pointed at: the buttons are made for those that are. */
  private void addActions(Actions wanted) {
    Button edit = new Button(Messages.of("style-card.edit"));
    edit.getStyleClass().add("card-edit");
    edit.setMinWidth(Region.USE_PREF_SIZE);
    edit.setOnAction(_ -> wanted.edit.run());
    Tips.on(edit, Messages.of("style-card.edit-the-style-for-everything-that"));
    Button onTop =
        Controls.icon(Feather.PLUS, Messages.of("style-card.add-on-top-of-what-the"), wanted.onTop);
    onTop.getStyleClass().add("card-on-top");
    Button stamp =
        Controls.icon(
            Feather.DOWNLOAD,
            Messages.of("style-card.stamp-copy-the-values-once-follow"),
            wanted.stamp);
    actions.getChildren().addAll(onTop, stamp, edit);
    actions.getChildren().forEach(button -> button.setFocusTraversable(false));
  }

  /** What can be done with the style shows under the pointer and where the keyboard is. */
  private void showActions() {
    boolean shown = isHover() || isFocused();
    if (shown && actions.getChildren().isEmpty()) {
      on.ifPresent(this::addActions);
    }
    actions.setVisible(shown);
    actions.setManaged(shown);
    for (Label told : List.of(level, count, local, letters)) {
      told.setVisible(!shown);
      told.setManaged(!shown && !told.getText().isEmpty());
    }
  }

  /** As a specimen with a line below, or as that line alone. */
  private void arrange(boolean compact) {
    pseudoClassStateChanged(COMPACT, compact);
    if (compact) {
      // the name is read whole, and what it is set in as far as there is room
      name.setMinWidth(Region.USE_PREF_SIZE);
      footer.getChildren().setAll(dot, name, letters, place, gap, chips, count, local, actions);
      face.getChildren().setAll(footer);
    } else {
      name.setMinWidth(0);
      footer.getChildren().setAll(dot, name, level, place, gap, count, local, actions);
      face.getChildren().setAll(picture, footer);
    }
  }

  /**
   * What the card says.
   *
   * @param depth how many styles it is derived from
   * @param followers how many texts follow the style
   * @param deviating how many of those have local changes
   * @param base whether plain text follows it
   * @param mark how it stands to the shelf, or on the shelf to the project; may be empty
   * @param versions how many it has, on the shelf; else 0
   * @param summary what is said instead of a specimen; empty where there is one
   */
  record Content(
      Style style,
      int depth,
      int followers,
      long deviating,
      boolean base,
      String mark,
      int versions,
      Optional<LookSummary> summary) {
    /** A look on the shelf. */
    static Content onShelf(Style style, int versions, String mark) {
      return new Content(style, 0, 0, 0, false, mark, versions, Optional.empty());
    }
  }

  /** Shows the style; where nothing differs, nothing is done. */
  void show(Content wanted) {
    if (content.filter(wanted::equals).isPresent()) {
      return;
    }
    boolean compact = wanted.summary().isPresent();
    boolean other = content.filter(was -> was.summary().isPresent() == compact).isEmpty();
    if (other) {
      arrange(compact);
    }
    if (other || content.filter(was -> was.depth() == wanted.depth()).isEmpty()) {
      standIn(wanted.depth(), compact);
    }
    content = Optional.of(wanted);
    letters.setText(wanted.summary().map(LookSummary::letters).orElse(""));
    chips.getChildren().setAll(wanted.summary().map(LookSummary::chips).orElse(List.of()));
    tell(wanted.style(), wanted.followers(), wanted.deviating(), wanted.base());
    place.setText(wanted.mark());
    boolean settled = wanted.mark().equals(ON_SHELF) || wanted.mark().equals(IN_PROJECT);
    place.setVisible(!wanted.mark().isEmpty() && !(compact && settled));
    place.pseudoClassStateChanged(SETTLED, settled);
    place.setManaged(place.isVisible());
    if (wanted.versions() > 0) {
      count.setText(Messages.of("style-card.versions", wanted.versions()));
    }
  }

  private void standIn(int depth, boolean compact) {
    elbow.setMinWidth(depth * INDENT);
    elbow.setMaxWidth(depth * INDENT);
    getChildren().setAll(depth > 0 ? List.of(elbow, face) : List.of(face));
    double width = WIDTH - depth * INDENT;
    if (compact) {
      face.setMaxWidth(Double.MAX_VALUE);
      return;
    }
    // as wide as its specimen, with a scroll bar beside it or without
    face.setMaxWidth(width);
    specimen.setFitWidth(width - 2);
    specimen.setFitHeight(SPECIMEN_HEIGHT);
    Rectangle clip = new Rectangle(width - 2, SPECIMEN_HEIGHT + 10);
    clip.setArcWidth(12);
    clip.setArcHeight(12);
    specimen.setClip(clip);
  }

  private void tell(Style style, int followers, long deviating, boolean base) {
    name.setText(style.name());
    level.setText(base ? Messages.of("style-card.base") : style.level().label());
    count.setText(String.valueOf(followers));
    dot.setVisible(style.label().isPresent());
    dot.setManaged(style.label().isPresent());
    style.label().ifPresent(label -> dot.setFill(colour(label)));
    Tips.on(name, style.note());
    local.setText(deviating == 0 ? "" : Messages.of("common.local", deviating));
    showActions();
    String followed = Messages.of("count.follower", followers);
    setAccessibleText(
        Messages.of("style-card.style", style.name(), style.level().label(), followed));
  }

  static Color colour(ColourLabel label) {
    return Color.rgb(label.colour().red(), label.colour().green(), label.colour().blue());
  }

  /** Where a card that is dragged would land. */
  void showDrop(boolean above, boolean below) {
    pseudoClassStateChanged(DROP_ABOVE, above);
    pseudoClassStateChanged(DROP_BELOW, below);
  }

  /** Whether a text that is dragged here would give the style its look. */
  void showTaking(boolean over) {
    pseudoClassStateChanged(DROP_ON, over);
  }

  void markChosen(boolean chosen) {
    pseudoClassStateChanged(CHOSEN, chosen);
  }

  void mark(boolean picked, boolean followed) {
    pseudoClassStateChanged(PICKED, picked);
    pseudoClassStateChanged(IN_USE, followed);
  }
}
