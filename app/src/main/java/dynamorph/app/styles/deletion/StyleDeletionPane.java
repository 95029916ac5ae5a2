package dynamorph.app.styles.deletion;

import dynamorph.app.field.Controls;
import dynamorph.app.field.Tips;
import dynamorph.app.message.Messages;
import dynamorph.app.session.Attempt;
import dynamorph.app.session.Review;
import dynamorph.app.session.StyleDeletion;
import dynamorph.app.session.Workspace;
import dynamorph.app.styles.specimen.Specimens;
import dynamorph.model.Project;
import dynamorph.model.cascade.Cascade;
import dynamorph.model.edit.Edit;
import dynamorph.model.edit.style.DeleteStyles;
import dynamorph.model.edit.style.MergeStyles;
import dynamorph.model.property.PropertyKey;
import dynamorph.model.reach.Followers;
import dynamorph.model.style.Style;
import dynamorph.model.style.StyleId;
import dynamorph.model.value.Colour;
import java.util.ArrayList;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Optional;
import javafx.geometry.Pos;
import javafx.scene.Node;
import javafx.scene.control.Button;
import javafx.scene.control.ComboBox;
import javafx.scene.control.Label;
import javafx.scene.control.RadioButton;
import javafx.scene.control.ScrollPane;
import javafx.scene.control.ToggleGroup;
import javafx.scene.image.ImageView;
import javafx.scene.layout.ColumnConstraints;
import javafx.scene.layout.GridPane;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.Region;
import javafx.scene.layout.VBox;

/**
 * Settles what becomes of the followers of styles that go, or which of several styles stays. Both
 * looks stand one above the other with what differs between them; the stage and the reach strip
 * show what it would do.
 */
public final class StyleDeletionPane extends VBox {
  private static final int SPECIMEN_WIDTH = 276;
  private static final int SPECIMEN_HEIGHT = 52;

  /** More differences than this are counted. */
  private static final int MOST_DIFFERENCES = 40;

  private final Workspace workspace;
  private final Specimens specimens;
  private final Label title = new Label();
  private final VBox content = new VBox(10);
  private final Button commit = new Button();
  private Optional<StyleId> chosen = Optional.empty();

  public StyleDeletionPane(Workspace workspace, Specimens specimens) {
    this.workspace = workspace;
    this.specimens = specimens;
    getStyleClass().add("settle-pane");
    setId("settle-pane");
    title.getStyleClass().add("section-title");
    title.setWrapText(true);
    commit.getStyleClass().add("commit");
    commit.setId("settle-commit");
    Tips.on(commit, Messages.of("style-deletion-pane.do-it-as-one-step-ctrl"));
    commit.setOnAction(_ -> workspace.attempts().commitPending());
    Button cancel = new Button(Messages.of("common.cancel"));
    Tips.on(cancel, Messages.of("style-deletion-pane.leave-everything-as-it-was-esc"));
    cancel.setOnAction(_ -> workspace.attempts().discardPending());
    HBox buttons = new HBox(8, commit, cancel);
    ScrollPane scroll = Controls.scrolled(content);
    getChildren().addAll(Controls.titled(title, "guide#styles"), scroll, buttons);
    workspace.attempts().follow(Attempt::deletion, deletion -> deletion.ifPresent(this::open));
  }

  private void open(StyleDeletion settling) {
    chosen =
        settling.merges()
            ? settling.styles().size() > 1
                ? mostFollowed(settling.styles())
                : others(settling).stream().findFirst().map(Style::id)
            : Optional.empty();
    update(settling);
  }

  private Optional<StyleId> mostFollowed(List<StyleId> styles) {
    Followers followers = Followers.of(workspace.project());
    return styles.stream().max(java.util.Comparator.comparingInt(id -> followers.count(id).all()));
  }

  /** The styles that followers could follow instead. */
  private List<Style> others(StyleDeletion settling) {
    Project project = workspace.project();
    Style first = project.styles().get(settling.styles().getFirst());
    return project.styles().stream()
        .filter(style -> style.level() == first.level())
        .filter(style -> !settling.styles().contains(style.id()))
        .toList();
  }

  private void choose(StyleDeletion settling, Optional<StyleId> style) {
    chosen = style;
    update(settling);
  }

  private void update(StyleDeletion settling) {
    Project project = workspace.project();
    List<Style> going = going(settling);
    String what =
        Messages.of(
            "style-deletion-pane.styles",
            going.size(),
            going.isEmpty() ? "" : going.getFirst().name());
    title.setText(
        settling.merges()
            ? Messages.of("style-deletion-pane.merge-into-one-style")
            : Messages.of("style-deletion-pane.delete", what));
    commit.setText(
        settling.merges()
            ? Messages.of("style-deletion-pane.merge")
            : Messages.of("common.delete"));
    content
        .getChildren()
        .setAll(settling.merges() ? mergeChoice(settling) : deleteChoice(settling));
    Followers followers = Followers.of(project);
    Cascade cascade = Cascade.of(project);
    for (Style style : going) {
      content
          .getChildren()
          .add(
              specimen(
                  project, cascade, followers, style, Messages.of("style-deletion-pane.goes")));
    }
    chosen
        .map(project.styles()::get)
        .ifPresent(stays -> {
          content
              .getChildren()
              .add(
                  specimen(
                      project,
                      cascade,
                      followers,
                      stays,
                      settling.merges()
                          ? Messages.of("style-deletion-pane.stays")
                          : Messages.of("style-deletion-pane.instead")));
          going.stream()
              .findFirst()
              .ifPresent(style -> content.getChildren().add(differences(project, style, stays)));
        });
    review(settling, going, what);
  }

  private List<Style> going(StyleDeletion settling) {
    return settling.styles().stream()
        .filter(id -> !settling.merges() || chosen.filter(id::equals).isEmpty())
        .map(workspace.project().styles()::get)
        .toList();
  }

  private void review(StyleDeletion settling, List<Style> going, String what) {
    if (settling.merges() && chosen.isEmpty()) {
      return;
    }
    List<StyleId> ids = going.stream().map(Style::id).toList();
    Edit edit =
        settling.merges()
            ? new MergeStyles(chosen.orElseThrow(), ids)
            : new DeleteStyles(new LinkedHashSet<>(ids), chosen);
    String name = what.replace("\u201c", "\"").replace("\u201d", "\"");
    String shown =
        settling.merges()
            ? Messages.of(
                "style-deletion-pane.merge-into",
                name,
                workspace.project().styles().get(chosen.orElseThrow()).name())
            : Messages.of("style-deletion-pane.delete", name);
    workspace
        .attempts()
        .review(
            new Review(
                shown,
                edit,
                settling.merges()
                    ? Messages.of("style-deletion-pane.merge")
                    : Messages.of("common.delete")));
  }

  private Node mergeChoice(StyleDeletion settling) {
    if (settling.styles().size() == 1) {
      return new VBox(
          4, quiet(Messages.of("style-deletion-pane.its-followers-follow")), instead(settling));
    }
    VBox choice = new VBox(4, quiet(Messages.of("style-deletion-pane.the-one-that-stays")));
    ToggleGroup group = new ToggleGroup();
    for (StyleId id : settling.styles()) {
      RadioButton radio = new RadioButton(workspace.project().styles().get(id).name());
      radio.setToggleGroup(group);
      radio.setSelected(chosen.filter(id::equals).isPresent());
      radio.setOnAction(_ -> choose(settling, Optional.of(id)));
      choice.getChildren().add(radio);
    }
    return choice;
  }

  private Node deleteChoice(StyleDeletion settling) {
    ToggleGroup group = new ToggleGroup();
    RadioButton keep =
        new RadioButton(Messages.of("style-deletion-pane.followers-keep-their-look-as-local"));
    keep.setId("settle-keep");
    keep.setToggleGroup(group);
    keep.setSelected(chosen.isEmpty());
    keep.setOnAction(_ -> choose(settling, Optional.empty()));
    RadioButton follow =
        new RadioButton(Messages.of("style-deletion-pane.followers-follow-another-style"));
    follow.setId("settle-follow");
    follow.setToggleGroup(group);
    follow.setSelected(chosen.isPresent());
    List<Style> others = others(settling);
    follow.setDisable(others.isEmpty());
    follow.setOnAction(_ -> choose(settling, Optional.of(nearest(settling, others).id())));
    VBox choice = new VBox(6, keep, follow);
    if (chosen.isPresent()) {
      choice.getChildren().add(instead(settling));
    }
    return choice;
  }

  /** What it is based on if that will do, else the style that differs least. */
  private Style nearest(StyleDeletion settling, List<Style> others) {
    Project project = workspace.project();
    Style going = project.styles().get(settling.styles().getFirst());
    return going
        .basedOn()
        .flatMap(base -> others.stream().filter(style -> style.id().equals(base)).findFirst())
        .orElseGet(() ->
            others.stream()
                .min(
                    java.util.Comparator.comparingInt(
                        style -> MergeStyles.differences(project, going.id(), style.id()).size()))
                .orElseThrow());
  }

  private Node instead(StyleDeletion settling) {
    ComboBox<Optional<Style>> box = Controls.styles("");
    box.setId("settle-instead");
    others(settling).forEach(style -> box.getItems().add(Optional.of(style)));
    box.setValue(chosen.flatMap(workspace.project().styles()::find));
    box.valueProperty()
        .addListener((_, _, style) -> {
          if (style != null) {
            choose(settling, style.map(Style::id));
          }
        });
    return box;
  }

  private Node specimen(
      Project project, Cascade cascade, Followers followers, Style style, String role) {
    ImageView view = new ImageView();
    view.setFitWidth(SPECIMEN_WIDTH);
    view.setFitHeight(SPECIMEN_HEIGHT);
    specimens.show(view, project, cascade, followers, style, SPECIMEN_WIDTH, SPECIMEN_HEIGHT);
    Label name = new Label(style.name());
    name.getStyleClass().add("style-name");
    Label says = quiet(role);
    Region gap = new Region();
    HBox.setHgrow(gap, Priority.ALWAYS);
    int all = followers.count(style.id()).all();
    long derived = project.styles().derivedFrom(style.id()).count();
    Label counts =
        quiet(
            Messages.of("count.follower", all)
                + (derived == 0 ? "" : Messages.of("style-deletion-pane.derived", derived)));
    HBox footer = new HBox(6, name, says, gap, counts);
    footer.setAlignment(Pos.CENTER_LEFT);
    footer.getStyleClass().add("style-footer");
    VBox card = new VBox(view, footer);
    card.getStyleClass().add("style-card");
    return card;
  }

  private Node differences(Project project, Style one, Style other) {
    List<MergeStyles.Difference<?>> all = MergeStyles.differences(project, one.id(), other.id());
    GridPane grid = new GridPane(8, 3);
    ColumnConstraints wide = new ColumnConstraints();
    wide.setHgrow(Priority.ALWAYS);
    grid.getColumnConstraints().addAll(wide, new ColumnConstraints(), new ColumnConstraints());
    List<Node> nodes = new ArrayList<>();
    Label head =
        new Label(
            all.isEmpty()
                ? Messages.of("style-deletion-pane.nothing-differs-between-them")
                : Messages.of("count.value-differs", all.size()));
    head.getStyleClass().add("section-title");
    nodes.add(head);
    for (int row = 0; row < Math.min(all.size(), MOST_DIFFERENCES); row++) {
      addRow(grid, row, project, all.get(row));
    }
    nodes.add(grid);
    if (all.size() > MOST_DIFFERENCES) {
      nodes.add(
          quiet(Messages.of("style-deletion-pane.and-more", (all.size() - MOST_DIFFERENCES))));
    }
    VBox box = new VBox(4);
    box.getChildren().addAll(nodes);
    return box;
  }

  private static <T> void addRow(
      GridPane grid, int row, Project project, MergeStyles.Difference<T> difference) {
    PropertyKey<T> key = difference.key();
    Label goes = quiet(text(project, key, difference.one()));
    Label stays = new Label(text(project, key, difference.other()));
    goes.getStyleClass().add("trace-overridden");
    grid.addRow(row, new Label(Controls.label(key)), goes, stays);
  }

  private static <T> String text(Project project, PropertyKey<T> key, T value) {
    return value instanceof Colour.SwatchReference(String swatch)
        ? project.palette().find(swatch).map(found -> found.name()).orElse(swatch)
        : key.property().type().label(value);
  }

  private static Label quiet(String text) {
    Label label = new Label(text);
    label.getStyleClass().add("quiet");
    label.setWrapText(true);
    return label;
  }
}
