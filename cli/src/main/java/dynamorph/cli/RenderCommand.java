package dynamorph.cli;

import dynamorph.formats.file.SafeFile;
import dynamorph.model.Artboard;
import dynamorph.model.Project;
import dynamorph.paint.export.ArtboardPicture;
import dynamorph.paint.layer.LayerPainter;
import dynamorph.paint.scene.Scene;
import dynamorph.paint.scene.SceneMaker;
import dynamorph.typeset.font.FontLibrary;
import dynamorph.typeset.layout.Typesetter;
import java.io.IOException;
import java.nio.file.Path;
import java.util.Set;
import java.util.TreeSet;
import java.util.concurrent.Callable;
import picocli.CommandLine.Command;
import picocli.CommandLine.Mixin;
import picocli.CommandLine.Model.CommandSpec;
import picocli.CommandLine.Option;
import picocli.CommandLine.Spec;

@Command(
    name = "render",
    description = "Draws an artboard as a PNG.",
    mixinStandardHelpOptions = true)
final class RenderCommand implements Callable<Integer> {
  @Mixin private ProjectArgument file;

  @Option(
      names = "--artboard",
      required = true,
      paramLabel = "NAME",
      description = "Name or id of the artboard.")
  private String artboardName;

  @Option(
      names = "--scale",
      paramLabel = "S",
      defaultValue = "1",
      description = "Pixels per point; 1 by default.")
  private double scale;

  @Option(
      names = {"-o", "--output"},
      required = true,
      paramLabel = "PNG",
      description = "The picture to write.")
  private Path output;

  @Spec private CommandSpec spec;

  @Override
  public Integer call() throws IOException {
    Project project = file.read();
    Artboard artboard = Choosing.artboard(project, artboardName);
    try (FontLibrary fonts = FontLibrary.forProject(project.assets())) {
      LayerPainter painter = new LayerPainter();
      Scene scene = new SceneMaker(new Typesetter(fonts), painter).make(project);
      Scene.Board board =
          scene.boards().stream()
              .filter(candidate -> candidate.artboard().id().equals(artboard.id()))
              .findFirst()
              .orElseThrow();
      byte[] png = new ArtboardPicture(painter).png(board, scale);
      SafeFile.write(output, stream -> stream.write(png));
      warn(board);
    }
    return 0;
  }

  private void warn(Scene.Board board) {
    Set<String> missing = new TreeSet<>();
    board.texts().forEach(text -> missing.addAll(text.layout().missingFamilies()));
    if (!missing.isEmpty()) {
      spec.commandLine()
          .getErr()
          .println(
              "dynamorph: not on this machine, drawn in "
                  + FontLibrary.SUBSTITUTE
                  + ": "
                  + String.join(", ", missing));
    }
  }
}
