package dynamorph.bench;

import dynamorph.model.Project;
import dynamorph.model.edit.Target;
import dynamorph.model.edit.layer.MoveLayers;
import dynamorph.model.edit.style.ChangeStyle;
import dynamorph.model.reach.Followers;
import dynamorph.paint.scene.Scene;
import dynamorph.paint.stage.View;
import org.openjdk.jmh.annotations.Benchmark;
import org.openjdk.jmh.annotations.Level;
import org.openjdk.jmh.annotations.Param;
import org.openjdk.jmh.annotations.Setup;

/** What an edit costs from the edit to the finished frame, all followers in view, at 1280 × 800. */
public class StyleEditBench extends FrameBench {
  private static final View VIEW = new View(1280, 800, 1, 10, 0);

  @Param({"100", "1000"})
  public int followers;

  private Project project;
  private Scene scene;
  private boolean heavy;

  /** A window that shows the project. */
  @Setup(Level.Trial)
  public void open() {
    project = ManyLayers.project(followers);
    scene = maker.make(project);
    render();
  }

  private boolean render() {
    return render(scene, VIEW);
  }

  /** Font, weight, colour and stroke of a style together. */
  @Benchmark
  public boolean styleEditToFrame() {
    heavy = !heavy;
    project = new ChangeStyle(ManyLayers.look(project, heavy)).applyTo(project);
    scene = maker.make(project, scene);
    return render();
  }

  /** The same without painting: the edit, the cascade and the layouts. */
  @Benchmark
  public Scene styleEditToScene() {
    heavy = !heavy;
    project = new ChangeStyle(ManyLayers.look(project, heavy)).applyTo(project);
    scene = maker.make(project, scene);
    return scene;
  }

  /** One text moved by a point. */
  @Benchmark
  public boolean moveToFrame() {
    heavy = !heavy;
    project = new MoveLayers(Target.Layers.of("t7"), heavy ? 1 : -1, 0).applyTo(project);
    scene = maker.make(project, scene);
    return render();
  }

  /** Nothing changed: only copying. */
  @Benchmark
  public boolean sameFrameAgain() {
    return render();
  }

  /** Who follows the style. */
  @Benchmark
  public int countFollowers() {
    return Followers.of(project).of(project.styles().list().getFirst().id()).size();
  }
}
