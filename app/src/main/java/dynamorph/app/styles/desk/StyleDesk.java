package dynamorph.app.styles.desk;

import static java.util.Objects.requireNonNull;

import dynamorph.app.field.Controls;
import dynamorph.app.field.Editors;
import dynamorph.app.field.Tips;
import dynamorph.app.inspector.FacetSections;
import dynamorph.app.message.Messages;
import dynamorph.app.property.Subject;
import dynamorph.app.session.Attempt;
import dynamorph.app.session.Desk;
import dynamorph.app.session.Workspace;
import dynamorph.model.Project;
import dynamorph.model.reach.Followers;
import dynamorph.model.style.Style;
import dynamorph.model.style.StyleId;
import dynamorph.model.style.StyleLevel;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.function.Function;
import java.util.function.Supplier;
import javafx.geometry.Pos;
import javafx.scene.control.Button;
import javafx.scene.control.ComboBox;
import javafx.scene.control.Label;
import javafx.scene.control.ScrollPane;
import javafx.scene.control.TextField;
import javafx.scene.layout.ColumnConstraints;
import javafx.scene.layout.GridPane;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.Region;
import javafx.scene.layout.VBox;
import org.jspecify.annotations.Nullable;

/** Edits one style: its name, base and values. Nothing is kept until it is committed. */
public final class StyleDesk extends VBox {
  private final Workspace workspace;
  private final FacetSections sections;
  private final Label title = new Label();
  private final Label reach = new Label();
  private final Button commit = new Button();
  private final Button discard = new Button(Messages.of("style-desk.discard"));
  private final TextField name = new TextField();
  private final TextField group = new TextField();
  private final TextField note = new TextField();
  private final ComboBox<Optional<Style>> base = Controls.baseStyles();
  private final Label level = new Label();
  private @Nullable Subject subject;
  private boolean showing;

  /**
   * @param editors makes the editors of the values, given where to ask for the subject
   */
  public StyleDesk(Workspace workspace, Function<Supplier<Subject>, Editors> editors) {
    this.workspace = workspace;
    this.sections = new FacetSections(workspace, editors.apply(this::subject), this::subject);
    getStyleClass().add("style-desk");
    setId("style-desk");
    ScrollPane scroll = new ScrollPane(new VBox(identity(), sections));
    scroll.setFitToWidth(true);
    scroll.setHbarPolicy(ScrollPane.ScrollBarPolicy.NEVER);
    VBox.setVgrow(scroll, Priority.ALWAYS);
    getChildren().addAll(banner(), buttons(), scroll);
    workspace.attempts().follow(Attempt::desk, desk -> desk.ifPresent(this::update));
    workspace
        .attempts()
        .wantedValueProperty()
        .addListener((_, _, wanted) ->
            wanted.ifPresent(key -> {
              sections.reveal(key);
              workspace.attempts().wantedValueProperty().set(Optional.empty());
            }));
    workspace
        .attempts()
        .heldBackProperty()
        .addListener((_, _, _) -> workspace.attempts().present().desk().ifPresent(this::update));
  }

  private VBox banner() {
    title.getStyleClass().add("banner-title");
    title.setWrapText(true);
    VBox banner = new VBox(2, Controls.titled(title, "guide#change-it-everywhere"), reach);
    banner.getStyleClass().add("banner");
    return banner;
  }

  private HBox buttons() {
    commit.getStyleClass().add("commit");
    commit.setId("commit");
    Tips.on(commit, Messages.of("style-desk.commit-change-it-everywhere-ctrl-enter"));
    commit.setOnAction(_ -> workspace.attempts().commitPending());
    discard.setId("discard");
    Tips.on(discard, Messages.of("style-desk.discard-leave-the-style-as-it"));
    discard.setOnAction(_ -> workspace.attempts().discardPending());
    Region gap = new Region();
    HBox.setHgrow(gap, Priority.ALWAYS);
    Label before = new Label(Messages.of("style-desk.hold-b-before"));
    before.getStyleClass().add("quiet");
    HBox row = new HBox(8, commit, discard, gap, before);
    row.setAlignment(Pos.CENTER_LEFT);
    row.getStyleClass().add("desk-buttons");
    return row;
  }

  private Subject subject() {
    return requireNonNull(subject);
  }

  private GridPane identity() {
    name.setId("style-name");
    name.setOnAction(_ -> rename());
    name.focusedProperty().addListener((_, _, focused) -> leaveField(focused, this::rename));
    group.setOnAction(_ -> regroup());
    group.focusedProperty().addListener((_, _, focused) -> leaveField(focused, this::regroup));
    base.valueProperty()
        .addListener((_, _, chosen) -> {
          if (!showing && chosen != null) {
            rebase(chosen.map(Style::id));
          }
        });
    level.getStyleClass().add("quiet");
    GridPane grid = new GridPane(6, 4);
    grid.getStyleClass().add("facet");
    ColumnConstraints wide = new ColumnConstraints();
    wide.setHgrow(Priority.ALWAYS);
    grid.getColumnConstraints().addAll(new ColumnConstraints(88), wide);
    grid.addRow(0, Controls.rowLabel(Messages.of("common.name")), name);
    grid.addRow(1, Controls.rowLabel(Messages.of("style-desk.group")), group);
    grid.addRow(2, Controls.rowLabel(Messages.of("style-desk.based-on")), base);
    grid.addRow(3, Controls.rowLabel(Messages.of("style-desk.level")), level);
    note.setId("style-note");
    note.setPromptText(Messages.of("style-desk.what-it-is-for"));
    note.setOnAction(_ -> annotate());
    note.focusedProperty().addListener((_, _, focused) -> leaveField(focused, this::annotate));
    grid.addRow(4, Controls.rowLabel(Messages.of("style-desk.note")), note);
    return grid;
  }

  private static void leaveField(boolean focused, Runnable commit) {
    if (!focused) {
      commit.run();
    }
  }

  private void rename() {
    draft()
        .filter(_ -> !name.getText().isBlank())
        .ifPresent(
            draft -> workspace.attempts().draft(draft.withName(name.getText()), Optional.empty()));
  }

  private void regroup() {
    draft()
        .ifPresent(draft ->
            workspace.attempts().draft(draft.withGroup(group.getText().strip()), Optional.empty()));
  }

  private void annotate() {
    draft()
        .ifPresent(draft ->
            workspace.attempts().draft(draft.withNote(note.getText().strip()), Optional.empty()));
  }

  private void rebase(Optional<StyleId> chosen) {
    draft()
        .ifPresent(
            draft -> workspace.attempts().draft(draft.withBasedOn(chosen), Optional.empty()));
  }

  private Optional<Style> draft() {
    return workspace.attempts().present().desk().map(Desk::draft);
  }

  private void update(Desk desk) {
    showing = true;
    Style draft = desk.draft();
    subject = new DeskSubject(workspace, desk);
    Project project = workspace.project();
    Followers followers = Followers.of(project);
    int all = followers.of(draft.id()).size();
    title.setText(Messages.of("style-desk.editing-style", draft.name()));
    reach.setText(reachText(project, followers, draft, all));
    int held = workspace.attempts().heldBackProperty().get().size();
    commit.setText(
        all == 0
            ? Messages.of("style-desk.commit")
            : held == 0
                ? Messages.of("style-desk.commit-for", all)
                : Messages.of("style-desk.commit-for-of", (all - held), all));
    commit.setDisable(!desk.isChanged());
    if (!name.isFocused()) {
      name.setText(draft.name());
    }
    if (!group.isFocused()) {
      group.setText(draft.group());
    }
    if (!note.isFocused()) {
      note.setText(draft.note());
    }
    level.setText(draft.level().label());
    base.getItems().setAll(bases(project, draft));
    base.setValue(draft.basedOn().flatMap(project.styles()::find));
    sections.update();
    showing = false;
  }

  private static String reachText(Project project, Followers followers, Style draft, int all) {
    if (all == 0) {
      return Messages.of("style-desk.nothing-follows-it-yet");
    }
    int direct = followers.direct(draft.id()).size();
    String texts = Messages.of("count.text-follows-it", all);
    if (project.baseStyle().filter(draft.id()::equals).isPresent()) {
      return Messages.of("style-desk.as-the-base-style", texts);
    }
    return all > direct
        ? Messages.of("style-desk.of-them-through-derived-styles", texts, (all - direct))
        : texts;
  }

  /**
   * The styles that this one can be based on: those of its level or wider that are not based on it.
   */
  private static List<Optional<Style>> bases(Project project, Style draft) {
    Set<StyleId> family = project.styles().family(draft.id());
    List<Optional<Style>> bases = new ArrayList<>();
    bases.add(Optional.empty());
    project.styles().stream()
        .filter(style -> !family.contains(style.id()))
        .filter(style -> draft.level() == StyleLevel.TEXT ? style.level() == StyleLevel.TEXT : true)
        .forEach(style -> bases.add(Optional.of(style)));
    return bases;
  }
}
