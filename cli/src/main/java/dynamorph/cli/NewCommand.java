package dynamorph.cli;

import dynamorph.cli.message.Messages;
import dynamorph.formats.project.ProjectFile;
import dynamorph.model.Project;
import dynamorph.model.edit.importing.StyleBundle;
import dynamorph.model.timeline.FrameRate;
import dynamorph.model.timeline.Timecode;
import dynamorph.shelf.Shelf;
import dynamorph.shelf.entry.Kept;
import dynamorph.shelf.folder.PersonalFolders;
import dynamorph.shelf.starter.StarterKits;
import dynamorph.shelf.template.ArtboardSize;
import dynamorph.shelf.template.NewProject;
import dynamorph.shelf.template.Templates;
import java.io.IOException;
import java.io.PrintWriter;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.Optional;
import java.util.concurrent.Callable;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.jspecify.annotations.Nullable;
import picocli.CommandLine.Command;
import picocli.CommandLine.Model.CommandSpec;
import picocli.CommandLine.Option;
import picocli.CommandLine.Parameters;
import picocli.CommandLine.Spec;

/** Begins a project: by size, as a film, with a kit, or as a template. */
@Command(
    name = "new",
    description = "${bundle:new-command.begins-a-project}",
    mixinStandardHelpOptions = true)
final class NewCommand implements Callable<Integer> {
  @Parameters(
      index = "0",
      arity = "0..1",
      paramLabel = "OUT",
      description = "${bundle:new-command.out}")
  private @Nullable Path out;

  @Option(names = "--list", description = "${bundle:new-command.list}")
  private boolean list;

  @Option(names = "--name", paramLabel = "NAME", description = "${bundle:new-command.name}")
  private String name = "";

  @Option(names = "--size", paramLabel = "SIZE", description = "${bundle:new-command.size}")
  private @Nullable String size;

  private enum Orientation {
    PORTRAIT,
    LANDSCAPE
  }

  @Option(
      names = "--orientation",
      paramLabel = "ORIENTATION",
      description = "${bundle:new-command.orientation}")
  private @Nullable Orientation orientation;

  @Option(names = "--rate", paramLabel = "FPS", description = "${bundle:new-command.rate}")
  private @Nullable String rate;

  @Option(
      names = "--duration",
      paramLabel = "TIMECODE",
      description = "${bundle:new-command.duration}")
  private String duration = "00:01:00:00";

  @Option(names = "--kit", paramLabel = "KIT", description = "${bundle:new-command.kit}")
  private @Nullable String kit;

  @Option(
      names = "--template",
      paramLabel = "TEMPLATE",
      description = "${bundle:new-command.template}")
  private @Nullable String template;

  @Spec private CommandSpec spec;

  private final Templates templates =
      new Templates(PersonalFolders.ofProcess().home().resolve("templates"));

  @Override
  public Integer call() throws IOException {
    if (list) {
      printChoices(spec.commandLine().getOut());
      return 0;
    }
    if (out == null) {
      throw new IllegalArgumentException(Messages.of("new-command.say-where"));
    }
    if (Files.exists(out)) {
      throw new IllegalArgumentException(Messages.of("new-command.is-there", out));
    }
    ProjectFile.write(template == null ? made() : copied(template), out);
    return 0;
  }

  private Project made() {
    ArtboardSize wanted = size == null ? NewProject.standard().size() : size(size);
    Optional<NewProject.Film> film =
        rate != null || wanted.purpose() == ArtboardSize.Purpose.FILM
            ? Optional.of(film())
            : Optional.empty();
    return new NewProject(name, oriented(wanted), film, looks()).project();
  }

  private ArtboardSize oriented(ArtboardSize wanted) {
    boolean lies = wanted.width() > wanted.height();
    boolean other = orientation != null && lies != (orientation == Orientation.LANDSCAPE);
    return other ? wanted.turned() : wanted;
  }

  /** With a frame rate, the size of a film is meant where there are several of the name. */
  private ArtboardSize size(String wanted) {
    return ArtboardSize.ALL.stream()
        .filter(one -> one.name().equalsIgnoreCase(wanted.strip()))
        .filter(one -> rate == null || one.purpose() == ArtboardSize.Purpose.FILM)
        .findFirst()
        .or(() -> ArtboardSize.named(wanted))
        .orElseThrow(() ->
            new IllegalArgumentException(
                Messages.of(
                    "new-command.no-such-size",
                    wanted,
                    ArtboardSize.ALL.stream()
                        .map(ArtboardSize::name)
                        .distinct()
                        .collect(Collectors.joining(", ")))));
  }

  private NewProject.Film film() {
    FrameRate wanted = rate == null ? FrameRate.PAL : FrameRate.parse(rate);
    return new NewProject.Film(wanted, wanted.at(new Timecode(wanted, false).parse(duration)));
  }

  private Optional<StyleBundle> looks() {
    if (kit == null) {
      return Optional.empty();
    }
    String wanted = kit.strip();
    Shelf shelf =
        StarterKits.all().stream()
            .filter(one -> one.id().equals(wanted) || one.name().equalsIgnoreCase(wanted))
            .findFirst()
            .map(one -> StarterKits.read(one.id()))
            .orElseThrow(() ->
                new IllegalArgumentException(
                    Messages.of(
                        "new-command.no-such-kit",
                        wanted,
                        StarterKits.all().stream()
                            .map(StarterKits.Kit::id)
                            .collect(Collectors.joining(", ")))));
    return Optional.of(
        shelf.bundle(
            Stream.concat(shelf.styles().stream(), shelf.swatches().stream())
                .map(Kept::id)
                .toList()));
  }

  /** A template by its name, or any project by its file. */
  private Project copied(String wanted) throws IOException {
    Optional<Templates.Template> known =
        templates.list().stream()
            .filter(one -> one.name().equalsIgnoreCase(wanted.strip()))
            .findFirst();
    Project project = known.isPresent() ? known.get().read() : ProjectFile.read(Path.of(wanted));
    return name.isBlank() ? project : project.withName(name.strip());
  }

  private void printChoices(PrintWriter out) throws IOException {
    for (ArtboardSize one : ArtboardSize.ALL) {
      out.printf("%-8s %-18s %s%n", one.purpose().label(), one.name(), one.words());
    }
    StarterKits.all()
        .forEach(one ->
            out.printf(
                "%-8s %-18s %s%n", Messages.of("new-command.kit-word"), one.id(), one.note()));
    templates
        .list()
        .forEach(
            one -> out.printf("%-8s %s%n", Messages.of("new-command.template-word"), one.name()));
  }
}
