package dynamorph.shelf.projects;

import dynamorph.formats.file.FileState;
import dynamorph.formats.file.SafeFile;
import dynamorph.model.style.Origin;
import dynamorph.shelf.message.Messages;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.InvalidPathException;
import java.nio.file.NoSuchFileException;
import java.nio.file.Path;
import java.nio.file.attribute.FileTime;
import java.time.DateTimeException;
import java.time.Instant;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.TreeMap;
import tools.jackson.core.JacksonException;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;
import tools.jackson.databind.node.ArrayNode;
import tools.jackson.databind.node.JsonNodeFactory;
import tools.jackson.databind.node.ObjectNode;

/**
 * Which projects on this machine have looks from shelves, as far as they were opened or saved here.
 * It can be thrown away: it fills again as projects are opened.
 *
 * @param file where it is kept
 */
public record ProjectIndex(Path file) {
  private static final String PROJECTS = "projects";
  private static final String FILE = "file";
  private static final String NAME = "name";
  private static final String SEEN = "seen";
  private static final String SIZE = "size";
  private static final String MODIFIED = "modified";
  private static final String KEY = "key";
  private static final String USES = "uses";
  private static final String SHELF = "shelf";
  private static final String ENTRY = "entry";
  private static final String VERSION = "version";
  private static final String TEXTS = "texts";
  private static final JsonMapper JSON = JsonMapper.builder().build();

  /** Other threads of this process; between processes the later one wins, and no harm is done. */
  private static final Object ONE_AT_A_TIME = new Object();

  /** All that are known, the one seen last first. What is damaged is left out. */
  public List<ProjectUse> all() {
    JsonNode root;
    try {
      root = JSON.readTree(Files.readAllBytes(file));
    } catch (NoSuchFileException none) {
      return List.of();
    } catch (IOException | JacksonException damaged) {
      return List.of();
    }
    List<ProjectUse> all = new ArrayList<>();
    for (JsonNode each : root.path(PROJECTS)) {
      read(each).ifPresent(all::add);
    }
    all.sort(Comparator.comparing(ProjectUse::seen).reversed());
    return all;
  }

  /** Those that use an entry of a shelf. */
  public List<ProjectUse> using(String shelf, String entry) {
    return all().stream().filter(use -> use.of(shelf, entry).isPresent()).toList();
  }

  /** Those that use anything of a shelf. */
  public List<ProjectUse> using(String shelf) {
    return all().stream()
        .filter(use -> use.uses().stream().anyMatch(one -> one.origin().shelf().equals(shelf)))
        .toList();
  }

  /**
   * How many texts of all projects have each entry of a shelf; one that a project only holds counts
   * as one.
   */
  public Map<String, Integer> textsByEntry(String shelf) {
    Map<String, Integer> texts = new TreeMap<>();
    for (ProjectUse project : using(shelf)) {
      for (ProjectUse.Use use : project.uses()) {
        if (use.origin().shelf().equals(shelf)) {
          texts.merge(use.origin().entry(), Math.max(1, use.texts()), Integer::sum);
        }
      }
    }
    return texts;
  }

  /**
   * Remembers what a project has; one that has nothing from a shelf is not listed.
   *
   * @throws IOException if it cannot be kept
   */
  public void remember(ProjectUse use) throws IOException {
    synchronized (ONE_AT_A_TIME) {
      Map<Path, ProjectUse> known = new TreeMap<>();
      all().forEach(one -> known.put(one.file(), one));
      boolean had = known.remove(use.file()) != null;
      if (!use.uses().isEmpty()) {
        known.put(use.file(), use);
      } else if (!had) {
        return;
      }
      write(List.copyOf(known.values()));
    }
  }

  /**
   * Follows a project to where it was moved.
   *
   * @throws IOException if it cannot be kept
   */
  public void moved(Path from, ProjectUse now) throws IOException {
    synchronized (ONE_AT_A_TIME) {
      write(all().stream().filter(one -> !one.file().equals(from)).toList());
      remember(now);
    }
  }

  /**
   * Forgets a project.
   *
   * @throws IOException if it cannot be kept
   */
  public void forget(Path project) throws IOException {
    synchronized (ONE_AT_A_TIME) {
      write(all().stream().filter(one -> !one.file().equals(project)).toList());
    }
  }

  private void write(List<ProjectUse> uses) throws IOException {
    ObjectNode root = JsonNodeFactory.instance.objectNode();
    ArrayNode projects = root.putArray(PROJECTS);
    uses.forEach(use -> projects.add(node(use)));
    Path folder = file.toAbsolutePath().getParent();
    if (folder == null) {
      throw new IOException(Messages.of("project-index.no-folder", file));
    }
    Files.createDirectories(folder);
    String text = JSON.writeValueAsString(root);
    SafeFile.write(file, out -> out.write(text.getBytes(StandardCharsets.UTF_8)));
  }

  private static ObjectNode node(ProjectUse use) {
    ObjectNode node =
        JsonNodeFactory.instance
            .objectNode()
            .put(FILE, use.file().toString())
            .put(NAME, use.name())
            .put(SEEN, use.seen().toString());
    use.state()
        .ifPresent(state ->
            node.put(SIZE, state.size())
                .put(MODIFIED, state.modified().toInstant().toString())
                .put(KEY, state.key()));
    ArrayNode uses = node.putArray(USES);
    for (ProjectUse.Use one : use.uses()) {
      uses.addObject()
          .put(SHELF, one.origin().shelf())
          .put(ENTRY, one.origin().entry())
          .put(VERSION, one.origin().version())
          .put(NAME, one.name())
          .put(TEXTS, one.texts());
    }
    return node;
  }

  private static Optional<ProjectUse> read(JsonNode node) {
    try {
      List<ProjectUse.Use> uses = new ArrayList<>();
      for (JsonNode one : node.path(USES)) {
        Origin origin =
            new Origin(
                one.path(SHELF).asString(""),
                one.path(ENTRY).asString(""),
                one.path(VERSION).asString(""));
        uses.add(new ProjectUse.Use(origin, one.path(NAME).asString(""), one.path(TEXTS).asInt(0)));
      }
      Optional<FileState> state =
          node.has(MODIFIED)
              ? Optional.of(
                  new FileState(
                      node.path(SIZE).asLong(0),
                      FileTime.from(Instant.parse(node.path(MODIFIED).asString(""))),
                      node.path(KEY).asString("")))
              : Optional.empty();
      return Optional.of(
          new ProjectUse(
              Path.of(node.path(FILE).asString("")),
              node.path(NAME).asString(""),
              Instant.parse(node.path(SEEN).asString("")),
              state,
              uses));
    } catch (DateTimeException | InvalidPathException damaged) {
      return Optional.empty();
    } catch (IllegalArgumentException damaged) {
      return Optional.empty();
    }
  }
}
