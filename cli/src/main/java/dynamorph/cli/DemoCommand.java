package dynamorph.cli;

import dynamorph.cli.message.Messages;
import dynamorph.demo.AsItCame;
import dynamorph.demo.LongHour;
import dynamorph.formats.project.ProjectFile;
import java.io.IOException;
import java.nio.file.Path;
import java.util.concurrent.Callable;
import picocli.CommandLine.Command;
import picocli.CommandLine.Option;

@Command(
    name = "demo",
    description = "${bundle:demo-command.opens-the-window-with-the-demo}",
    mixinStandardHelpOptions = true)
final class DemoCommand implements Callable<Integer> {
  @Option(
      names = "--write",
      paramLabel = "FILE",
      description = "${bundle:demo-command.saves-the-demo-project}")
  private Path output;

  @Option(names = "--messy", description = "${bundle:demo-command.the-messy-project}")
  private boolean messy;

  @Option(
      names = "--screenshot",
      paramLabel = "FILE",
      description = "${bundle:demo-command.takes-a-picture-of-the-window}")
  private Path screenshot;

  @Option(
      names = "--view",
      paramLabel = "NAME",
      description = "${bundle:demo-command.what-the-picture-shows-an-unknown}")
  private String view;

  @Override
  public Integer call() throws IOException {
    if (output == null) {
      throw new IllegalArgumentException(Messages.of("demo-command.the-window-is-opened-by-the"));
    }
    ProjectFile.write(messy ? AsItCame.project() : LongHour.project(), output);
    return 0;
  }
}
