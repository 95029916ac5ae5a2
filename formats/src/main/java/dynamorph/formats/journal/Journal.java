package dynamorph.formats.journal;

import dynamorph.formats.file.SafeFile;
import dynamorph.formats.journal.Moment.State;
import dynamorph.formats.message.Messages;
import dynamorph.formats.project.ProjectDifference;
import dynamorph.formats.project.StyleJson;
import dynamorph.model.Project;
import dynamorph.model.style.Style;
import java.io.Closeable;
import java.io.IOException;
import java.nio.channels.FileChannel;
import java.nio.channels.FileLock;
import java.nio.file.Files;
import java.nio.file.InvalidPathException;
import java.nio.file.Path;
import java.nio.file.StandardCopyOption;
import java.time.Instant;
import java.time.InstantSource;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;
import tools.jackson.databind.node.ArrayNode;
import tools.jackson.databind.node.JsonNodeFactory;
import tools.jackson.databind.node.ObjectNode;

/**
 * The journal of one project that is open, in a folder of its own. It is held by its process
 * through a lock of the system, which goes with the process, however that ends.
 */
public final class Journal implements Closeable {
  static final String LOG = "log";
  static final String LOCK = "lock";

  private static final String NEW_LOG = "log.part";
  private static final String TIME = "time";
  private static final String FILE = "file";
  private static final String KEEP = "keep";
  private static final String STATES = "states";
  private static final String STEP = "step";
  private static final String DIFFERENCE = "difference";
  private static final String AT = "at";
  private static final String SAVED = "saved";
  private static final String DRAFT = "draft";
  private static final JsonMapper JSON = JsonMapper.builder().build();
  private static final Project NOTHING = Project.empty("");

  private final Path folder;
  private final KeptAssets assets;
  private final InstantSource clock;
  private final long room;
  private final FileChannel lockFile;
  private final FileLock lock;
  private final Runnable released;
  private RecordFile log;
  private List<State> written = List.of();
  private long roomyUntil;
  private Optional<Moment> last = Optional.empty();

  /**
   * @param room how long the log may grow before it is written anew, in bytes
   * @param released told when the lock is let go
   */
  Journal(
      Path folder, KeptAssets assets, InstantSource clock, long room, Held held, Runnable released)
      throws IOException {
    this.folder = folder;
    this.assets = assets;
    this.clock = clock;
    this.room = room;
    this.lockFile = held.file();
    this.lock = held.lock();
    this.released = released;
    this.log = RecordFile.create(folder.resolve(LOG));
    SafeFile.forceFolder(folder);
    this.roomyUntil = room;
  }

  /** A lock that this process has. */
  record Held(FileChannel file, FileLock lock) {}

  public Path folder() {
    return folder;
  }

  /** Bytes of the log on disk. */
  long length() {
    return log.length();
  }

  /**
   * Notes how things are now, by what differs from the last time; it is on the disk when this
   * returns.
   *
   * @throws IOException if it cannot be written; what was written before still holds, and the next
   *     time all that is missing is written
   */
  public void note(Moment moment) throws IOException {
    if (last.filter(moment::isSame).isPresent()) {
      return;
    }
    write(moment);
    last = Optional.of(moment);
  }

  private void write(Moment moment) throws IOException {
    List<State> states = moment.states();
    int from = written.isEmpty() ? 0 : indexOf(written.getFirst().project(), states);
    if (from < 0 || moment.at() < from) {
      writeAnew(moment);
      return;
    }
    List<State> window = states.subList(from, states.size());
    log.append(bytes(entry(window, written, moment, moment.at() - from)));
    written = List.copyOf(window);
    if (log.length() > roomyUntil) {
      writeAnew(moment);
    }
  }

  private ObjectNode entry(List<State> states, List<State> before, Moment moment, int at)
      throws IOException {
    ObjectNode entry = JsonNodeFactory.instance.objectNode().put(TIME, clock.millis());
    moment.file().ifPresent(file -> entry.put(FILE, file.toString()));
    int kept = 0;
    int most = Math.min(states.size(), before.size());
    while (kept < most && isSame(states.get(kept), before.get(kept))) {
      kept++;
    }
    entry.put(KEEP, kept);
    ArrayNode added = entry.putArray(STATES);
    Project last = kept == 0 ? NOTHING : states.get(kept - 1).project();
    for (State state : states.subList(kept, states.size())) {
      added
          .addObject()
          .put(STEP, state.label())
          .set(DIFFERENCE, ProjectDifference.between(last, state.project(), assets));
      last = state.project();
    }
    entry.put(AT, at);
    Optional<Project> saved = moment.history().saved();
    if (saved.isPresent()) {
      int index = indexOf(saved.get(), states);
      if (index >= 0) {
        entry.put(SAVED, index);
      } else {
        // undone and left behind, but what lies in the file is told by it from what others write
        Project present = states.get(at).project();
        entry.set(SAVED, ProjectDifference.between(present, saved.get(), assets));
      }
    }
    moment.draft().ifPresent(draft -> entry.set(DRAFT, StyleJson.write(draft)));
    return entry;
  }

  private static boolean isSame(State one, State other) {
    return one.project() == other.project() && one.label().equals(other.label());
  }

  private static int indexOf(Project project, List<State> states) {
    for (int index = 0; index < states.size(); index++) {
      if (states.get(index).project() == project) {
        return index;
      }
    }
    return -1;
  }

  /**
   * Leaves out what is not needed any more; the oldest steps go if there is no room for them. The
   * latest stays, so that what comes back is known to have been worked on.
   */
  private void writeAnew(Moment moment) throws IOException {
    List<State> states = moment.states();
    Path part = folder.resolve(NEW_LOG);
    int last = Math.max(0, moment.at() - 1);
    int from = 0;
    while (true) {
      List<State> window = states.subList(from, states.size());
      RecordFile fresh = RecordFile.create(part);
      try {
        fresh.append(bytes(entry(window, List.of(), moment, moment.at() - from)));
      } catch (IOException | RuntimeException failed) {
        fresh.close();
        Files.deleteIfExists(part);
        throw failed;
      }
      if (fresh.length() <= room || from == last) {
        takeOver(fresh, part);
        written = List.copyOf(window);
        return;
      }
      fresh.close();
      from = (from + last + 1) / 2;
    }
  }

  private void takeOver(RecordFile fresh, Path part) throws IOException {
    Files.move(
        part,
        folder.resolve(LOG),
        StandardCopyOption.ATOMIC_MOVE,
        StandardCopyOption.REPLACE_EXISTING);
    SafeFile.forceFolder(folder);
    log.close();
    log = fresh;
    roomyUntil = Math.max(room, 2 * fresh.length());
  }

  private static byte[] bytes(JsonNode node) {
    return JSON.writeValueAsBytes(node);
  }

  /** Lets go of it; what it holds stays and is found as work that was left. */
  @Override
  public void close() throws IOException {
    try (lockFile) {
      log.close();
      lock.release();
    } finally {
      released.run();
    }
  }

  /**
   * What a journal holds, as far as it is whole.
   *
   * @throws IOException if nothing of it can be read
   */
  static Left read(Path folder, KeptAssets assets) throws IOException {
    List<byte[]> records = RecordFile.read(folder.resolve(LOG));
    Optional<Left> last = Optional.empty();
    List<State> states = List.of();
    try {
      for (byte[] record : records) {
        JsonNode entry = JSON.readTree(record);
        states = states(entry, states, assets);
        last = Optional.of(left(folder, entry, states, assets));
      }
    } catch (IOException | RuntimeException broken) {
      // what was whole before it holds
      if (last.isEmpty()) {
        throw new IOException(Messages.of("journal.nothing-of-it-is-whole"), broken);
      }
    }
    return last.orElseThrow(() -> new IOException(Messages.of("journal.nothing-of-it-is-whole")));
  }

  private static List<State> states(JsonNode entry, List<State> before, KeptAssets assets)
      throws IOException {
    int kept = entry.path(KEEP).asInt(0);
    if (kept < 0 || kept > before.size()) {
      throw new IOException(Messages.of("journal.nothing-of-it-is-whole"));
    }
    List<State> states = new ArrayList<>(before.subList(0, kept));
    Project last = kept == 0 ? NOTHING : before.get(kept - 1).project();
    for (JsonNode state : entry.path(STATES)) {
      last = ProjectDifference.applyTo(last, state.path(DIFFERENCE), assets);
      states.add(new State(state.path(STEP).asString(""), last));
    }
    return states;
  }

  private static Optional<Project> saved(
      JsonNode saved, List<State> states, Project present, KeptAssets assets) throws IOException {
    if (saved.isObject()) {
      return Optional.of(ProjectDifference.applyTo(present, saved, assets));
    }
    int index = saved.asInt(-1);
    return index >= 0 && index < states.size()
        ? Optional.of(states.get(index).project())
        : Optional.empty();
  }

  private static Left left(Path folder, JsonNode entry, List<State> states, KeptAssets assets)
      throws IOException {
    int at = entry.path(AT).asInt(-1);
    if (at < 0 || at >= states.size()) {
      throw new IOException(Messages.of("journal.nothing-of-it-is-whole"));
    }
    Project present = states.get(at).project();
    Optional<Project> saved = saved(entry.path(SAVED), states, present, assets);
    Optional<Style> draft =
        entry.has(DRAFT)
            ? Optional.of(StyleJson.read(entry.path(DRAFT), present.palette()))
            : Optional.empty();
    Moment moment =
        new Moment(Moment.history(states, at, saved), path(entry.path(FILE).asString("")), draft);
    return new Left(folder, Instant.ofEpochMilli(entry.path(TIME).asLong(0)), moment);
  }

  private static Optional<Path> path(String text) {
    try {
      return text.isEmpty() ? Optional.empty() : Optional.of(Path.of(text));
    } catch (InvalidPathException foreign) {
      return Optional.empty();
    }
  }
}
