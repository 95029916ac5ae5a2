package dynamorph.cli;

import dynamorph.cli.message.Messages;
import java.io.PrintWriter;
import java.util.LinkedHashMap;
import java.util.Map;
import java.util.Optional;
import java.util.function.Supplier;
import java.util.stream.Stream;
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
    footer = {
      "",
      "${bundle:dynamorph.without-a-command-or-with-demo}",
      "${bundle:dynamorph.dynamorph-demo-screenshot-file-view-name}"
    })
public final class Dynamorph implements Runnable {
  /** The exit code of a command that could not do its work. */
  public static final int FAILED = 1;

  private static final String HELP = "help";

  /** All commands by their names, in the order in which help lists them. */
  static final Map<String, Supplier<Object>> COMMANDS = commands();

  private static Map<String, Supplier<Object>> commands() {
    Map<String, Supplier<Object>> commands = new LinkedHashMap<>();
    commands.put("new", NewCommand::new);
    commands.put("info", InfoCommand::new);
    commands.put("resolve", ResolveCommand::new);
    commands.put("render", RenderCommand::new);
    commands.put("export", ExportCommand::new);
    commands.put("thumbnail", ThumbnailCommand::new);
    commands.put("set", SetCommand::new);
    commands.put("apply", ApplyCommand::new);
    commands.put("reach", ReachCommand::new);
    commands.put("follow", FollowCommand::new);
    commands.put("stamp", StampCommand::new);
    commands.put("drop", DropCommand::new);
    commands.put("save-into", SaveIntoCommand::new);
    commands.put("detach", DetachCommand::new);
    commands.put("derive", DeriveCommand::new);
    commands.put("merge", MergeCommand::new);
    commands.put("delete", DeleteCommand::new);
    commands.put("validate", ValidateCommand::new);
    commands.put("captions", CaptionsCommand::new);
    commands.put("titles", TitlesCommand::new);
    commands.put("check", CheckCommand::new);
    commands.put("survey", SurveyCommand::new);
    commands.put("words", WordsCommand::new);
    commands.put("import", ImportCommand::new);
    commands.put("fill", FillCommand::new);
    commands.put("styles", StylesCommand::new);
    commands.put("shelf", ShelfCommand::new);
    commands.put("typeset", TypesetCommand::new);
    commands.put("specimen", SpecimenCommand::new);
    commands.put("fonts", FontsCommand::new);
    commands.put("demo", DemoCommand::new);
    // a reference to the constructor cannot be kept for later starts, as the class is of an old
    // kind
    commands.put(HELP, () -> new HelpCommand());
    return commands;
  }

  @Override
  public void run() {
    CommandLine.usage(this, System.out);
  }

  /** Runs a command; its words go to the streams given. Returns the exit code. */
  public static int run(PrintWriter out, PrintWriter err, String... arguments) {
    CommandLine line = new CommandLine(new Dynamorph());
    // reading the options of every command takes longer than most commands themselves
    Optional<String> only =
        Stream.of(arguments)
            .limit(1)
            .filter(COMMANDS::containsKey)
            .filter(name -> !name.equals(HELP))
            .findFirst();
    COMMANDS.forEach((name, command) -> {
      if (only.isEmpty() || only.get().equals(name)) {
        line.addSubcommand(name, command.get());
      }
    });
    line.setOut(out)
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
