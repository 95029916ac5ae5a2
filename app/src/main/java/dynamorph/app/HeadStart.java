package dynamorph.app;

import dynamorph.app.files.FileActions;
import dynamorph.app.render.FrameService;
import dynamorph.app.render.Studio;
import dynamorph.demo.AsItCame;
import dynamorph.demo.MuseumShelf;
import dynamorph.model.Project;
import dynamorph.paint.scene.PlacedLayer;
import dynamorph.paint.scene.Scene;
import dynamorph.typeset.font.Skia;
import java.util.List;
import java.util.concurrent.CompletableFuture;
import java.util.concurrent.Executor;
import org.jspecify.annotations.Nullable;

/**
 * What the first picture needs and the window does not: the project that is open first, its fonts,
 * its texts set. It is made beside the toolkit while that starts.
 *
 * @param project that is open first
 * @param studio for it; its texts may still be in the making, which nobody waits for
 */
public record HeadStart(Project project, Studio studio) {
  private static @Nullable CompletableFuture<HeadStart> begun;

  /** Begins with it; before the toolkit is started, with the arguments of the program. */
  public static void begin(List<String> arguments) {
    Executor beside = work -> FrameService.daemon("head-start").newThread(work).start();
    Executor library = work -> FrameService.daemon("skia").newThread(work).start();
    library.execute(Skia::ready);
    CompletableFuture<HeadStart> made =
        CompletableFuture.supplyAsync(() -> made(arguments), beside);
    made.thenAcceptAsync(HeadStart::set, beside);
    begun = made;
  }

  /** What was begun, or made now where nobody began. */
  static HeadStart of(List<String> arguments) {
    CompletableFuture<HeadStart> made = begun;
    return made == null ? made(arguments) : made.join();
  }

  private static HeadStart made(List<String> arguments) {
    Project project = project(arguments);
    return new HeadStart(project, Studio.of(project));
  }

  /** Sets what lies on the artboards; the studio remembers how. */
  private static void set(HeadStart ready) {
    Scene scene = ready.studio.maker().make(ready.project).in(new Scene.Sight.Still());
    scene.boards().forEach(board -> board.texts().forEach(PlacedLayer::ink));
  }

  private static Project project(List<String> arguments) {
    if (arguments.contains("--messy")) {
      return AsItCame.project();
    }
    return Program.Start.of(arguments).demo() ? MuseumShelf.linked() : FileActions.blank();
  }
}
