package dynamorph.cli;

import dynamorph.cli.message.Messages;
import dynamorph.model.Project;
import dynamorph.paint.layer.LayerPainter;
import dynamorph.paint.scene.PlacedLayer;
import dynamorph.paint.scene.Scene;
import dynamorph.paint.scene.SceneMaker;
import dynamorph.typeset.font.FontLibrary;
import dynamorph.typeset.layout.Typesetter;
import java.io.IOException;
import java.io.PrintWriter;
import java.util.concurrent.Callable;
import picocli.CommandLine.Command;
import picocli.CommandLine.Mixin;
import picocli.CommandLine.Model.CommandSpec;
import picocli.CommandLine.Spec;

@Command(
    name = "validate",
    description = "${bundle:validate-command.checks-that-a-project-file-is}",
    mixinStandardHelpOptions = true)
final class ValidateCommand implements Callable<Integer> {
  @Mixin private ProjectArgument file;
  @Spec private CommandSpec spec;

  @Override
  public Integer call() throws IOException {
    Project project = file.read();
    PrintWriter out = spec.commandLine().getOut();
    try (FontLibrary fonts = FontLibrary.forProject(project.assets())) {
      Scene scene = new SceneMaker(new Typesetter(fonts), new LayerPainter()).make(project);
      for (Scene.Board board : scene.boards()) {
        board.texts().forEach(text -> report(out, board, text));
      }
      MediaProblems.fonts(fonts).forEach(out::println);
    }
    MediaProblems.images(project).forEach(out::println);
    project
        .films()
        .forEach(film ->
            MediaProblems.footage(film)
                .forEach(problem ->
                    out.println(Messages.of("validate-command.in-film", film.name(), problem))));
    out.println(
        Messages.of(
            "validate-command.sound-artboards-layers-styles",
            project.artboards().size(),
            project.layers().count(),
            project.styles().size()));
    return 0;
  }

  private static void report(PrintWriter out, Scene.Board board, PlacedLayer text) {
    String place =
        board.artboard().name() + "/" + text.layer().name() + " (" + text.layer().id() + "): ";
    text.layout()
        .missingFamilies()
        .forEach(family ->
            out.println(Messages.of("validate-command.the-font-is-not-on-this", place, family)));
    text.layout()
        .missingGlyphs()
        .forEach(code ->
            out.println(
                Messages.of("validate-command.no-font-has", place, "U+%04X".formatted(code))));
    text.layout()
        .overset()
        .ifPresent(
            overset -> out.println(Messages.of("validate-command.overset", place, overset.text())));
  }
}
