package dynamorph.cli;

import dynamorph.cli.message.Messages;
import java.io.PrintWriter;
import picocli.CommandLine;
import picocli.CommandLine.Command;
import picocli.CommandLine.HelpCommand;

/** The root of all commands. */
@Command(
    resourceBundle = "dynamorph.cli.message.messages",
    name = "dynamorph",
    description = "${bundle:dynamorph.one-look-for-text-kept-as}",
    mixinStandardHelpOptions = true,
    version = "${bundle:dynamorph.dynamorph-0-1-0}",
    subcommands = {
      InfoCommand.class,
      ResolveCommand.class,
      RenderCommand.class,
      SetCommand.class,
      ApplyCommand.class,
      ReachCommand.class,
      FollowCommand.class,
      StampCommand.class,
      DropCommand.class,
      SaveIntoCommand.class,
      DetachCommand.class,
      DeriveCommand.class,
      MergeCommand.class,
      DeleteCommand.class,
      ValidateCommand.class,
      CaptionsCommand.class,
      TitlesCommand.class,
      CheckCommand.class,
      TypesetCommand.class,
      SpecimenCommand.class,
      FontsCommand.class,
      DemoCommand.class,
      HelpCommand.class
    },
    footer = {
      "",
      "${bundle:dynamorph.without-a-command-or-with-demo}",
      "${bundle:dynamorph.dynamorph-demo-screenshot-file-view-name}"
    })
public final class Dynamorph implements Runnable {
  /** The exit code of a command that could not do its work. */
  public static final int FAILED = 1;

  @Override
  public void run() {
    CommandLine.usage(this, System.out);
  }

  /** Runs a command; its words go to the streams given. Returns the exit code. */
  public static int run(PrintWriter out, PrintWriter err, String... arguments) {
    CommandLine line =
        new CommandLine(new Dynamorph())
            .setOut(out)
            .setErr(err)
            .setCaseInsensitiveEnumValuesAllowed(true)
            .setExecutionExceptionHandler((failure, command, _) -> told(failure, command))
            .setParameterExceptionHandler((failure, _) -> told(failure, failure.getCommandLine()));
    return line.execute(arguments);
  }

  /** One clear line instead of a trace. */
  private static int told(Exception failure, CommandLine command) {
    String message = failure.getMessage() == null ? failure.toString() : failure.getMessage();
    command
        .getErr()
        .println(Messages.of("dynamorph.dynamorph", message.lines().findFirst().orElse(message)));
    command.getErr().flush();
    return failure instanceof CommandLine.ParameterException ? 2 : FAILED;
  }

  public static void main(String[] arguments) {
    int code =
        run(
            new PrintWriter(System.out, true, java.nio.charset.StandardCharsets.UTF_8),
            new PrintWriter(System.err, true, java.nio.charset.StandardCharsets.UTF_8),
            arguments);
    System.exit(code);
  }
}
