package dynamorph.cli;

import dynamorph.cli.message.Messages;
import dynamorph.formats.project.ProjectFile;
import dynamorph.formats.project.StyleJson;
import dynamorph.model.Project;
import dynamorph.model.cascade.Cascade;
import dynamorph.model.property.PropertyKey;
import dynamorph.model.property.PropertySet;
import dynamorph.model.reach.StyleFilter;
import dynamorph.model.style.Style;
import dynamorph.shelf.Action;
import dynamorph.shelf.Change;
import dynamorph.shelf.Shelf;
import dynamorph.shelf.entry.Entry;
import dynamorph.shelf.entry.Kept;
import dynamorph.shelf.entry.Version;
import dynamorph.shelf.folder.PersonalFolders;
import dynamorph.shelf.folder.ShelfFolder;
import dynamorph.shelf.follow.PartWords;
import dynamorph.shelf.projects.ProjectIndex;
import dynamorph.shelf.projects.ProjectUse;
import java.io.IOException;
import java.io.PrintWriter;
import java.nio.file.Path;
import java.time.Instant;
import java.time.ZoneId;
import java.time.format.DateTimeFormatter;
import java.util.List;
import java.util.Locale;
import java.util.stream.Collectors;
import org.jspecify.annotations.Nullable;
import picocli.CommandLine;
import picocli.CommandLine.Command;
import picocli.CommandLine.Model.CommandSpec;
import picocli.CommandLine.Option;
import picocli.CommandLine.Parameters;
import picocli.CommandLine.ScopeType;
import picocli.CommandLine.Spec;

/** The library of looks outside any project. */
@Command(
    name = "shelf",
    description = "${bundle:shelf-command.the-shelf}",
    mixinStandardHelpOptions = true,
    subcommands = {
      ShelfCommand.ListCommand.class,
      ShelfCommand.ShowCommand.class,
      ShelfCommand.HistoryCommand.class,
      ShelfCommand.LogCommand.class,
      ShelfCommand.WhereCommand.class,
      ShelfChangeCommands.PutCommand.class,
      ShelfChangeCommands.TakeCommand.class,
      ShelfChangeCommands.RenameCommand.class,
      ShelfChangeCommands.DeleteCommand.class,
      ShelfChangeCommands.TagCommand.class,
      ShelfChangeCommands.RestoreCommand.class,
      ShelfChangeCommands.UndoCommand.class,
      ShelfChangeCommands.ImportCommand.class,
      ShelfChangeCommands.ExportCommand.class,
      ShelfChangeCommands.MergeCommand.class,
      ShelfUpdateCommand.class
    })
final class ShelfCommand implements Runnable {
  private static final DateTimeFormatter TIME =
      DateTimeFormatter.ofPattern("yyyy-MM-dd HH:mm", Locale.ROOT).withZone(ZoneId.systemDefault());

  @Option(
      names = "--shelf",
      paramLabel = "DIR",
      scope = ScopeType.INHERIT,
      description = "${bundle:shelf-command.folder}")
  private @Nullable Path given;

  @Spec private CommandSpec spec;

  @Override
  public void run() {
    spec.commandLine().usage(spec.commandLine().getOut());
  }

  /** What every command on the shelf begins with. */
  abstract static class OnShelf implements java.util.concurrent.Callable<Integer> {
    @CommandLine.ParentCommand private ShelfCommand parent;

    @Option(names = "--json", description = "${bundle:shelf-command.json}")
    boolean json;

    @Spec CommandSpec spec;

    final PersonalFolders places = PersonalFolders.ofProcess();

    final ShelfFolder folder() {
      return places.open(places.shelf(parent.given));
    }

    final PrintWriter out() {
      return spec.commandLine().getOut();
    }

    final PrintWriter err() {
      return spec.commandLine().getErr();
    }

    /** Where it is known which projects have looks from a shelf. */
    final ProjectIndex index() {
      return new ProjectIndex(places.home().resolve("projects.json"));
    }

    /** Notes what a project has from the shelf, so that it is found again. */
    final void remember(Path file) {
      try {
        Project project = ProjectFile.read(file);
        index().remember(ProjectUse.of(file.toAbsolutePath(), project, Instant.now()));
      } catch (IOException notKept) {
        spec.commandLine().getErr().println(notKept.getMessage());
      }
    }

    /** The shelf, with what is wrong in it told. */
    final Shelf read(ShelfFolder folder) throws IOException {
      Shelf shelf = folder.read();
      shelf.problems().forEach(spec.commandLine().getErr()::println);
      spec.commandLine().getErr().flush();
      return shelf;
    }

    /** Does something, and tells what. */
    final int apply(ShelfFolder folder, Change change, Shelf seen) throws IOException {
      List<String> names = change.names(seen);
      var done = folder.apply(change, seen);
      done.action()
          .ifPresentOrElse(
              action -> out().println(told(action, names)),
              () -> out().println(Messages.of("shelf-command.nothing-to-do")));
      return 0;
    }
  }

  static String told(Action action, List<String> names) {
    return Messages.of(
        "shelf-command.done", action.kind().label(), String.join(", ", names), action.id());
  }

  /** A style or swatch of the shelf by its name or id. */
  static Kept kept(Shelf shelf, String name) {
    return shelf
        .named(name)
        .map(Kept.class::cast)
        .or(() ->
            shelf.swatches().stream()
                .filter(one -> one.name().equalsIgnoreCase(name.strip()) || one.id().equals(name))
                .map(Kept.class::cast)
                .findFirst())
        .orElseThrow(() ->
            new IllegalArgumentException(
                Messages.of(
                    "shelf-command.no-such",
                    name,
                    shelf.styles().stream()
                        .map(Kept::name)
                        .limit(20)
                        .collect(Collectors.joining("; ")))));
  }

  /** An entry by name or id, deleted ones too. */
  static Entry entry(Shelf shelf, String name) {
    return shelf
        .find(name)
        .or(() ->
            shelf.entries().values().stream()
                .filter(entry -> entry.name().equalsIgnoreCase(name.strip()))
                .filter(entry -> entry.kept().isPresent())
                .findFirst())
        .or(() ->
            shelf.entries().values().stream()
                .filter(entry -> entry.name().equalsIgnoreCase(name.strip()))
                .findFirst())
        .orElseGet(() -> shelf.find(kept(shelf, name).id()).orElseThrow());
  }

  @Command(
      name = "list",
      description = "${bundle:shelf-command.list}",
      mixinStandardHelpOptions = true)
  static final class ListCommand extends OnShelf {
    @Parameters(
        index = "0",
        arity = "0..1",
        paramLabel = "WORDS",
        description = "${bundle:shelf-command.list-words}")
    private @Nullable String words;

    @Override
    public Integer call() throws IOException {
      Shelf shelf = read(folder());
      StyleFilter wanted = StyleFilter.of(words == null ? "" : words);
      Project looks = shelf.asProject();
      Cascade cascade = Cascade.of(looks);
      List<Kept.OfStyle> styles =
          shelf.styles().stream()
              .filter(one ->
                  wanted.fits(words(one), cascade.values(looks.styles().get(one.style().id()))))
              .toList();
      if (json) {
        var root = Json.NODES.objectNode().put("shelf", shelf.id()).put("name", shelf.name());
        var list = root.putArray("styles");
        for (Kept.OfStyle one : styles) {
          list.addObject()
              .put("id", one.id())
              .put("name", one.name())
              .put("group", one.style().group())
              .put("level", one.style().level().id())
              .put("versions", shelf.find(one.id()).orElseThrow().versions().size());
        }
        var swatches = root.putArray("swatches");
        for (Kept.OfSwatch one : shelf.swatches()) {
          swatches
              .addObject()
              .put("id", one.id())
              .put("name", one.name())
              .put("colour", one.swatch().colour().toString());
        }
        Json.print(out(), root);
        return 0;
      }
      for (Kept.OfStyle one : styles) {
        String group = one.style().group().isEmpty() ? "" : one.style().group() + "/";
        int versions = shelf.find(one.id()).orElseThrow().versions().size();
        out()
            .println(
                Messages.of(
                    "shelf-command.list-line",
                    group + one.name(),
                    one.style().level().label(),
                    versions));
      }
      for (Kept.OfSwatch one : shelf.swatches()) {
        if (wanted.fits(one.name().toLowerCase(Locale.ROOT), PropertySet.EMPTY)) {
          out().println(one.name() + "  " + one.swatch().colour());
        }
      }
      return 0;
    }

    private static String words(Kept.OfStyle one) {
      return String.join(
              " ",
              one.name(),
              one.style().group(),
              one.style().note(),
              String.join(" ", one.tags()))
          .toLowerCase(Locale.ROOT);
    }
  }

  @Command(
      name = "show",
      description = "${bundle:shelf-command.show}",
      mixinStandardHelpOptions = true)
  static final class ShowCommand extends OnShelf {
    @Parameters(index = "0", paramLabel = "NAME", description = "${bundle:shelf-command.name}")
    private String name;

    @Override
    public Integer call() throws IOException {
      Shelf shelf = read(folder());
      Kept kept = kept(shelf, name);
      if (json) {
        var node =
            switch (kept) {
              case Kept.OfStyle style -> StyleJson.write(style.style());
              case Kept.OfSwatch swatch -> StyleJson.write(swatch.swatch());
            };
        Json.print(out(), (tools.jackson.databind.node.ObjectNode) node);
        return 0;
      }
      switch (kept) {
        case Kept.OfStyle style -> show(shelf, style);
        case Kept.OfSwatch swatch -> out().println(swatch.name() + "  " + swatch.swatch().colour());
      }
      return 0;
    }

    private void show(Shelf shelf, Kept.OfStyle kept) {
      Style style = kept.style();
      out().println(style.name() + "  (" + style.level().label() + ")");
      style
          .basedOn()
          .flatMap(base -> shelf.find(base.value()))
          .ifPresent(base -> out().println(Messages.of("shelf-command.based-on", base.name())));
      if (!kept.tags().isEmpty()) {
        out().println(Messages.of("shelf-command.tags", String.join(", ", kept.tags())));
      }
      PropertySet values = style.properties();
      PartWords words = new PartWords(shelf);
      for (PropertyKey<?> key : values.keys()) {
        var part = new dynamorph.shelf.follow.Part.Value(key);
        out().println("  " + PartWords.label(part) + ": " + words.text(part, part.of(style)));
      }
    }
  }

  @Command(
      name = "history",
      description = "${bundle:shelf-command.history}",
      mixinStandardHelpOptions = true)
  static final class HistoryCommand extends OnShelf {
    @Parameters(index = "0", paramLabel = "NAME", description = "${bundle:shelf-command.name}")
    private String name;

    @Override
    public Integer call() throws IOException {
      Entry entry = entry(read(folder()), name);
      if (json) {
        var root = Json.NODES.objectNode().put("id", entry.id()).put("name", entry.name());
        var list = root.putArray("versions");
        for (Version version : entry.versions().reversed()) {
          list.addObject()
              .put("version", version.id())
              .put("time", version.time().toString())
              .put("author", version.author())
              .put("note", version.note())
              .put("deleted", version.kept().isEmpty());
        }
        root.put("conflicts", entry.head().conflicts().size());
        Json.print(out(), root);
        return 0;
      }
      for (Version version : entry.versions().reversed()) {
        String what =
            version.kept().isEmpty() ? Messages.of("shelf-command.deleted") : version.note();
        out()
            .println(
                version.id()
                    + "  "
                    + TIME.format(version.time())
                    + "  "
                    + version.author()
                    + (what.isEmpty() ? "" : "  " + what));
      }
      return 0;
    }
  }

  @Command(
      name = "log",
      description = "${bundle:shelf-command.log}",
      mixinStandardHelpOptions = true)
  static final class LogCommand extends OnShelf {
    @Override
    public Integer call() throws IOException {
      Shelf shelf = read(folder());
      if (json) {
        var root = Json.NODES.objectNode();
        var list = root.putArray("actions");
        for (Action action : shelf.actions().reversed()) {
          var node =
              list.addObject()
                  .put("id", action.id())
                  .put("time", action.time().toString())
                  .put("author", action.author())
                  .put("kind", action.kind().id());
          var entries = node.putArray("entries");
          action.versions().keySet().stream().sorted().forEach(entries::add);
        }
        Json.print(out(), root);
        return 0;
      }
      for (Action action : shelf.actions().reversed()) {
        out()
            .println(
                action.id()
                    + "  "
                    + TIME.format(action.time())
                    + "  "
                    + action.author()
                    + "  "
                    + action.label(shelf));
      }
      return 0;
    }
  }

  @Command(
      name = "where",
      description = "${bundle:shelf-command.where}",
      mixinStandardHelpOptions = true)
  static final class WhereCommand extends OnShelf {
    @Parameters(index = "0", paramLabel = "NAME", description = "${bundle:shelf-command.name}")
    private String name;

    @Override
    public Integer call() throws IOException {
      Shelf shelf = read(folder());
      Entry entry = entry(shelf, name);
      List<ProjectUse> uses = index().using(shelf.id(), entry.id());
      if (json) {
        var root = Json.NODES.objectNode().put("id", entry.id());
        var list = root.putArray("projects");
        for (ProjectUse use : uses) {
          list.addObject()
              .put("file", use.file().toString())
              .put("name", use.name())
              .put("texts", use.of(shelf.id(), entry.id()).orElseThrow().texts())
              .put("there", use.isThere());
        }
        Json.print(out(), root);
        return 0;
      }
      if (uses.isEmpty()) {
        out().println(Messages.of("shelf-command.nowhere"));
      }
      for (ProjectUse use : uses) {
        int texts = use.of(shelf.id(), entry.id()).orElseThrow().texts();
        String line =
            use.isThere()
                ? Messages.of("shelf-command.where-line", use.file(), texts)
                : Messages.of("shelf-command.where-gone", use.file(), texts);
        out().println(line);
      }
      return 0;
    }
  }
}
