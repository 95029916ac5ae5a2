package dynamorph.cli;

import dynamorph.cli.message.Messages;
import dynamorph.footage.FootageFiles;
import dynamorph.formats.file.SafeFile;
import dynamorph.model.Artboard;
import dynamorph.model.Project;
import dynamorph.model.timeline.Time;
import dynamorph.paint.export.ArtboardPicture;
import dynamorph.paint.film.FilmPicture;
import dynamorph.paint.film.FootagePainter;
import dynamorph.paint.film.TitleMoment;
import dynamorph.paint.layer.LayerPainter;
import dynamorph.paint.scene.Scene;
import dynamorph.paint.scene.SceneMaker;
import dynamorph.typeset.font.FontLibrary;
import dynamorph.typeset.layout.Typesetter;
import java.io.IOException;
import java.nio.file.Path;
import java.util.concurrent.Callable;
import picocli.CommandLine.Command;
import picocli.CommandLine.Mixin;
import picocli.CommandLine.Option;

/** What a file manager shows for a project: its first artboard, or its first film at a title. */
@Command(
    name = "thumbnail",
    description = "${bundle:thumbnail-command.draws-what-a-file-manager-shows}",
    mixinStandardHelpOptions = true)
final class ThumbnailCommand implements Callable<Integer> {
  private static final int MOST = 4096;

  @Mixin private ProjectArgument file;

  @Option(
      names = "--size",
      paramLabel = "PIXELS",
      defaultValue = "256",
      description = "${bundle:thumbnail-command.the-longer-side}")
  private int size;

  @Option(
      names = {"-o", "--output"},
      required = true,
      paramLabel = "PNG",
      description = "${bundle:render-command.the-picture-to-write}")
  private Path output;

  @Override
  public Integer call() throws IOException {
    if (size < 1 || size > MOST) {
      throw new IllegalArgumentException(
          Messages.of("thumbnail-command.size-is-out-of-range", size, MOST));
    }
    Project project = file.read();
    Artboard first =
        project
            .still()
            .findFirst()
            .or(() -> project.films().findFirst())
            .orElseThrow(
                () -> new IllegalArgumentException(Messages.of("thumbnail-command.no-artboard")));
    try (FontLibrary fonts = FontLibrary.forProject(project.assets());
        FootageFiles footage = new FootageFiles()) {
      LayerPainter painter = new LayerPainter();
      Scene scene = new SceneMaker(new Typesetter(fonts), painter).make(project);
      Scene.Board board = scene.board(first.id()).orElseThrow();
      double scale = size / Math.max(first.width(), first.height());
      byte[] png =
          first.isFilm()
              ? new FilmPicture(painter, FootagePainter.of(project, footage))
                  .png(
                      board,
                      TitleMoment.ofFirst(first.layers().stream()).orElse(Time.ZERO),
                      scale,
                      FilmPicture.Under.FOOTAGE)
              : new ArtboardPicture(painter).png(board, scale);
      SafeFile.write(output, stream -> stream.write(png));
    }
    return 0;
  }
}
