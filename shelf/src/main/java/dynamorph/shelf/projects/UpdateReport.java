package dynamorph.shelf.projects;

import dynamorph.formats.file.FileState;
import dynamorph.formats.file.SafeFile;
import dynamorph.formats.file.Sha256;
import dynamorph.formats.project.ProjectFile;
import dynamorph.shelf.folder.ShelfFolder;
import dynamorph.shelf.message.Messages;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.DateTimeException;
import java.time.Instant;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.function.BooleanSupplier;
import java.util.function.Consumer;
import java.util.stream.Stream;
import tools.jackson.core.JacksonException;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.SerializationFeature;
import tools.jackson.databind.json.JsonMapper;
import tools.jackson.databind.node.ArrayNode;
import tools.jackson.databind.node.JsonNodeFactory;
import tools.jackson.databind.node.ObjectNode;

/**
 * What an update of many projects did, file by file, with the file as it was before, so that each
 * can be brought back.
 *
 * @param folder where the report and the earlier files lie
 */
public record UpdateReport(Path folder, Instant time, List<Item> items) {
  private static final String REPORT = "report.json";
  private static final String FORMAT = "dynamorph-update-report";
  private static final JsonMapper JSON =
      JsonMapper.builder().enable(SerializationFeature.INDENT_OUTPUT).build();

  /** What became of a file. */
  public enum Outcome {
    UPDATED,
    FAILED,
    UNDONE;

    String id() {
      return name().toLowerCase(java.util.Locale.ROOT);
    }
  }

  /**
   * A file.
   *
   * @param updates how many styles and swatches were updated
   * @param texts how many texts look otherwise
   * @param written hash of the file as it was written
   * @param said why it failed
   */
  public record Item(
      Path file, Outcome outcome, int updates, int texts, String written, String said) {
    Item as(Outcome changed, String words) {
      return new Item(file, changed, updates, texts, written, words);
    }
  }

  public UpdateReport {
    items = List.copyOf(items);
  }

  /**
   * Writes projects as they were planned, each by itself: what fails hinders no other.
   *
   * @param reports folder of all reports
   * @param each is told of a file once it is written
   * @param isWanted asked between files; what was written until then stays, and is reported
   * @throws IOException if the report itself cannot be kept; then no project is written
   */
  public static UpdateReport write(
      List<UpdatePlan> plans,
      Path reports,
      Instant now,
      Consumer<Item> each,
      BooleanSupplier isWanted)
      throws IOException {
    forgetOld(reports, now);
    Path folder = free(reports, now);
    Files.createDirectories(folder);
    UpdateReport report = new UpdateReport(folder, now, List.of());
    for (UpdatePlan plan : plans) {
      if (!isWanted.getAsBoolean()) {
        break;
      }
      if (plan.result().isPresent()) {
        report = report.with(plan, plan.result().get());
        report.save();
        each.accept(report.items().getLast());
      }
    }
    return report;
  }

  /** The earlier files are kept as long as what was done to a shelf can be undone. */
  private static void forgetOld(Path reports, Instant now) throws IOException {
    for (UpdateReport report : all(reports)) {
      if (report.time().isBefore(now.minus(ShelfFolder.KEPT))) {
        try (Stream<Path> files = Files.list(report.folder())) {
          for (Path file : files.toList()) {
            Files.delete(file);
          }
        }
        Files.delete(report.folder());
      }
    }
  }

  private static Path free(Path reports, Instant now) {
    String name = now.toString().replaceAll("[^0-9TZ]", "");
    Path folder = reports.resolve(name);
    for (int number = 2; Files.exists(folder); number++) {
      folder = reports.resolve(name + "-" + number);
    }
    return folder;
  }

  private UpdateReport with(UpdatePlan plan, UpdatePlan.Result result) {
    List<Item> more = new ArrayList<>(items);
    int number = items.size();
    int updates = result.updates().size();
    int texts = result.texts().size();
    try {
      if (!FileState.of(plan.file()).equals(plan.state())) {
        throw new IOException(Messages.of("update-report.changed-meanwhile", plan.file()));
      }
      byte[] before = Files.readAllBytes(plan.file());
      SafeFile.write(earlier(number), out -> out.write(before));
      // known before it is written, so that nothing is written that cannot be undone
      Path made = folder.resolve("next.dmorph");
      ProjectFile.write(result.after(), made, Optional.of(plan.file()));
      byte[] after = Files.readAllBytes(made);
      Files.delete(made);
      new UpdateReport(
              folder,
              time,
              append(new Item(plan.file(), Outcome.UPDATED, updates, texts, Sha256.hex(after), "")))
          .save();
      SafeFile.write(plan.file(), out -> out.write(after));
      more.add(new Item(plan.file(), Outcome.UPDATED, updates, texts, Sha256.hex(after), ""));
    } catch (IOException failed) {
      more.add(
          new Item(
              plan.file(), Outcome.FAILED, updates, 0, "", String.valueOf(failed.getMessage())));
    }
    return new UpdateReport(folder, time, more);
  }

  private List<Item> append(Item item) {
    List<Item> more = new ArrayList<>(items);
    more.add(item);
    return more;
  }

  private Path earlier(int number) {
    return folder.resolve("earlier-" + number + ".dmorph");
  }

  /**
   * Brings a file back to how it was, byte for byte.
   *
   * @throws IOException if it was changed since, or cannot be written; it is as it was then
   */
  public UpdateReport undo(Path file) throws IOException {
    List<Item> now = new ArrayList<>(items);
    for (int number = 0; number < now.size(); number++) {
      Item item = now.get(number);
      if (item.file().equals(file) && item.outcome() == Outcome.UPDATED) {
        if (!Sha256.hex(Files.readAllBytes(file)).equals(item.written())) {
          throw new IOException(Messages.of("update-report.changed-since", file));
        }
        byte[] before = Files.readAllBytes(earlier(number));
        SafeFile.write(file, out -> out.write(before));
        now.set(number, item.as(Outcome.UNDONE, ""));
      }
    }
    UpdateReport undone = new UpdateReport(folder, time, now);
    undone.save();
    return undone;
  }

  private void save() throws IOException {
    ObjectNode root =
        JsonNodeFactory.instance.objectNode().put("format", FORMAT).put("time", time.toString());
    ArrayNode files = root.putArray("files");
    for (Item item : items) {
      ObjectNode node =
          files
              .addObject()
              .put("file", item.file().toString())
              .put("outcome", item.outcome().id())
              .put("updates", item.updates())
              .put("texts", item.texts());
      if (!item.written().isEmpty()) {
        node.put("written", item.written());
      }
      if (!item.said().isEmpty()) {
        node.put("said", item.said());
      }
    }
    String text = JSON.writeValueAsString(root) + "\n";
    SafeFile.write(folder.resolve(REPORT), out -> out.write(text.getBytes(StandardCharsets.UTF_8)));
  }

  /** The reports in a folder, the latest first; what is damaged is left out. */
  public static List<UpdateReport> all(Path reports) throws IOException {
    if (!Files.isDirectory(reports)) {
      return List.of();
    }
    try (Stream<Path> folders = Files.list(reports)) {
      return folders
          .flatMap(folder -> read(folder).stream())
          .sorted(Comparator.comparing(UpdateReport::time).reversed())
          .toList();
    }
  }

  private static Optional<UpdateReport> read(Path folder) {
    try {
      JsonNode root = JSON.readTree(Files.readAllBytes(folder.resolve(REPORT)));
      List<Item> items = new ArrayList<>();
      for (JsonNode node : root.path("files")) {
        String outcome = node.path("outcome").asString("");
        items.add(
            new Item(
                Path.of(node.path("file").asString("")),
                Stream.of(Outcome.values())
                    .filter(one -> one.id().equals(outcome))
                    .findFirst()
                    .orElse(Outcome.FAILED),
                node.path("updates").asInt(0),
                node.path("texts").asInt(0),
                node.path("written").asString(""),
                node.path("said").asString("")));
      }
      return Optional.of(
          new UpdateReport(folder, Instant.parse(root.path("time").asString("")), items));
    } catch (IOException | JacksonException | DateTimeException damaged) {
      return Optional.empty();
    }
  }
}
