package dynamorph.cli;

import dynamorph.cli.message.Messages;
import dynamorph.footage.FootageException;
import dynamorph.footage.FootageFiles;
import dynamorph.model.Artboard;
import dynamorph.model.Project;
import dynamorph.model.timeline.Clip;
import dynamorph.model.timeline.Media;
import dynamorph.model.timeline.Timeline;
import dynamorph.paint.layer.ImageSize;
import dynamorph.typeset.font.FontLibrary;
import java.io.PrintWriter;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;

/** Footage, images and fonts that are missing or cannot be read, a line each. */
final class MediaProblems {
  private MediaProblems() {}

  /**
   * Tells problems and whether something is drawn in spite of them: what is missing is drawn as
   * stripes, if it is drawn at all.
   */
  static boolean allow(List<String> problems, boolean keepGoing, PrintWriter err) {
    problems.forEach(problem -> err.println(Messages.of("dynamorph.dynamorph", problem)));
    if (!problems.isEmpty() && !keepGoing) {
      err.println(Messages.of("render-command.nothing-is-drawn"));
      return false;
    }
    return true;
  }

  /** Those of a film. */
  static List<String> footage(Artboard film) {
    List<String> problems = new ArrayList<>();
    Timeline timeline = film.timeline().orElseThrow();
    timeline
        .footage()
        .flatMap(track -> track.clips().stream())
        .forEach(clip -> add(problems, timeline, clip));
    return problems;
  }

  private static void add(List<String> problems, Timeline timeline, Clip clip) {
    if (!(clip.media() instanceof Media.File file)) {
      return;
    }
    if (!FootageFiles.isThere(file)) {
      problems.add(Messages.of("media-problems.the-footage-is-missing", clip.name(), file.path()));
      return;
    }
    try {
      FootageFiles.facts(Path.of(file.path()), timeline.rate());
    } catch (FootageException unreadable) {
      problems.add(
          Messages.of(
              "media-problems.the-footage-cannot-be-read",
              clip.name(),
              String.valueOf(unreadable.getMessage())));
    }
  }

  /** Those of a project's own fonts. */
  static List<String> fonts(FontLibrary fonts) {
    return fonts.damaged().stream()
        .map(damaged ->
            Messages.of(
                "media-problems.the-font-is-damaged",
                String.valueOf(damaged.getMessage()),
                FontLibrary.SUBSTITUTE))
        .toList();
  }

  /** Those of a project's own images. */
  static List<String> images(Project project) {
    return project.assets().stream()
        .filter(asset ->
            asset.isImage() && ImageSize.of(asset.bytes()).filter(ImageSize::fits).isEmpty())
        .map(asset -> Messages.of("media-problems.the-image-cannot-be-read", asset.shortName()))
        .toList();
  }
}
