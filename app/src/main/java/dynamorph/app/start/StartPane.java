package dynamorph.app.start;

import dynamorph.app.action.Actions;
import dynamorph.app.field.Controls;
import dynamorph.app.field.HelpRequest;
import dynamorph.app.files.FileActions;
import dynamorph.app.files.template.SizeCard;
import dynamorph.app.message.Messages;
import dynamorph.app.render.PictureService;
import dynamorph.app.render.StatePictures;
import dynamorph.app.session.Workspace;
import dynamorph.app.window.Logo;
import dynamorph.app.window.NoticeBar;
import dynamorph.demo.AsItCame;
import dynamorph.demo.LongHour;
import dynamorph.model.Project;
import dynamorph.model.timeline.FrameRate;
import dynamorph.model.timeline.Time;
import dynamorph.shelf.template.ArtboardSize;
import dynamorph.shelf.template.ArtboardSize.Purpose;
import dynamorph.shelf.template.NewProject;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.function.Supplier;
import javafx.geometry.Insets;
import javafx.geometry.Pos;
import javafx.scene.Node;
import javafx.scene.control.Button;
import javafx.scene.control.ContentDisplay;
import javafx.scene.control.Hyperlink;
import javafx.scene.control.Label;
import javafx.scene.control.ScrollPane;
import javafx.scene.input.KeyCode;
import javafx.scene.input.KeyEvent;
import javafx.scene.layout.FlowPane;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.Region;
import javafx.scene.layout.StackPane;
import javafx.scene.layout.VBox;

/**
 * What one begins with when nothing is open: projects of late with their pictures, sizes by what
 * they are for, the demo and its tour. Escape leaves a blank artboard.
 */
public final class StartPane extends HBox {
  private static final double SIDE = 250;

  /** So many of a purpose stand in a row; all are in the pane for new projects. */
  private static final int SIZES = 4;

  /** How long a film is that nobody said more about. */
  private static final Time FILM = Time.ofMillis(60_000);

  private final Workspace workspace;
  private final Actions actions;
  private final FileActions files;
  private final StatePictures states;
  private final PictureService pictures;
  private final Runnable leave;
  private final FlowPane recent = new FlowPane(14, 14);
  private final Button first;

  /**
   * @param leave gives the keyboard back when the page is closed
   */
  public StartPane(
      Workspace workspace,
      Actions actions,
      FileActions files,
      StatePictures states,
      PictureService pictures,
      Runnable leave) {
    this.workspace = workspace;
    this.actions = actions;
    this.files = files;
    this.states = states;
    this.pictures = pictures;
    this.leave = leave;
    this.first = side("project.new");
    getStyleClass().add("start-pane");
    setId("start");
    recent.setId("start-recent");
    VBox main = new VBox(12, title(Messages.of("start.go-on-with")), recent, sizesTitle(), sizes());
    main.getStyleClass().add("start-main");
    ScrollPane scroll = Controls.scrolled(main);
    NoticeBar notice = new NoticeBar(workspace);
    notice.setId("start-notice");
    StackPane.setAlignment(notice, Pos.BOTTOM_LEFT);
    StackPane.setMargin(notice, new Insets(12));
    StackPane right = new StackPane(scroll, notice);
    HBox.setHgrow(right, Priority.ALWAYS);
    getChildren().addAll(side(), right);
    setVisible(false);
    managedProperty().bind(visibleProperty());
    Controls.closeOnEscape(this, this::close);
    addEventHandler(KeyEvent.KEY_PRESSED, this::keyPressed);
    // whatever is opened from here or from elsewhere is what is wanted
    workspace.openedProperty().addListener((_, _, _) -> setVisible(false));
  }

  /** Shows the page, with the projects of late. */
  public void open() {
    list();
    setVisible(true);
    takeKeyboard();
  }

  /** Lets keys go from button to button. */
  public void takeKeyboard() {
    first.requestFocus();
  }

  /** Makes way for another pane. */
  public void close() {
    setVisible(false);
    leave.run();
  }

  /** Keys go from button to button, and nowhere behind the page. */
  private void keyPressed(KeyEvent event) {
    if (event.getCode() == KeyCode.ENTER && getScene().getFocusOwner() instanceof Button focused) {
      focused.fire();
      event.consume();
    }
  }

  private static Label title(String words) {
    Label title = new Label(words);
    title.getStyleClass().add("start-title");
    return title;
  }

  // --- at the left

  private VBox side() {
    Label name = new Label(Messages.of("start.dynamorph"));
    name.getStyleClass().add("start-name");
    HBox head = new HBox(10, new Logo(), name);
    head.setAlignment(Pos.CENTER_LEFT);
    Label claim = Controls.quiet(Messages.of("start.claim"));
    first.getStyleClass().add("commit");
    Region gap = new Region();
    VBox.setVgrow(gap, Priority.ALWAYS);
    VBox side =
        new VBox(
            6,
            head,
            claim,
            first,
            side("project.open"),
            side("view.tour"),
            side("view.guide"),
            gap,
            side("project.recovered-work"),
            side("view.theme"));
    VBox.setMargin(claim, new Insets(0, 0, 14, 0));
    side.getStyleClass().add("start-side");
    side.setMinWidth(SIDE);
    side.setPrefWidth(SIDE);
    return side;
  }

  /** An action with its shortcut at the right. */
  private Button side(String id) {
    var action = actions.get(id);
    Label keys = new Label(action.shortcutText());
    keys.getStyleClass().add("start-keys");
    HBox row = new HBox(8, new Label(action.name()), Controls.gap(), keys);
    row.setAlignment(Pos.CENTER_LEFT);
    Button button = new Button();
    button.setId("start-" + id.substring(id.indexOf('.') + 1));
    button.setAccessibleText(action.name());
    button.setContentDisplay(ContentDisplay.GRAPHIC_ONLY);
    button.setGraphic(row);
    button.setMaxWidth(Double.MAX_VALUE);
    row.prefWidthProperty().bind(button.widthProperty().subtract(26));
    button.setOnAction(_ -> {
      if (id.equals("project.new") || id.equals("project.recovered-work")) {
        close();
      }
      if (id.equals("view.guide")) {
        fireEvent(new HelpRequest("guide"));
      } else {
        action.run();
      }
    });
    return button;
  }

  // --- projects

  private void list() {
    List<Node> cards = new ArrayList<>();
    List<Path> of = files.user().recent();
    for (Path file : of) {
      RecentCard card = RecentCard.ofFile(file, states, pictures);
      card.setOnAction(_ -> files.open(file));
      card.onForget(() -> {
        files.user().forget(file);
        list();
        Node next = recent.getChildren().stream().findFirst().orElse(first);
        next.requestFocus();
      });
      cards.add(card);
    }
    cards.add(sample("long-hour", Messages.of("start.demo-words"), LongHour::project));
    if (of.size() < 2) {
      cards.add(sample("as-it-came", Messages.of("start.messy-words"), AsItCame::project));
    }
    recent.getChildren().setAll(cards);
  }

  private RecentCard sample(String id, String words, Supplier<Project> project) {
    RecentCard card = RecentCard.ofSample(id, words, project, states, pictures);
    card.setOnAction(
        _ -> files.afterSettlingChanges(() -> workspace.open(project.get(), Optional.empty())));
    return card;
  }

  // --- sizes

  private FlowPane sizes() {
    FlowPane row = new FlowPane(28, 12);
    row.setId("start-sizes");
    for (Purpose purpose : Purpose.values()) {
      HBox cards = new HBox(2);
      cards.setAlignment(Pos.BOTTOM_LEFT);
      ArtboardSize.of(purpose).limit(SIZES).forEach(size -> cards.getChildren().add(card(size)));
      Label words = new Label(purpose.label());
      words.getStyleClass().add("quiet");
      row.getChildren().add(new VBox(4, words, cards));
    }
    return row;
  }

  private HBox sizesTitle() {
    Hyperlink more = new Hyperlink(Messages.of("start.all-sizes"));
    more.setId("start-all-sizes");
    more.setOnAction(_ -> {
      close();
      actions.get("project.new").run();
    });
    HBox row = new HBox(16, title(Messages.of("start.begin-with-a-size")), more);
    row.setAlignment(Pos.BASELINE_LEFT);
    return row;
  }

  private Button card(ArtboardSize size) {
    Button card = new Button();
    card.getStyleClass().setAll("size-card");
    card.setContentDisplay(ContentDisplay.GRAPHIC_ONLY);
    card.setGraphic(SizeCard.face(size));
    card.setAccessibleText(size.name() + ", " + size.words());
    card.setOnAction(_ -> {
      Optional<NewProject.Film> film =
          size.purpose() == Purpose.FILM
              ? Optional.of(new NewProject.Film(FrameRate.PAL, FILM))
              : Optional.empty();
      Project made = new NewProject("", size, film, Optional.empty()).project();
      files.afterSettlingChanges(() -> workspace.openNew(made));
    });
    return card;
  }
}
