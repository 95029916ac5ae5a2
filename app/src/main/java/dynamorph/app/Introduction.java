package dynamorph.app;

import dynamorph.app.action.Actions;
import dynamorph.app.artboards.stage.StageView;
import dynamorph.app.field.HelpRequest;
import dynamorph.app.files.FileActions;
import dynamorph.app.files.UserFolder;
import dynamorph.app.help.GuidePages;
import dynamorph.app.help.GuidePane;
import dynamorph.app.render.PictureService;
import dynamorph.app.render.StatePictures;
import dynamorph.app.session.Workspace;
import dynamorph.app.start.StartPane;
import dynamorph.app.tour.TourStrip;
import dynamorph.app.window.LatePane;
import dynamorph.app.window.SidePanel;
import dynamorph.demo.LongHour;
import dynamorph.formats.guide.Guide;
import dynamorph.formats.guide.GuideLink;
import java.util.Optional;
import javafx.beans.binding.Bindings;
import javafx.geometry.Insets;
import javafx.geometry.Pos;
import javafx.scene.layout.Region;
import javafx.scene.layout.StackPane;
import org.jspecify.annotations.Nullable;

/** What helps whoever is new, or back: the start page, the tour, and the guide. */
final class Introduction {
  /** Around the guide: below the head of the window, beside the column at the right. */
  private static final Insets BESIDE = new Insets(60, 12, 12, 12);

  private final Workspace workspace;
  private final FileActions files;
  private final StageView stage;
  private final LatePane<StartPane> start;
  private final LatePane<GuidePane> guide;
  private final TourStrip tour;
  private @Nullable Guide pages;

  Introduction(
      Workspace workspace,
      Actions actions,
      FileActions files,
      StageView stage,
      StatePictures states,
      PictureService pictures,
      UserFolder user) {
    this.workspace = workspace;
    this.files = files;
    this.stage = stage;
    this.start =
        LatePane.showingItself(
            () -> new StartPane(workspace, actions, files, states, pictures, stage::requestFocus));
    this.guide = LatePane.showingItself(() -> new GuidePane(guide(), this::giveBackKeyboard));
    this.tour = new TourStrip(workspace, user, this::takeTour);
  }

  /** What is below the head of the window while there is a tour. */
  TourStrip tour() {
    return tour;
  }

  /** The page over the whole window. */
  LatePane<StartPane> start() {
    return start;
  }

  /** What one begins with when nothing is open. */
  void showStart() {
    start.get().open();
  }

  /** What the guide says, read when it is first asked for. */
  Guide guide() {
    Guide read = pages;
    if (read == null) {
      read = GuidePages.read();
      pages = read;
    }
    return read;
  }

  void openGuide(GuideLink place) {
    guide.get().open(place);
  }

  /**
   * Lays the page and the guide over a window, and opens the guide where anything in it asks for
   * that.
   *
   * @param right the column that the guide leaves in sight
   */
  void layOver(StackPane root, SidePanel right) {
    guide.setMaxSize(Region.USE_PREF_SIZE, Double.MAX_VALUE);
    StackPane.setAlignment(guide, Pos.TOP_RIGHT);
    StackPane.setMargin(guide, BESIDE);
    guide
        .translateXProperty()
        .bind(
            Bindings.when(right.visibleProperty().and(start.visibleProperty().not()))
                .then(right.widthProperty().negate())
                .otherwise(0));
    root.getChildren().addAll(start, guide);
    root.addEventHandler(
        HelpRequest.ASKED, asked -> openGuide(GuideLink.of(asked.place(), asked.place())));
  }

  void register(Actions actions) {
    actions.add("view.guide", "Shift+F1", () -> guide.get().open());
    actions.add("view.tour", "", this::takeTour);
    actions.add("view.start", "", this::showStart);
  }

  private void giveBackKeyboard() {
    if (start.isVisible()) {
      start.get().takeKeyboard();
    } else {
      stage.requestFocus();
    }
  }

  /** Opens the demo and leads through it. */
  private void takeTour() {
    files.afterSettlingChanges(() -> {
      workspace.open(LongHour.project(), Optional.empty());
      tour.begin();
      stage.requestFocus();
    });
  }
}
