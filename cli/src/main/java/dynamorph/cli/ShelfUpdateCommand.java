package dynamorph.cli;

import dynamorph.cli.message.Messages;
import dynamorph.model.merge.Conflict;
import dynamorph.shelf.Shelf;
import dynamorph.shelf.follow.PartWords;
import dynamorph.shelf.follow.Update;
import dynamorph.shelf.projects.ProjectFiles;
import dynamorph.shelf.projects.ProjectUse;
import dynamorph.shelf.projects.UpdatePlan;
import dynamorph.shelf.projects.UpdateReport;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Instant;
import java.util.ArrayList;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Set;
import org.jspecify.annotations.Nullable;
import picocli.CommandLine.Command;
import picocli.CommandLine.Option;
import picocli.CommandLine.Parameters;
import tools.jackson.databind.node.ArrayNode;
import tools.jackson.databind.node.ObjectNode;

/** Takes what is newer on the shelf into any number of projects. */
@Command(
    name = "update",
    description = "${bundle:shelf-update.update}",
    mixinStandardHelpOptions = true)
final class ShelfUpdateCommand extends ShelfCommand.OnShelf {
  @Parameters(arity = "0..*", paramLabel = "FILE", description = "${bundle:shelf-update.file}")
  private List<Path> files = new ArrayList<>();

  @Option(names = "--projects", paramLabel = "DIR", description = "${bundle:shelf-update.projects}")
  private List<Path> folders = new ArrayList<>();

  @Option(names = "--known", description = "${bundle:shelf-update.known}")
  private boolean known;

  @Option(names = "--style", paramLabel = "NAME", description = "${bundle:shelf-update.style}")
  private List<String> names = new ArrayList<>();

  @Option(names = "--dry-run", description = "${bundle:shelf-update.dry-run}")
  private boolean dryRun;

  @Option(names = "--undo", paramLabel = "REPORT", description = "${bundle:shelf-update.undo}")
  private @Nullable Path undone;

  @Override
  public Integer call() throws IOException {
    if (undone != null) {
      return undo(undone);
    }
    Shelf shelf = read(folder());
    Set<Path> wanted = files(shelf);
    if (wanted.isEmpty()) {
      throw new IllegalArgumentException(Messages.of("shelf-update.say-which"));
    }
    Set<String> entries = new LinkedHashSet<>();
    names.forEach(name -> entries.add(ShelfCommand.kept(shelf, name).id()));
    List<UpdatePlan> plans =
        UpdatePlan.of(
            List.copyOf(wanted),
            shelf,
            update -> entries.isEmpty() || entries.contains(update.entry().id()),
            plan -> {
              if (!json) {
                tell(shelf, plan);
              }
            },
            () -> true);
    ObjectNode root = Json.NODES.objectNode();
    if (json) {
      root.set("projects", nodes(shelf, plans));
    }
    boolean failed = plans.stream().anyMatch(plan -> !plan.isReadable());
    if (!dryRun && plans.stream().anyMatch(plan -> plan.result().isPresent())) {
      UpdateReport report =
          UpdateReport.write(
              plans, places.home().resolve("updates"), Instant.now(), this::written, () -> true);
      failed |=
          report.items().stream().anyMatch(one -> one.outcome() == UpdateReport.Outcome.FAILED);
      root.put("report", report.folder().toString());
      if (!json) {
        report.items().stream()
            .filter(one -> one.outcome() == UpdateReport.Outcome.FAILED)
            .forEach(one -> out().println(one.said()));
        out().println(Messages.of("shelf-update.report", report.folder()));
      }
    }
    if (json) {
      Json.print(out(), root);
    }
    return failed ? Dynamorph.FAILED : 0;
  }

  private void written(UpdateReport.Item item) {
    if (item.outcome() == UpdateReport.Outcome.UPDATED) {
      remember(item.file());
    }
  }

  private Set<Path> files(Shelf shelf) throws IOException {
    Set<Path> all = new LinkedHashSet<>(files);
    for (Path folder : folders) {
      if (!Files.isDirectory(folder)) {
        throw new IllegalArgumentException(Messages.of("shelf-update.no-folder", folder));
      }
      all.addAll(ProjectFiles.in(folder));
    }
    if (known) {
      index().using(shelf.id()).stream()
          .filter(ProjectUse::isThere)
          .map(ProjectUse::file)
          .forEach(all::add);
    }
    return all;
  }

  private void tell(Shelf shelf, UpdatePlan plan) {
    if (!plan.isReadable()) {
      out().println(plan.trouble());
      return;
    }
    if (plan.result().isEmpty()) {
      out().println(Messages.of("shelf-update.nothing", plan.file()));
      return;
    }
    UpdatePlan.Result result = plan.result().get();
    out().println(Messages.of("shelf-update.project", plan.file(), result.texts().size()));
    PartWords words = new PartWords(shelf);
    for (Update update : result.updates()) {
      for (Update.Difference difference : update.toTake()) {
        String line =
            difference.isConflict()
                ? Messages.of(
                    "shelf-update.both",
                    update.mine().name(),
                    PartWords.label(difference.part()),
                    words.text(difference.part(), difference.mine()),
                    words.text(difference.part(), difference.shelf()))
                : Messages.of(
                    "shelf-update.value",
                    update.mine().name(),
                    PartWords.label(difference.part()),
                    words.text(difference.part(), difference.mine()),
                    words.text(difference.part(), difference.shelf()));
        out().println("  " + line);
      }
    }
    for (UpdatePlan.Trouble trouble : result.problems()) {
      out().println("  ! " + trouble.artboard() + "/" + trouble.name() + ": " + trouble.problem());
    }
  }

  private static ArrayNode nodes(Shelf shelf, List<UpdatePlan> plans) {
    PartWords words = new PartWords(shelf);
    ArrayNode list = Json.NODES.arrayNode();
    for (UpdatePlan plan : plans) {
      ObjectNode node = list.addObject().put("file", plan.file().toString());
      if (!plan.isReadable()) {
        node.put("error", plan.trouble());
      }
      plan.result().ifPresent(result -> node(node, result, words));
    }
    return list;
  }

  private static void node(ObjectNode node, UpdatePlan.Result result, PartWords words) {
    node.put("texts", result.texts().size()).put("conflicts", result.conflicts());
    ArrayNode updates = node.putArray("updates");
    for (Update update : result.updates()) {
      ObjectNode one =
          updates.addObject().put("name", update.mine().name()).put("entry", update.entry().id());
      ArrayNode values = one.putArray("values");
      for (Update.Difference difference : update.toTake()) {
        values
            .addObject()
            .put("part", PartWords.label(difference.part()))
            .put("from", words.text(difference.part(), difference.mine()))
            .put("to", words.text(difference.part(), difference.shelf()))
            .put("conflict", difference.isConflict());
      }
    }
    ArrayNode problems = node.putArray("problems");
    for (UpdatePlan.Trouble trouble : result.problems()) {
      problems
          .addObject()
          .put("artboard", trouble.artboard())
          .put("text", trouble.name())
          .put("problem", trouble.problem());
    }
  }

  private int undo(Path folder) throws IOException {
    UpdateReport report =
        UpdateReport.all(places.home().resolve("updates")).stream()
            .filter(one ->
                one.folder()
                    .toAbsolutePath()
                    .normalize()
                    .equals(folder.toAbsolutePath().normalize()))
            .findFirst()
            .orElseThrow(
                () -> new IllegalArgumentException(Messages.of("shelf-update.no-report", folder)));
    int code = 0;
    for (UpdateReport.Item item : report.items()) {
      if (item.outcome() != UpdateReport.Outcome.UPDATED) {
        continue;
      }
      try {
        report = report.undo(item.file());
        out().println(Messages.of("shelf-update.undone", item.file()));
      } catch (IOException changed) {
        out().println(changed.getMessage());
        code = Dynamorph.FAILED;
      }
    }
    return code;
  }

  /** Where two sides collide. */
  static String where(Conflict conflict) {
    return switch (conflict.part()) {
      case Conflict.Part.Value(var key) -> conflict.of() + ", " + key.label();
      case Conflict.Part.Field(String id) -> conflict.of() + ", " + id;
      case Conflict.Part.Whole _ -> conflict.of();
    };
  }
}
