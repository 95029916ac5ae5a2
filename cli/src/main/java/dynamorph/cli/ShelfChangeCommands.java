package dynamorph.cli;

import dynamorph.cli.ShelfCommand.OnShelf;
import dynamorph.cli.message.Messages;
import dynamorph.formats.file.SafeFile;
import dynamorph.formats.styles.StyleFile;
import dynamorph.model.Project;
import dynamorph.model.edit.Edit;
import dynamorph.model.edit.importing.ImportStyles;
import dynamorph.model.edit.importing.StyleBundle;
import dynamorph.model.edit.style.ChangeStyle;
import dynamorph.model.edit.style.DeleteStyles;
import dynamorph.model.edit.style.DeleteSwatch;
import dynamorph.model.edit.style.SetSwatch;
import dynamorph.model.style.Palette;
import dynamorph.model.style.Style;
import dynamorph.model.style.StyleBook;
import dynamorph.model.style.StyleId;
import dynamorph.shelf.Action;
import dynamorph.shelf.Change;
import dynamorph.shelf.Shelf;
import dynamorph.shelf.entry.Entry;
import dynamorph.shelf.entry.EntryJson;
import dynamorph.shelf.entry.Kept;
import dynamorph.shelf.folder.ShelfFolder;
import dynamorph.shelf.follow.PutOnShelf;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.random.RandomGenerator;
import java.util.stream.Collectors;
import org.jspecify.annotations.Nullable;
import picocli.CommandLine.Command;
import picocli.CommandLine.Mixin;
import picocli.CommandLine.Option;
import picocli.CommandLine.Parameters;

/** What changes a shelf, or brings something from it into a project. */
final class ShelfChangeCommands {
  private ShelfChangeCommands() {}

  @Command(
      name = "put",
      description = "${bundle:shelf-command.put}",
      mixinStandardHelpOptions = true)
  static final class PutCommand extends OnShelf {
    @Mixin private ProjectArgument file;

    @Option(
        names = "--style",
        paramLabel = "NAME",
        description = "${bundle:shelf-command.put-style}")
    private List<String> styles = new ArrayList<>();

    @Option(
        names = "--swatch",
        paramLabel = "NAME",
        description = "${bundle:shelf-command.put-swatch}")
    private List<String> swatches = new ArrayList<>();

    @Option(names = "--all", description = "${bundle:shelf-command.put-all}")
    private boolean all;

    @Option(names = "--note", paramLabel = "WORDS", description = "${bundle:shelf-command.note}")
    private String note = "";

    @Option(
        names = {"-o", "--output"},
        paramLabel = "FILE",
        description = "${bundle:shelf-command.put-output}")
    private @Nullable Path output;

    @Override
    public Integer call() throws IOException {
      if (styles.isEmpty() && swatches.isEmpty() && !all) {
        throw new IllegalArgumentException(Messages.of("shelf-command.say-which"));
      }
      Project project = file.read();
      List<StyleId> wanted =
          all
              ? project.styles().stream().map(Style::id).toList()
              : styles.stream().map(name -> ProjectLookup.style(project, name).id()).toList();
      List<String> colours =
          all
              ? project.palette().swatches().stream().map(one -> one.id()).toList()
              : swatches.stream().map(name -> ProjectLookup.swatch(project, name).id()).toList();
      ShelfFolder folder = folder();
      Shelf seen = read(folder);
      PutOnShelf put =
          PutOnShelf.of(
              project, seen, wanted, colours, PutOnShelf.Wanted.ALL, RandomGenerator.getDefault());
      apply(folder, put.change().withNote(note), seen);
      put.withheld()
          .forEach(family -> out().println(Messages.of("shelf-command.font-withheld", family)));
      if (output != null) {
        file.write(put.linked(folder.read()).applyTo(project), output);
        remember(output);
      }
      return 0;
    }
  }

  @Command(
      name = "take",
      description = "${bundle:shelf-command.take}",
      mixinStandardHelpOptions = true)
  static final class TakeCommand extends OnShelf {
    @Mixin private ProjectArgument file;

    @Option(
        names = "--style",
        required = true,
        paramLabel = "NAME",
        description = "${bundle:shelf-command.take-style}")
    private List<String> names = new ArrayList<>();

    @Option(
        names = {"-o", "--output"},
        required = true,
        paramLabel = "FILE",
        description = "${bundle:edit-output.the-project-to-write}")
    private Path output;

    @Override
    public Integer call() throws IOException {
      Shelf shelf = read(folder());
      StyleBundle bundle =
          shelf.bundle(names.stream().map(name -> ShelfCommand.kept(shelf, name).id()).toList());
      Project project = file.read();
      Map<StyleId, ImportStyles.Choice> both =
          ImportStyles.collisions(project, bundle).stream()
              .collect(Collectors.toMap(one -> one.theirs().id(), _ -> ImportStyles.Choice.BOTH));
      file.write(new ImportStyles(bundle, both).applyTo(project), output);
      remember(output);
      return 0;
    }
  }

  @Command(
      name = "rename",
      description = "${bundle:shelf-command.rename}",
      mixinStandardHelpOptions = true)
  static final class RenameCommand extends OnShelf {
    @Parameters(index = "0", paramLabel = "NAME", description = "${bundle:shelf-command.name}")
    private String name;

    @Parameters(index = "1", paramLabel = "NEW", description = "${bundle:shelf-command.rename-to}")
    private String changed;

    @Option(names = "--group", paramLabel = "PATH", description = "${bundle:shelf-command.group}")
    private @Nullable String group;

    @Override
    public Integer call() throws IOException {
      ShelfFolder folder = folder();
      Shelf seen = read(folder);
      Edit edit =
          switch (ShelfCommand.kept(seen, name)) {
            case Kept.OfStyle kept -> {
              Style style = kept.style().withName(changed);
              yield new ChangeStyle(group == null ? style : style.withGroup(group.strip()));
            }
            case Kept.OfSwatch kept -> new SetSwatch(kept.swatch().withName(changed));
          };
      return apply(folder, Change.of(seen, Action.Kind.RENAME, edit), seen);
    }
  }

  @Command(
      name = "delete",
      description = "${bundle:shelf-command.delete}",
      mixinStandardHelpOptions = true)
  static final class DeleteCommand extends OnShelf {
    @Parameters(arity = "1..*", paramLabel = "NAME", description = "${bundle:shelf-command.name}")
    private List<String> names;

    @Override
    public Integer call() throws IOException {
      ShelfFolder folder = folder();
      Shelf seen = read(folder);
      LinkedHashSet<StyleId> styles = new LinkedHashSet<>();
      List<Edit> edits = new ArrayList<>();
      for (String name : names) {
        switch (ShelfCommand.kept(seen, name)) {
          case Kept.OfStyle kept -> styles.add(kept.style().id());
          case Kept.OfSwatch kept -> edits.add(new DeleteSwatch(kept.id(), Optional.empty()));
        }
      }
      edits.add(new DeleteStyles(styles, Optional.empty()));
      Edit all = Edit.together("", edits.toArray(Edit[]::new));
      return apply(folder, Change.of(seen, Action.Kind.DELETE, all), seen);
    }
  }

  @Command(
      name = "tag",
      description = "${bundle:shelf-command.tag}",
      mixinStandardHelpOptions = true)
  static final class TagCommand extends OnShelf {
    @Parameters(index = "0", paramLabel = "NAME", description = "${bundle:shelf-command.name}")
    private String name;

    @Option(names = "--add", paramLabel = "TAG", description = "${bundle:shelf-command.tag-add}")
    private List<String> added = new ArrayList<>();

    @Option(
        names = "--remove",
        paramLabel = "TAG",
        description = "${bundle:shelf-command.tag-remove}")
    private List<String> removed = new ArrayList<>();

    @Override
    public Integer call() throws IOException {
      ShelfFolder folder = folder();
      Shelf seen = read(folder);
      Change change =
          Change.tag(
              seen,
              List.of(ShelfCommand.kept(seen, name).id()),
              tags -> {
                tags.addAll(added.stream().map(String::strip).toList());
                removed.forEach(tags::remove);
                return tags;
              });
      return apply(folder, change, seen);
    }
  }

  @Command(
      name = "restore",
      description = "${bundle:shelf-command.restore}",
      mixinStandardHelpOptions = true)
  static final class RestoreCommand extends OnShelf {
    @Parameters(index = "0", paramLabel = "NAME", description = "${bundle:shelf-command.name}")
    private String name;

    @Parameters(
        index = "1",
        paramLabel = "VERSION",
        description = "${bundle:shelf-command.version}")
    private String version;

    @Override
    public Integer call() throws IOException {
      ShelfFolder folder = folder();
      Shelf seen = read(folder);
      Entry entry = ShelfCommand.entry(seen, name);
      String id =
          entry.versions().stream()
              .map(one -> one.id())
              .filter(one -> one.startsWith(version))
              .findFirst()
              .orElseThrow(() ->
                  new IllegalArgumentException(
                      Messages.of("shelf-command.no-such-version", entry.name(), version)));
      return apply(folder, Change.restore(seen, entry.id(), id), seen);
    }
  }

  @Command(
      name = "undo",
      description = "${bundle:shelf-command.undo}",
      mixinStandardHelpOptions = true)
  static final class UndoCommand extends OnShelf {
    @Parameters(
        index = "0",
        arity = "0..1",
        paramLabel = "ACTION",
        description = "${bundle:shelf-command.undo-action}")
    private @Nullable String wanted;

    @Override
    public Integer call() throws IOException {
      ShelfFolder folder = folder();
      Shelf seen = read(folder);
      Action action =
          seen.actions().reversed().stream()
              .filter(one -> wanted == null ? seen.canUndo(one) : one.id().equals(wanted))
              .findFirst()
              .orElseThrow(() ->
                  new IllegalArgumentException(
                      wanted == null
                          ? Messages.of("shelf-command.nothing-to-undo")
                          : Messages.of("shelf-command.no-such-action", wanted)));
      return apply(folder, Change.undo(seen, action), seen);
    }
  }

  @Command(
      name = "import",
      description = "${bundle:shelf-command.import}",
      mixinStandardHelpOptions = true)
  static final class ImportCommand extends OnShelf {
    @Parameters(
        index = "0",
        paramLabel = "FILE",
        description = "${bundle:shelf-command.import-file}")
    private Path file;

    @Option(
        names = "--context",
        paramLabel = "MODIFIER=CONTEXT",
        description = "${bundle:styles-command.context}")
    private Map<String, String> contexts = new LinkedHashMap<>();

    @Override
    public Integer call() throws IOException {
      StyleFile.Read read = StyleFile.read(file, contexts);
      read.remarks().forEach(err()::println);
      StyleBundle bundle = read.bundle();
      Project kit =
          Project.empty("kit")
              .withPalette(new Palette(bundle.swatches()))
              .withStyles(StyleBook.of(bundle.styles()))
              .withAssets(bundle.assets());
      ShelfFolder folder = folder();
      Shelf seen = read(folder);
      Change put =
          PutOnShelf.of(
                  kit,
                  seen,
                  kit.styles().stream().map(Style::id).toList(),
                  kit.palette().swatches().stream().map(one -> one.id()).toList(),
                  PutOnShelf.Wanted.ALL,
                  RandomGenerator.getDefault())
              .change();
      return apply(
          folder,
          new Change(Action.Kind.IMPORT, "", put.contents(), put.files(), Optional.empty()),
          seen);
    }
  }

  @Command(
      name = "export",
      description = "${bundle:shelf-command.export}",
      mixinStandardHelpOptions = true)
  static final class ExportCommand extends OnShelf {
    @Parameters(index = "0", paramLabel = "KIT", description = "${bundle:shelf-command.export-kit}")
    private Path kit;

    @Mixin private KitOptions options;

    @Option(
        names = "--style",
        paramLabel = "NAME",
        description = "${bundle:shelf-command.export-style}")
    private List<String> names = new ArrayList<>();

    @Option(
        names = "--group",
        paramLabel = "PATH",
        description = "${bundle:shelf-command.export-group}")
    private @Nullable String group;

    @Override
    public Integer call() throws IOException {
      Shelf shelf = read(folder());
      List<String> wanted = new ArrayList<>();
      names.forEach(name -> wanted.add(ShelfCommand.kept(shelf, name).id()));
      if (names.isEmpty()) {
        shelf.styles().stream()
            .filter(one -> isIn(one.style().group()))
            .forEach(one -> wanted.add(one.id()));
        if (group == null) {
          shelf.swatches().forEach(one -> wanted.add(one.id()));
        }
      }
      StyleFile.write(shelf.name(), shelf.bundle(wanted), options.about(), kit)
          .forEach(err()::println);
      return 0;
    }

    private boolean isIn(String path) {
      return group == null || path.equals(group) || path.startsWith(group + "/");
    }
  }

  /**
   * For version control: {@code dynamorph shelf merge %O %A %B} puts the result into {@code %A}.
   */
  @Command(
      name = "merge",
      description = "${bundle:shelf-command.merge}",
      mixinStandardHelpOptions = true)
  static final class MergeCommand extends OnShelf {
    @Parameters(
        index = "0",
        paramLabel = "BASE",
        description = "${bundle:shelf-command.merge-base}")
    private Path base;

    @Parameters(
        index = "1",
        paramLabel = "OURS",
        description = "${bundle:shelf-command.merge-ours}")
    private Path ours;

    @Parameters(
        index = "2",
        paramLabel = "THEIRS",
        description = "${bundle:shelf-command.merge-theirs}")
    private Path theirs;

    @Override
    public Integer call() throws IOException {
      Map<String, Entry> entries = new LinkedHashMap<>();
      for (Path file : List.of(base, ours, theirs)) {
        // version control gives an empty file where there is no common one
        if (Files.size(file) > 0) {
          Entry read = EntryJson.read(Files.readAllBytes(file)).entry();
          entries.merge(read.id(), read, (one, other) -> one.with(other.versions()));
        }
      }
      if (entries.size() != 1) {
        throw new IllegalArgumentException(Messages.of("shelf-command.merge-others"));
      }
      Entry merged = entries.values().iterator().next();
      SafeFile.write(
          ours, out -> out.write(EntryJson.write(merged).getBytes(StandardCharsets.UTF_8)));
      merged
          .head()
          .conflicts()
          .forEach(conflict ->
              out()
                  .println(
                      Messages.of("shelf-command.conflict", ShelfUpdateCommand.where(conflict))));
      return merged.head().conflicts().isEmpty() ? 0 : 1;
    }
  }
}
