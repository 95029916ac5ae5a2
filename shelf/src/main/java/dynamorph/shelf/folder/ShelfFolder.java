package dynamorph.shelf.folder;

import dynamorph.formats.file.FileState;
import dynamorph.formats.file.SafeFile;
import dynamorph.formats.file.Sha256;
import dynamorph.shelf.Action;
import dynamorph.shelf.Change;
import dynamorph.shelf.Shelf;
import dynamorph.shelf.entry.Entry;
import dynamorph.shelf.entry.EntryJson;
import dynamorph.shelf.entry.Kept;
import dynamorph.shelf.entry.Version;
import dynamorph.shelf.message.Messages;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.NoSuchFileException;
import java.nio.file.Path;
import java.time.Duration;
import java.time.Instant;
import java.time.InstantSource;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashMap;
import java.util.HashSet;
import java.util.HexFormat;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.concurrent.ConcurrentHashMap;
import java.util.random.RandomGenerator;
import java.util.regex.Pattern;
import java.util.stream.Stream;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;

/**
 * A shelf in a folder: one text file a style or swatch, which any number of windows, processes and
 * machines may read and write at once.
 *
 * <p>What is to be done is written first as an action, in one file that nobody changes afterwards,
 * and then into the file of each entry. Who reads puts both together, so an action that was broken
 * off between two files is whole all the same, and what somebody overwrote without having seen it
 * comes back.
 */
public final class ShelfFolder {
  private static final Logger LOG = LoggerFactory.getLogger(ShelfFolder.class);

  /** Actions can be undone for so long, and what is deleted is kept for so long. */
  public static final Duration KEPT = Duration.ofDays(90);

  private static final String STYLES = "styles";
  private static final String SWATCHES = "swatches";
  private static final String ACTIONS = "actions";
  private static final String ASSETS = "assets";
  private static final String ENDING = ".json";
  private static final Pattern HASH = Pattern.compile("[0-9a-f]{64}");

  private final Path folder;
  private final String author;
  private final InstantSource clock;
  private final RandomGenerator random;

  /** A file as it was when it was read last. */
  private record Seen(FileState state, Optional<EntryJson.Read> read, List<String> problems) {}

  private final Map<Path, Seen> seen = new ConcurrentHashMap<>();
  private final Map<Path, Action> actions = new ConcurrentHashMap<>();
  private ShelfHeader header;

  /** As it was read last, which it still is while no file changed. */
  private Optional<Shelf> last = Optional.empty();

  private volatile boolean changed;

  /**
   * A shelf in a folder, which need not be there yet.
   *
   * @param author written beside what is done from here
   */
  public ShelfFolder(Path folder, String author, InstantSource clock, RandomGenerator random) {
    this(folder, author, clock, random, new ShelfHeader(hex(random), nameOf(folder)));
  }

  /** A shelf that has this id and name when it comes into being. */
  public ShelfFolder(
      Path folder,
      String author,
      InstantSource clock,
      RandomGenerator random,
      String id,
      String name) {
    this(folder, author, clock, random, new ShelfHeader(id, name));
  }

  private ShelfFolder(
      Path folder, String author, InstantSource clock, RandomGenerator random, ShelfHeader header) {
    this.folder = folder;
    this.author = author;
    this.clock = clock;
    this.random = random;
    this.header = header;
  }

  private static String nameOf(Path folder) {
    return String.valueOf(folder.getFileName());
  }

  public Path folder() {
    return folder;
  }

  /** Whether there is a shelf in the folder. */
  public boolean isThere() {
    return Files.isRegularFile(folder.resolve(ShelfHeader.FILE));
  }

  public boolean isWritable() {
    return !Files.exists(folder) || Files.isWritable(folder);
  }

  private static String hex(RandomGenerator random) {
    return HexFormat.of().toHexDigits(random.nextLong());
  }

  /**
   * How the shelf is now. What has been read before and is as it was is not read again.
   *
   * @throws IOException if the folder cannot be read, or is that of a newer format; a file in it
   *     that cannot be read is a problem of the shelf instead
   */
  public synchronized Shelf read() throws IOException {
    List<String> problems = new ArrayList<>();
    ShelfHeader now = ShelfHeader.read(folder).orElse(header);
    changed = last.isEmpty() || !now.equals(header);
    header = now;
    List<Path> files = lookAtEntries();
    if (changed) {
      // also where something fails from here on
      last = Optional.empty();
    }
    List<Action> done = readActions(problems);
    if (!changed && problems.isEmpty() && last.isPresent()) {
      return last.get();
    }
    Map<String, Entry> entries = entriesInFiles(files, problems);
    done.forEach(action -> action.versions().forEach((id, made) -> Shelf.put(entries, id, made)));
    Shelf read = new Shelf(header.id(), header.name(), entries, done, problems, this::file);
    last = Optional.of(read);
    return read;
  }

  private List<Path> lookAtEntries() throws IOException {
    List<Path> files = new ArrayList<>(list(STYLES));
    files.addAll(list(SWATCHES));
    changed |= seen.keySet().retainAll(new HashSet<>(files));
    files.parallelStream().forEach(this::look);
    return files;
  }

  private Map<String, Entry> entriesInFiles(List<Path> files, List<String> problems) {
    Map<String, Entry> entries = new HashMap<>();
    for (Path file : files) {
      Seen now = seen.get(file);
      if (now == null) {
        continue;
      }
      problems.addAll(now.problems());
      now.read()
          .ifPresent(read -> {
            Entry entry = byHand(read, now.state());
            // a copy that a synchronising program made of a file is the same entry
            entries.merge(entry.id(), entry, (one, other) -> one.with(other.versions()));
          });
    }
    return entries;
  }

  private List<Path> list(String name) throws IOException {
    Path within = folder.resolve(name);
    if (!Files.isDirectory(within)) {
      return List.of();
    }
    try (Stream<Path> files = Files.list(within)) {
      return files
          .filter(file -> file.getFileName().toString().endsWith(ENDING))
          .filter(file -> !file.getFileName().toString().startsWith("."))
          .sorted()
          .toList();
    }
  }

  private void look(Path file) {
    Optional<FileState> state = FileState.of(file);
    Seen before = seen.get(file);
    if (state.isEmpty() || before != null && before.state().equals(state.get())) {
      return;
    }
    seen.put(file, readEntry(file, state.get()));
    changed = true;
  }

  private Seen readEntry(Path file, FileState state) {
    try {
      EntryJson.Read read = EntryJson.read(Files.readAllBytes(file));
      if (!Shelf.ID.matcher(read.entry().id()).matches()) {
        throw new IOException(Messages.of("shelf-folder.not-an-id", read.entry().id()));
      }
      return new Seen(
          state,
          Optional.of(read),
          read.problems().stream().map(problem -> told(file, problem)).toList());
    } catch (IOException damaged) {
      return new Seen(
          state, Optional.empty(), List.of(told(file, String.valueOf(damaged.getMessage()))));
    }
  }

  private String told(Path file, String problem) {
    return Messages.of("shelf-folder.problem", folder.relativize(file), problem);
  }

  /** What somebody wrote with a text editor is a version of its own. */
  private static Entry byHand(EntryJson.Read read, FileState state) {
    return read.byHand()
        .map(kept -> {
          Entry entry = read.entry();
          List<Version> more = new ArrayList<>(entry.settled());
          Version last = more.isEmpty() ? entry.head().version() : more.getLast();
          Instant time = state.modified().toInstant();
          Instant after = time.isAfter(last.time()) ? time : last.time().plusMillis(1);
          Version edited =
              Version.of(
                  List.of(last.id()),
                  after,
                  "",
                  Messages.of("shelf-folder.edited-in-the-file"),
                  Optional.of(kept));
          more.add(edited);
          return entry.with(more);
        })
        .orElse(read.entry());
  }

  private List<Action> readActions(List<String> problems) throws IOException {
    List<Path> files = list(ACTIONS);
    changed |= actions.keySet().retainAll(new HashSet<>(files));
    List<Action> done = new ArrayList<>();
    for (Path file : files) {
      Action known = actions.get(file);
      if (known == null) {
        try {
          known = ActionJson.read(Files.readAllBytes(file));
          actions.put(file, known);
          changed = true;
        } catch (NoSuchFileException gone) {
          continue;
        } catch (IOException damaged) {
          problems.add(told(file, String.valueOf(damaged.getMessage())));
          continue;
        }
      }
      done.add(known);
    }
    done.sort(Comparator.comparing(Action::time).thenComparing(Action::id));
    return done;
  }

  private Optional<byte[]> file(String hash) {
    if (!HASH.matcher(hash).matches()) {
      return Optional.empty();
    }
    try {
      byte[] bytes = Files.readAllBytes(folder.resolve(ASSETS).resolve(hash));
      return Sha256.hex(bytes).equals(hash) ? Optional.of(bytes) : Optional.empty();
    } catch (IOException missing) {
      return Optional.empty();
    }
  }

  /** What was done, and the shelf after it. */
  public record Done(Shelf shelf, Optional<Action> action) {}

  /**
   * Does something to the shelf. What others did since it was seen is kept: values that both
   * changed are told as conflicts of the entry, and the later change stands.
   *
   * @param before the shelf as the person saw it
   * @throws IOException if it cannot be written; then nothing is done, or everything once the
   *     folder can be written again
   */
  public synchronized Done apply(Change change, Shelf before) throws IOException {
    createFolders();
    try (FolderLock _ = FolderLock.of(folder)) {
      if (!isThere()) {
        header.write(folder);
      }
      Shelf now = read();
      Optional<Action> action = now.action(change, before, clock.instant(), author, random);
      if (action.isEmpty()) {
        return new Done(now, action);
      }
      return new Done(write(action.get(), change.files()), action);
    }
  }

  /**
   * Does what was done elsewhere: an action of another shelf of the same id, with the files it
   * needs.
   *
   * @throws IOException if it cannot be written
   */
  public synchronized Shelf add(Action action, Map<String, byte[]> files) throws IOException {
    createFolders();
    try (FolderLock _ = FolderLock.of(folder)) {
      if (!isThere()) {
        header.write(folder);
      }
      read();
      return write(action, files);
    }
  }

  private Shelf write(Action action, Map<String, byte[]> files) throws IOException {
    for (Map.Entry<String, byte[]> each : files.entrySet()) {
      Path file = folder.resolve(ASSETS).resolve(each.getKey());
      if (!Files.exists(file)) {
        SafeFile.write(file, out -> out.write(each.getValue()));
      }
    }
    // the one moment from which it is done
    write(folder.resolve(ACTIONS).resolve(fileName(action)), ActionJson.write(action));
    Shelf after = read();
    for (String id : after.entries().keySet()) {
      writeEntry(Objects.requireNonNull(after.entries().get(id)));
    }
    forgetOld(after);
    return read();
  }

  private void createFolders() throws IOException {
    for (String name : List.of(STYLES, SWATCHES, ACTIONS, ASSETS)) {
      Files.createDirectories(folder.resolve(name));
    }
  }

  private static String fileName(Action action) {
    String time = action.time().toString().replaceAll("[^0-9TZ]", "");
    return time + "-" + action.id() + ENDING;
  }

  /** Writes an entry unless its file says the same already. */
  private void writeEntry(Entry entry) throws IOException {
    Path file = file(entry);
    Seen there = seen.get(file);
    boolean isThere =
        there != null
            && there.read().filter(read -> read.byHand().isEmpty()).isPresent()
            && there.read().get().entry().equals(entry);
    if (!isThere) {
      if (there != null && !there.problems().isEmpty()) {
        putAside(file);
      }
      write(file, EntryJson.write(entry));
    }
  }

  /** What cannot be read is not written over: somebody may be able to mend it. */
  private void putAside(Path file) throws IOException {
    String name = String.valueOf(file.getFileName());
    Path aside = file.resolveSibling(name + ".damaged");
    for (int number = 2; Files.exists(aside); number++) {
      aside = file.resolveSibling(name + ".damaged-" + number);
    }
    Files.copy(file, aside);
    LOG.warn("{} is damaged and was kept as {}", file, aside);
  }

  private Path file(Entry entry) {
    boolean isSwatch =
        entry.versions().stream()
            .flatMap(version -> version.kept().stream())
            .anyMatch(Kept.OfSwatch.class::isInstance);
    return folder.resolve(isSwatch ? SWATCHES : STYLES).resolve(entry.id() + ENDING);
  }

  private static void write(Path file, String text) throws IOException {
    SafeFile.write(file, out -> out.write(text.getBytes(StandardCharsets.UTF_8)));
  }

  /** Old actions, and entries that were deleted long ago. */
  private void forgetOld(Shelf shelf) throws IOException {
    Instant old = clock.instant().minus(KEPT);
    boolean anyOld = false;
    for (Map.Entry<Path, Action> each : actions.entrySet()) {
      if (each.getValue().time().isBefore(old)) {
        anyOld = true;
        Files.deleteIfExists(each.getKey());
      }
    }
    if (!anyOld) {
      return;
    }
    for (Entry entry : shelf.entries().values()) {
      if (entry.kept().isEmpty() && entry.head().version().time().isBefore(old)) {
        LOG.debug("{} was deleted long ago and is forgotten", entry.id());
        Files.deleteIfExists(file(entry));
      }
    }
  }
}
