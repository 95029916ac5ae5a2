package dynamorph.app.styles.importing;

import dynamorph.app.field.Controls;
import dynamorph.app.field.Tips;
import dynamorph.app.message.Messages;
import dynamorph.app.session.Attempt;
import dynamorph.app.session.Review;
import dynamorph.app.session.StyleImport;
import dynamorph.app.session.Workspace;
import dynamorph.app.styles.specimen.Specimens;
import dynamorph.model.Project;
import dynamorph.model.cascade.Cascade;
import dynamorph.model.edit.importing.ImportStyles;
import dynamorph.model.edit.importing.ImportStyles.Choice;
import dynamorph.model.reach.Followers;
import dynamorph.model.style.Palette;
import dynamorph.model.style.Style;
import dynamorph.model.style.StyleBook;
import dynamorph.model.style.StyleId;
import dynamorph.model.value.Rgba;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.function.Consumer;
import javafx.geometry.Pos;
import javafx.scene.Node;
import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.control.ScrollPane;
import javafx.scene.control.ToggleButton;
import javafx.scene.control.ToggleGroup;
import javafx.scene.image.ImageView;
import javafx.scene.layout.HBox;
import javafx.scene.layout.VBox;
import javafx.scene.paint.Color;
import javafx.scene.shape.Rectangle;

/**
 * Settles names that are taken when styles come from elsewhere: each pair is shown, colours first
 * since styles are painted with them, and the person takes theirs, keeps the own one, or both.
 */
public final class StyleImportPane extends VBox {
  private static final int WIDTH = 276;
  private static final int HEIGHT = 46;
  private static final double CHIP = 22;

  private final Workspace workspace;
  private final Specimens specimens;
  private final Label title = new Label();
  private final VBox list = new VBox(14);
  private final Button bring = new Button(Messages.of("style-import-pane.import-them"));
  private final Map<StyleId, Choice> choices = new HashMap<>();
  private final Map<String, Choice> swatchChoices = new HashMap<>();

  public StyleImportPane(Workspace workspace, Specimens specimens) {
    this.workspace = workspace;
    this.specimens = specimens;
    getStyleClass().add("settle-pane");
    setId("arrival-pane");
    title.getStyleClass().add("section-title");
    title.setWrapText(true);
    bring.getStyleClass().add("commit");
    bring.setId("arrival-bring");
    Tips.on(bring, Messages.of("style-import-pane.import-the-styles-as-chosen-ctrl"));
    bring.setOnAction(_ -> workspace.attempts().commitPending());
    Button cancel = new Button(Messages.of("common.cancel"));
    cancel.setOnAction(_ -> workspace.attempts().discardPending());
    ScrollPane scroll = Controls.scrolled(list);
    getChildren()
        .addAll(
            Controls.titled(title, "guide#styles"), forAll(), scroll, new HBox(8, bring, cancel));
    workspace.attempts().follow(Attempt::styleImport, coming -> coming.ifPresent(this::open));
  }

  private Node forAll() {
    HBox row = new HBox(6);
    row.setAlignment(Pos.CENTER_LEFT);
    Label all = new Label(Messages.of("style-import-pane.for-all"));
    all.getStyleClass().add("quiet");
    row.getChildren().add(all);
    for (Choice choice : Choice.values()) {
      Button button = new Button(choice.label());
      button.getStyleClass().add("pill");
      button.setOnAction(_ ->
          workspace
              .attempts()
              .present()
              .styleImport()
              .ifPresent(arrival -> {
                arrival.swatches().forEach(one -> swatchChoices.put(one.theirs().id(), choice));
                collisions(arrival)
                    .forEach(collision -> choices.put(collision.theirs().id(), choice));
                update(arrival);
              }));
      row.getChildren().add(button);
    }
    return row;
  }

  private void open(StyleImport arrival) {
    choices.clear();
    swatchChoices.clear();
    arrival.swatches().forEach(one -> swatchChoices.put(one.theirs().id(), Choice.MINE));
    update(arrival);
  }

  /** Styles of one name that differ, as swatches are settled now. */
  private List<ImportStyles.Collision> collisions(StyleImport arrival) {
    return ImportStyles.collisions(workspace.project(), arrival.bundle(), swatchChoices);
  }

  private void update(StyleImport arrival) {
    Project mine = workspace.project();
    Project theirs =
        Project.empty("theirs")
            .withPalette(new Palette(arrival.bundle().swatches()))
            .withStyles(StyleBook.of(arrival.bundle().styles()));
    List<ImportStyles.Collision> collisions = collisions(arrival);
    title.setText(
        Messages.of(
            "style-import-pane.style-has-a-name-that-stands",
            collisions.size() + arrival.swatches().size()));
    list.getChildren().setAll(arrival.swatches().stream().map(one -> row(arrival, one)).toList());
    collisions.forEach(one -> list.getChildren().add(row(arrival, one, mine, theirs)));
    workspace
        .attempts()
        .review(
            new Review(
                Messages.of("style-import-pane.import-styles-from-another-project"),
                arrival.edit().apply(new ImportStyles(arrival.bundle(), choices, swatchChoices)),
                Messages.of("style-import-pane.import-them")));
  }

  private Node row(StyleImport arrival, ImportStyles.SwatchCollision collision) {
    String id = collision.theirs().id();
    HBox colours =
        new HBox(
            6,
            chip(collision.mine().colour(), Messages.of("style-import-pane.mine")),
            chip(collision.theirs().colour(), Messages.of("style-import-pane.theirs")));
    return new VBox(
        4,
        heading(collision.mine().name()),
        colours,
        choose(
            swatchChoices.getOrDefault(id, Choice.MINE),
            choice -> {
              swatchChoices.put(id, choice);
              update(arrival);
            }));
  }

  /** A colour with whose it is, and its number for those who cannot tell them apart. */
  private static Node chip(Rgba colour, String whose) {
    Rectangle patch =
        new Rectangle(
            CHIP,
            CHIP,
            Color.rgb(colour.red(), colour.green(), colour.blue(), colour.alpha() / 255.0));
    patch.getStyleClass().add("colour-chip");
    Label words = new Label(Messages.of("style-import-pane.colour", whose, colour));
    words.getStyleClass().add("quiet");
    HBox chip = new HBox(6, patch, words);
    chip.setAlignment(Pos.CENTER_LEFT);
    chip.setMinWidth((WIDTH - 6) / 2.0);
    return chip;
  }

  private static Label heading(String name) {
    Label heading = new Label(name);
    heading.getStyleClass().add("section-title");
    return heading;
  }

  private static Node choose(Choice now, Consumer<Choice> take) {
    HBox choose = new HBox(6);
    ToggleGroup group = new ToggleGroup();
    for (Choice choice : Choice.values()) {
      ToggleButton button = new ToggleButton(choice.label());
      button.getStyleClass().add("pill");
      button.setId("arrival-" + choice.name().toLowerCase(java.util.Locale.ROOT));
      button.setToggleGroup(group);
      button.setSelected(now == choice);
      button.setOnAction(_ -> take.accept(choice));
      choose.getChildren().add(button);
    }
    return choose;
  }

  private Node row(
      StyleImport arrival, ImportStyles.Collision collision, Project mine, Project theirs) {
    return new VBox(
        4,
        heading(collision.mine().name()),
        specimen(mine, collision.mine(), Messages.of("style-import-pane.mine")),
        specimen(theirs, collision.theirs(), Messages.of("style-import-pane.theirs")),
        choose(
            choices.getOrDefault(collision.theirs().id(), Choice.MINE),
            choice -> {
              choices.put(collision.theirs().id(), choice);
              update(arrival);
            }));
  }

  private Node specimen(Project project, Style style, String whose) {
    ImageView view = new ImageView();
    view.setFitWidth(WIDTH);
    view.setFitHeight(HEIGHT);
    Cascade cascade = Cascade.of(project);
    if (project.artboards().isEmpty()) {
      // nothing tells on which ground it stands there
      specimens.showAlone(view, project, cascade, style, WIDTH, HEIGHT);
    } else {
      specimens.show(view, project, cascade, Followers.of(project), style, WIDTH, HEIGHT);
    }
    Label label = new Label(whose);
    label.getStyleClass().add("quiet");
    HBox footer = new HBox(6, label);
    footer.getStyleClass().add("style-footer");
    VBox card = new VBox(view, footer);
    card.getStyleClass().add("style-card");
    card.setMaxWidth(WIDTH + 2);
    return card;
  }
}
