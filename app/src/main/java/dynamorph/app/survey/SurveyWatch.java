package dynamorph.app.survey;

import dynamorph.app.artboards.stage.StageView;
import dynamorph.app.message.Messages;
import dynamorph.app.render.Frame;
import dynamorph.app.render.LatestWork;
import dynamorph.app.render.Studio;
import dynamorph.app.session.Notice;
import dynamorph.app.session.Workspace;
import dynamorph.model.survey.hidden.Tolerance;
import dynamorph.model.survey.rule.Rule;
import dynamorph.paint.layer.LayerPainter;
import dynamorph.paint.scene.Scene;
import dynamorph.paint.scene.SceneMaker;
import dynamorph.paint.survey.Survey;
import dynamorph.paint.survey.SurveyReport;
import dynamorph.typeset.spelling.Speller;
import java.util.Optional;
import java.util.concurrent.atomic.AtomicReference;
import java.util.function.Supplier;
import javafx.application.Platform;
import javafx.beans.property.DoubleProperty;
import javafx.beans.property.ReadOnlyObjectProperty;
import javafx.beans.property.ReadOnlyObjectWrapper;
import javafx.beans.property.SimpleDoubleProperty;
import org.jspecify.annotations.Nullable;

/**
 * Keeps a report of what could be in better order, for as long as anybody looks at it. The project
 * is looked through on a thread of its own; a newer state takes the place of one that is still
 * being looked at, and what is known so far is shown at once.
 */
public final class SurveyWatch implements AutoCloseable {
  private record Request(long number, Scene scene, SceneMaker maker, Tolerance tolerance) {}

  private final Workspace workspace;
  private final StageView stage;
  private final Supplier<Studio> studio;
  private final DoubleProperty step = new SimpleDoubleProperty(1);
  private final ReadOnlyObjectWrapper<Optional<SurveyReport>> report =
      new ReadOnlyObjectWrapper<>(Optional.empty());
  private final LayerPainter painter = new LayerPainter();
  private final LatestWork<Request> work;
  private final Survey survey;
  private volatile long number;

  public SurveyWatch(Workspace workspace, StageView stage, Supplier<Studio> studio) {
    this.workspace = workspace;
    this.stage = stage;
    this.studio = studio;
    this.work = new LatestWork<>("survey", this::survey, _ -> failed());
    this.survey = new Survey(new Speller(), workspace.footageOfChecks());
    workspace.view().surveyProperty().addListener((_, _, _) -> update());
    stage.frameProperty().addListener((_, _, _) -> update());
    step.addListener((_, _, _) -> update());
    workspace.openedProperty().addListener((_, _, _) -> begin());
    begin();
  }

  /** Another project has rules of its own. */
  private void begin() {
    report.set(Optional.empty());
    step.set(workspace.project().survey().rules().limit(Rule.HIDDEN_STYLE, "tolerance"));
    update();
  }

  /** What is known now; empty before anything is. */
  ReadOnlyObjectProperty<Optional<SurveyReport>> reportProperty() {
    return report.getReadOnlyProperty();
  }

  /** How far looks may lie apart and still be one style, 0 to 3. */
  DoubleProperty stepProperty() {
    return step;
  }

  /** The scene that the report is of. */
  Optional<Scene> scene() {
    return stage.whole();
  }

  /** Whether nothing is left to look at. */
  public boolean isIdle() {
    return !workspace.view().surveyProperty().get() || work.isIdle() && isOf(workspace);
  }

  private boolean isOf(Workspace shown) {
    return report.get().filter(known -> known.project() == shown.project()).isPresent()
        && report.get().orElseThrow().isComplete();
  }

  /** What is tried on is not surveyed, only what the project is. */
  private void update() {
    if (!workspace.view().surveyProperty().get()) {
      // nobody looks at it any more, so what is under way ends
      number++;
      asked = Optional.empty();
      return;
    }
    Optional<Scene> scene =
        stage
            .frameProperty()
            .get()
            .map(Frame::whole)
            .filter(whole -> whole.project() == workspace.project());
    if (scene.isEmpty() || isKnown(scene.get())) {
      return;
    }
    asked = Optional.of(new Asked(scene.get(), step.get()));
    work.ask(
        new Request(
            ++number,
            scene.get(),
            new SceneMaker(studio.get().maker().typesetter(), painter),
            Tolerance.ofStep(step.get())));
  }

  /** A state that was asked about already, in a frame of another place. */
  private record Asked(Scene scene, double step) {}

  private Optional<Asked> asked = Optional.empty();

  private boolean isKnown(Scene scene) {
    return asked
        .filter(known -> known.scene().project() == scene.project() && known.step() == step.get())
        .isPresent();
  }

  private void survey(Request request) {
    tell(
        request,
        survey.of(
            request.scene(),
            request.maker(),
            request.scene().project().survey().rules(),
            Optional.of(request.tolerance()),
            so -> tell(request, so),
            () -> request.number() != number));
  }

  private void failed() {
    workspace.tell(Notice.problem(Messages.of("survey.broke-off")));
  }

  /** Shows the latest of what came while the window was busy. */
  private void tell(Request request, SurveyReport found) {
    if (latest.getAndSet(new Told(request, found)) == null) {
      Platform.runLater(() -> {
        Told told = latest.getAndSet(null);
        if (told != null && told.request().number() == number) {
          report.set(Optional.of(told.found()));
        }
      });
    }
  }

  /** What was found and is not shown yet. */
  private record Told(Request request, SurveyReport found) {}

  private final AtomicReference<@Nullable Told> latest = new AtomicReference<>();

  @Override
  public void close() {
    number++;
    work.close();
  }
}
