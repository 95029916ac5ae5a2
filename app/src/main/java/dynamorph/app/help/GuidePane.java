package dynamorph.app.help;

import dynamorph.app.field.Controls;
import dynamorph.app.message.Messages;
import dynamorph.formats.guide.Guide;
import dynamorph.formats.guide.GuideLink;
import dynamorph.formats.guide.GuidePage;
import dynamorph.formats.guide.GuideSection;
import java.util.ArrayDeque;
import java.util.Deque;
import java.util.List;
import java.util.Optional;
import javafx.application.Platform;
import javafx.geometry.Bounds;
import javafx.geometry.Pos;
import javafx.scene.Node;
import javafx.scene.control.Button;
import javafx.scene.control.Hyperlink;
import javafx.scene.control.Label;
import javafx.scene.control.ScrollPane;
import javafx.scene.control.TextField;
import javafx.scene.input.KeyCode;
import javafx.scene.input.KeyEvent;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.VBox;
import org.jspecify.annotations.Nullable;
import org.kordamp.ikonli.feather.Feather;

/**
 * The guide over the right of the stage, so that one reads it beside what it speaks of: its
 * contents, a page, or what was found in it.
 */
public final class GuidePane extends VBox {
  private static final double WIDTH = 400;

  private final Guide guide;
  private final Runnable leave;
  private final TextField search = new TextField();
  private final VBox content = new VBox();
  private final ScrollPane scroll = Controls.scrolled(content);
  private final Button contents =
      Controls.icon(Feather.LIST, Messages.of("guide-pane.contents"), this::showContents);
  private final Button back =
      Controls.icon(Feather.ARROW_LEFT, Messages.of("guide-pane.back"), this::back);

  /** Where one was; the last is where one is. */
  private final Deque<Place> trail = new ArrayDeque<>();

  /** What is shown: a place in the guide, or without one the contents. */
  private record Place(Optional<GuideLink> link) {}

  /**
   * @param leave gives the keyboard back when the pane is closed
   */
  public GuidePane(Guide guide, Runnable leave) {
    super(8);
    this.guide = guide;
    this.leave = leave;
    getStyleClass().addAll("find-pane", "guide-pane");
    setId("guide");
    setPrefWidth(WIDTH);
    setMaxHeight(Double.MAX_VALUE);
    contents.setId("guide-contents");
    back.setId("guide-back");
    search.setId("guide-search");
    search.setPromptText(Messages.of("guide-pane.search"));
    search.setAccessibleText(Messages.of("guide-pane.search"));
    search.textProperty().addListener((_, _, _) -> searched());
    content.getStyleClass().add("guide-content");
    Label title = new Label(Messages.of("guide-pane.guide"));
    title.getStyleClass().add("section-title");
    HBox head =
        new HBox(
            6,
            title,
            Controls.gap(),
            back,
            contents,
            Controls.icon(Feather.X, Messages.of("common.close-esc"), this::close));
    head.setAlignment(Pos.CENTER_LEFT);
    VBox.setVgrow(scroll, Priority.ALWAYS);
    getChildren().addAll(head, search, scroll);
    addEventFilter(KeyEvent.KEY_PRESSED, this::keyPressed);
    setVisible(false);
    managedProperty().bind(visibleProperty());
    go(new Place(Optional.empty()));
  }

  /** Opens the guide where it was left. */
  public void open() {
    setVisible(true);
    search.requestFocus();
  }

  /** Opens the guide at a place. */
  public void open(GuideLink place) {
    setVisible(true);
    search.clear();
    go(new Place(Optional.of(place)));
  }

  private void close() {
    setVisible(false);
    leave.run();
  }

  private void keyPressed(KeyEvent event) {
    if (event.getCode() == KeyCode.ESCAPE) {
      if (search.getText().isEmpty()) {
        close();
      } else {
        search.clear();
      }
      event.consume();
    } else if (event.getCode() == KeyCode.LEFT && event.isAltDown()) {
      back();
      event.consume();
    } else if (event.getCode() == KeyCode.ENTER && search.isFocused()) {
      firstLink(content).ifPresent(Hyperlink::fire);
      event.consume();
    }
  }

  private static Optional<Hyperlink> firstLink(VBox within) {
    return within.lookup(".hyperlink") instanceof Hyperlink link
        ? Optional.of(link)
        : Optional.empty();
  }

  // --- going

  private void showContents() {
    search.clear();
    go(new Place(Optional.empty()));
  }

  private void go(Place place) {
    if (!place.equals(trail.peekLast())) {
      trail.addLast(place);
    }
    show(place);
    // the link that was followed is gone, and the keyboard with it
    scroll.requestFocus();
  }

  private void back() {
    if (!search.getText().isEmpty()) {
      search.clear();
      return;
    }
    if (trail.size() > 1) {
      trail.removeLast();
      show(trail.getLast());
    }
  }

  private void show(Place place) {
    back.setDisable(trail.size() < 2);
    Optional<GuidePage> page = place.link().flatMap(link -> guide.page(link.page()));
    if (page.isEmpty()) {
      content.getChildren().setAll(contents());
      scroll.setVvalue(0);
      return;
    }
    GuideText text = new GuideText(page.get(), link -> go(new Place(Optional.of(link))));
    content.getChildren().setAll(text);
    Node heading = place.link().flatMap(GuideLink::anchor).flatMap(text::heading).orElse(null);
    reveal(heading);
  }

  /** Brings a heading to the top, once it is known where it stands; without one the page begins. */
  private void reveal(@Nullable Node heading) {
    scroll.setVvalue(0);
    if (heading != null) {
      // a page that is new has no places yet
      Platform.runLater(() -> scrollTo(heading));
    }
  }

  private void scrollTo(Node heading) {
    getScene().getRoot().applyCss();
    getScene().getRoot().layout();
    Bounds place = content.sceneToLocal(heading.localToScene(heading.getBoundsInLocal()));
    double more = content.getHeight() - scroll.getViewportBounds().getHeight();
    scroll.setVvalue(more <= 0 ? 0 : Math.clamp(place.getMinY() / more, 0, 1));
  }

  private VBox contents() {
    VBox list = new VBox(4);
    list.getStyleClass().add("guide-text");
    for (GuidePage page : guide.pages()) {
      Hyperlink title = link(page.title(), new GuideLink(page.id(), Optional.empty()));
      title.getStyleClass().add("guide-page-link");
      list.getChildren().add(title);
      for (GuideSection section : page.sections()) {
        if (section.level() == 2) {
          Hyperlink part =
              link(section.title(), new GuideLink(page.id(), Optional.of(section.anchor())));
          part.getStyleClass().add("guide-part-link");
          list.getChildren().add(part);
        }
      }
    }
    return list;
  }

  private Hyperlink link(String words, GuideLink to) {
    Hyperlink link = new Hyperlink(words);
    link.setWrapText(true);
    link.setOnAction(_ -> {
      search.clear();
      go(new Place(Optional.of(to)));
    });
    return link;
  }

  // --- search

  private void searched() {
    if (search.getText().isBlank()) {
      show(trail.getLast());
      return;
    }
    back.setDisable(false);
    List<Guide.Found> found = guide.find(search.getText());
    VBox list = new VBox(10);
    list.getStyleClass().add("guide-text");
    list.setId("guide-found");
    for (Guide.Found one : found) {
      Hyperlink title = link(one.section().title(), one.place());
      title.getStyleClass().add("guide-page-link");
      Label page = Controls.quiet(one.page().title());
      VBox entry = new VBox(2, title, Controls.quiet(one.excerpt()));
      if (one.section().level() > 1) {
        entry.getChildren().add(1, page);
      }
      list.getChildren().add(entry);
    }
    if (found.isEmpty()) {
      list.getChildren().add(Controls.quiet(Messages.of("guide-pane.nothing-found")));
    }
    content.getChildren().setAll(list);
    scroll.setVvalue(0);
  }
}
