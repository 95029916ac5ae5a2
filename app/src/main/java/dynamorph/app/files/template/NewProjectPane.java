package dynamorph.app.files.template;

import dynamorph.app.field.Controls;
import dynamorph.app.files.Dialogs;
import dynamorph.app.files.FileActions;
import dynamorph.app.files.FileQuestion;
import dynamorph.app.message.Messages;
import dynamorph.app.render.PictureFrame;
import dynamorph.app.render.PictureService;
import dynamorph.app.render.StatePictures;
import dynamorph.app.session.Notice;
import dynamorph.app.session.Workspace;
import dynamorph.formats.project.ProjectFile;
import dynamorph.model.Project;
import dynamorph.shelf.template.ArtboardSize;
import dynamorph.shelf.template.ArtboardSize.Purpose;
import dynamorph.shelf.template.Templates;
import dynamorph.shelf.template.Templates.Template;
import java.nio.file.Path;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import javafx.geometry.Pos;
import javafx.scene.control.Button;
import javafx.scene.control.ContentDisplay;
import javafx.scene.control.ContextMenu;
import javafx.scene.control.Label;
import javafx.scene.control.MenuItem;
import javafx.scene.control.ScrollPane;
import javafx.scene.control.ToggleButton;
import javafx.scene.input.KeyCode;
import javafx.scene.input.KeyEvent;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.Region;
import javafx.scene.layout.VBox;

/** A new project by what it is for: a size, or a template, and what it begins with. */
public final class NewProjectPane extends VBox {
  private static final int PICTURE_WIDTH = 132;
  private static final int PICTURE_HEIGHT = 92;

  /** One row of cards is always seen. */
  private static final int LEAST_HEIGHT = 150;

  private final Workspace workspace;
  private final FileActions files;
  private final StatePictures states;
  private final PictureService pictures;
  private final Dialogs dialogs;
  private final Templates templates;
  private final Runnable leave;

  private final ChoiceCards cards = new ChoiceCards();
  private final NewProjectFields fields = new NewProjectFields();
  private final Button create = new Button(Messages.of("new-project.create"));
  private final Map<Optional<Purpose>, ToggleButton> purposes = new HashMap<>();
  private Optional<Purpose> purpose = Optional.of(Purpose.SCREEN);

  /**
   * @param leave gives the keyboard back
   */
  public NewProjectPane(
      Workspace workspace,
      FileActions files,
      StatePictures states,
      PictureService pictures,
      Dialogs dialogs,
      Templates templates,
      Runnable leave) {
    super(12);
    this.workspace = workspace;
    this.files = files;
    this.states = states;
    this.pictures = pictures;
    this.dialogs = dialogs;
    this.templates = templates;
    this.leave = leave;
    getStyleClass().add("recovery-pane");
    setId("new-project");
    cards.setId("new-sizes");
    ScrollPane scroll = Controls.scrolled(cards);
    // what is asked for stands right below the cards, wherever they end
    VBox.setVgrow(scroll, Priority.NEVER);
    scroll.setMinHeight(LEAST_HEIGHT);
    scroll
        .viewportBoundsProperty()
        .addListener((_, _, bounds) -> cards.setPrefWrapLength(bounds.getWidth()));
    Region rest = new Region();
    VBox.setVgrow(rest, Priority.ALWAYS);
    create.setId("new-create");
    create.getStyleClass().add("commit");
    create.setOnAction(_ -> create());
    Button cancel = new Button(Messages.of("common.cancel"));
    cancel.setOnAction(_ -> close());
    HBox foot = new HBox(8, create, cancel);
    foot.setAlignment(Pos.CENTER_LEFT);
    getChildren()
        .addAll(
            Controls.paneHead(Messages.of("new-project.new-project"), "guide#begin", this::close),
            switches(),
            scroll,
            fields,
            foot,
            rest);
    setVisible(false);
    managedProperty().bind(visibleProperty());
    Controls.closeOnEscape(this, this::close);
    // Enter belongs to what is asked here, and not to the rest of the window
    addEventHandler(
        KeyEvent.KEY_PRESSED,
        event -> {
          if (event.getCode() == KeyCode.ENTER) {
            if (getScene().getFocusOwner() instanceof Button focused) {
              focused.fire();
            } else {
              create();
            }
            event.consume();
          }
        });
    cards
        .chosenProperty()
        .addListener((_, _, card) -> {
          if (card instanceof SizeCard size) {
            fields.show(size.size());
          }
        });
  }

  /** Print, screen, film, templates. */
  private HBox switches() {
    HBox bar = new HBox();
    bar.getStyleClass().add("views");
    for (Purpose one : Purpose.values()) {
      addSwitch(bar, Optional.of(one), one.label());
    }
    addSwitch(bar, Optional.empty(), Messages.of("new-project.templates"));
    HBox row = new HBox(bar);
    row.setAlignment(Pos.CENTER_LEFT);
    return row;
  }

  private void addSwitch(HBox bar, Optional<Purpose> what, String words) {
    ToggleButton button = new ToggleButton(words);
    button.setId(
        "new-for-"
            + what.map(one -> one.name().toLowerCase(java.util.Locale.ROOT)).orElse("template"));
    button.getStyleClass().add("view");
    button.setOnAction(_ -> show(what));
    purposes.put(what, button);
    bar.getChildren().add(button);
    HBox.setHgrow(button, Priority.NEVER);
  }

  /** Asks what the new project shall be. */
  public void open() {
    setVisible(true);
    show(purpose);
    fields.name().requestFocus();
  }

  private void close() {
    setVisible(false);
    leave.run();
  }

  private void show(Optional<Purpose> wanted) {
    purpose = wanted;
    purposes.forEach((what, button) -> button.setSelected(what.equals(wanted)));
    fields.ask(wanted);
    if (wanted.isPresent()) {
      show(ArtboardSize.of(wanted.get()).map(SizeCard::new).toList(), 0);
      create.setDisable(false);
    } else {
      show(List.of(), 0);
      listTemplates(Optional.empty());
    }
  }

  private void show(List<? extends ToggleButton> shown, int chosen) {
    shown.forEach(card ->
        card.setOnMouseClicked(click -> {
          if (click.getClickCount() == 2) {
            create();
          }
        }));
    cards.show(shown, chosen);
  }

  // --- templates

  private void listTemplates(Optional<Template> wanted) {
    files.inBackground(
        templates::list,
        found -> {
          if (purpose.isPresent()) {
            return; // another list is shown by now
          }
          show(
              found.stream().map(this::card).toList(),
              Math.max(0, wanted.map(found::indexOf).orElse(0)));
          Button other = new Button(Messages.of("new-project.choose-a-project"));
          other.setId("new-from-project");
          other.setOnAction(_ -> dialogs.choose(FileQuestion.PROJECT).ifPresent(this::begin));
          cards.getChildren().add(other);
          if (found.isEmpty()) {
            Label none = new Label(Messages.of("new-project.no-templates"));
            none.setWrapText(true);
            none.getStyleClass().add("quiet");
            cards.getChildren().addFirst(none);
          }
          create.setDisable(found.isEmpty());
        });
  }

  private ToggleButton card(Template template) {
    PictureFrame frame = new PictureFrame(PICTURE_WIDTH, PICTURE_HEIGHT);
    Label name = new Label(template.name());
    name.getStyleClass().add("size-name");
    name.setMaxWidth(PICTURE_WIDTH);
    VBox content = new VBox(4, frame, name);
    content.setAlignment(Pos.CENTER);
    ToggleButton card = new ToggleButton();
    card.getStyleClass().setAll("size-card");
    card.setContentDisplay(ContentDisplay.GRAPHIC_ONLY);
    card.setGraphic(content);
    card.setUserData(template);
    card.setAccessibleText(template.name());
    MenuItem delete = new MenuItem(Messages.of("common.delete"));
    delete.setOnAction(_ -> delete(template));
    card.setContextMenu(new ContextMenu(delete));
    card.addEventHandler(
        KeyEvent.KEY_PRESSED,
        event -> {
          if (event.getCode() == KeyCode.DELETE) {
            delete(template);
            event.consume();
          }
        });
    files.inBackground(
        template::read,
        project ->
            project.artboards().stream()
                .findFirst()
                .ifPresent(board ->
                    pictures.show(
                        frame.view(),
                        List.of("template", project.styles(), project.palette(), board),
                        () ->
                            states.draw(
                                project, board, Optional.empty(), PICTURE_WIDTH, PICTURE_HEIGHT))));
    return card;
  }

  private void delete(Template template) {
    files.inBackground(
        () -> templates.delete(template),
        aside -> {
          listTemplates(Optional.empty());
          workspace.tell(
              Notice.offering(
                  Messages.of("new-project.template-deleted", template.name()),
                  Messages.of("common.undo"),
                  () ->
                      files.inBackground(
                          () -> templates.bringBack(aside),
                          back -> listTemplates(Optional.of(back)))));
        });
  }

  // --- creating

  private void create() {
    if (purpose.isEmpty()) {
      cards.chosen().ifPresent(card -> begin(((Template) card.getUserData()).file()));
      return;
    }
    if (!fields.isComplete()) {
      return;
    }
    Project made = fields.wanted().project();
    begin(made);
  }

  /** A copy of another project, which stays as it is. */
  private void begin(Path file) {
    String name = fields.name().getText().strip();
    files.inBackground(
        () -> ProjectFile.read(file),
        project ->
            begin(project.withName(name.isEmpty() ? Messages.of("file-actions.untitled") : name)));
  }

  private void begin(Project project) {
    files.afterSettlingChanges(() -> {
      workspace.openNew(project);
      fields.name().clear();
      close();
    });
  }
}
