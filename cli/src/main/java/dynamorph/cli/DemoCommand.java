package dynamorph.cli;

import dynamorph.demo.LongHour;
import dynamorph.formats.project.ProjectFile;
import java.io.IOException;
import java.nio.file.Path;
import java.util.concurrent.Callable;
import picocli.CommandLine.Command;
import picocli.CommandLine.Option;

@Command(
    name = "demo",
    description = "Opens the window with the demo project, or saves that project.",
    mixinStandardHelpOptions = true)
final class DemoCommand implements Callable<Integer> {
  @Option(names = "--write", paramLabel = "FILE", description = "Saves the demo project.")
  private Path output;

  @Option(
      names = "--screenshot",
      paramLabel = "FILE",
      description = "Takes a picture of the window at 1280 \u00d7 800.")
  private Path screenshot;

  @Option(
      names = "--view",
      paramLabel = "NAME",
      description = "What the picture shows; an unknown name lists all.")
  private String view;

  @Override
  public Integer call() throws IOException {
    if (output == null) {
      throw new IllegalArgumentException(
          "the window is opened by the script ./dynamorph, not from here");
    }
    ProjectFile.write(LongHour.project(), output);
    return 0;
  }
}
