package dynamorph.formats.versions;

import dynamorph.formats.file.SafeFile;
import dynamorph.formats.file.Sha256;
import dynamorph.formats.journal.KeptAssets;
import dynamorph.formats.journal.RecordFile;
import dynamorph.formats.project.ProjectDifference;
import dynamorph.model.Project;
import java.io.IOException;
import java.nio.channels.FileChannel;
import java.nio.channels.FileLock;
import java.nio.file.DirectoryStream;
import java.nio.file.Files;
import java.nio.file.LinkOption;
import java.nio.file.NoSuchFileException;
import java.nio.file.Path;
import java.nio.file.StandardCopyOption;
import java.nio.file.StandardOpenOption;
import java.nio.file.attribute.FileTime;
import java.time.Instant;
import java.time.InstantSource;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.stream.Stream;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;
import tools.jackson.databind.node.JsonNodeFactory;
import tools.jackson.databind.node.ObjectNode;

/**
 * The last saved states of project files, each as what differs from the one before, in one folder
 * of the person's own. Any number of processes may keep and read at once.
 */
public final class Versions {
  private static final Logger LOG = LoggerFactory.getLogger(Versions.class);

  /** So many states of a project are kept. */
  public static final int MOST = 20;

  /** So many more are gathered before those that are too many are left out. */
  private static final int SLACK = 10;

  /** How long the log of a project may grow, in bytes; the oldest states go first. */
  private static final long ROOM = 32L << 20;

  /** So many projects have their states kept; those that were saved longest ago go. */
  private static final int MOST_PROJECTS = 100;

  private static final String LOG_FILE = "log";
  private static final String NEW_LOG = "log.part";
  private static final String NEW_LIST = "assets.part";
  private static final String LOCK = "lock";
  private static final String ASSETS = "assets";
  private static final String TIME = "time";
  private static final String FILE = "file";
  private static final String DIFFERENCE = "difference";
  private static final Project NOTHING = Project.empty("");

  /** Locks of the system hold between processes; this between threads of one. */
  private static final Object BETWEEN_THREADS = new Object();

  /** Made when a state is written or read, which no start waits for. */
  private static final class Json {
    static final JsonMapper MAPPER = JsonMapper.builder().build();
  }

  /** A saved state. */
  public record Version(Instant time, Project project) {}

  private final Path folder;
  private final InstantSource clock;
  private final long room;

  public Versions(Path folder, InstantSource clock) {
    this(folder, clock, ROOM);
  }

  Versions(Path folder, InstantSource clock, long room) {
    this.folder = folder;
    this.clock = clock;
    this.room = room;
  }

  /**
   * Keeps a state of a file, unless the last one is the same.
   *
   * @param time when it was saved
   * @throws IOException if it cannot be written; what was kept before is still there
   */
  public void keep(Path file, Project project, Instant time) throws IOException {
    synchronized (BETWEEN_THREADS) {
      Path own = Files.createDirectories(folderOf(file));
      try (FileChannel channel =
              FileChannel.open(
                  own.resolve(LOCK), StandardOpenOption.CREATE, StandardOpenOption.WRITE);
          FileLock lock = channel.lock()) {
        assert lock.isValid();
        List<Version> kept = read(own);
        if (kept.isEmpty() || !kept.getLast().project().equals(project)) {
          kept.add(new Version(time, project));
          write(own, file, kept);
        }
      }
      Files.setLastModifiedTime(own, FileTime.from(time));
      forgetOldest();
    }
  }

  private void write(Path own, Path file, List<Version> kept) throws IOException {
    int count = kept.size();
    if (count == 1 || count > MOST + SLACK || !append(own, file, kept)) {
      writeAnew(own, file, kept.subList(Math.max(0, count - MOST), count));
    }
  }

  /** Adds the last one to the log; false if there is no room in it, or it is not whole. */
  private boolean append(Path own, Path file, List<Version> kept) throws IOException {
    Project before = kept.get(kept.size() - 2).project();
    try (RecordFile records = RecordFile.resume(own.resolve(LOG_FILE))) {
      if (records.length() > room || records.count() != kept.size() - 1) {
        return false;
      }
      records.append(entry(file, before, kept.getLast(), assetsOf(own)));
      return true;
    }
  }

  /** Leaves out what is too much, and the assets that nothing needs then. */
  private void writeAnew(Path own, Path file, List<Version> kept) throws IOException {
    Path part = own.resolve(NEW_LOG);
    Path list = own.resolve(NEW_LIST);
    int from = 0;
    while (true) {
      Files.deleteIfExists(list);
      KeptAssets assets = KeptAssets.listedIn(folder.resolve(ASSETS), list);
      List<Version> window = kept.subList(from, kept.size());
      if (log(part, file, window, assets) <= room || window.size() == 1) {
        break;
      }
      from = (from + kept.size()) / 2;
    }
    // in this order: the old list names what the new log needs as well
    move(part, own.resolve(LOG_FILE));
    if (Files.exists(list)) {
      move(list, own.resolve(KeptAssets.LIST));
    } else {
      Files.deleteIfExists(own.resolve(KeptAssets.LIST));
    }
    SafeFile.forceFolder(own);
    dropAssets();
  }

  /** Writes a log; tells how long it is. */
  private static long log(Path log, Path file, List<Version> versions, KeptAssets assets)
      throws IOException {
    try (RecordFile records = RecordFile.create(log)) {
      Project before = NOTHING;
      for (Version version : versions) {
        records.append(entry(file, before, version, assets));
        before = version.project();
      }
      return records.length();
    }
  }

  private static void move(Path from, Path to) throws IOException {
    Files.move(from, to, StandardCopyOption.ATOMIC_MOVE, StandardCopyOption.REPLACE_EXISTING);
  }

  private static byte[] entry(Path file, Project before, Version version, KeptAssets assets)
      throws IOException {
    ObjectNode entry =
        JsonNodeFactory.instance
            .objectNode()
            .put(TIME, version.time().toEpochMilli())
            .put(FILE, file.toString());
    entry.set(DIFFERENCE, ProjectDifference.between(before, version.project(), assets));
    return Json.MAPPER.writeValueAsBytes(entry);
  }

  /** The saved states of a file, the latest last; those that are not whole are left out. */
  public List<Version> of(Path file) throws IOException {
    synchronized (BETWEEN_THREADS) {
      List<Version> all = read(folderOf(file));
      return List.copyOf(all.subList(Math.max(0, all.size() - MOST), all.size()));
    }
  }

  private List<Version> read(Path own) throws IOException {
    List<Version> versions = new ArrayList<>();
    KeptAssets assets = assetsOf(own);
    Project last = NOTHING;
    try {
      for (byte[] record : RecordFile.read(own.resolve(LOG_FILE))) {
        JsonNode entry = Json.MAPPER.readTree(record);
        last = ProjectDifference.applyTo(last, entry.path(DIFFERENCE), assets);
        versions.add(new Version(Instant.ofEpochMilli(entry.path(TIME).asLong(0)), last));
      }
    } catch (NoSuchFileException none) {
      return versions;
    } catch (IOException | RuntimeException damaged) {
      LOG.warn("saved versions in {} are damaged from the {}th on", own, versions.size() + 1);
    }
    return versions;
  }

  // --- places

  private KeptAssets assetsOf(Path own) {
    return KeptAssets.of(folder.resolve(ASSETS), own);
  }

  private Path folderOf(Path file) {
    return folder.resolve("of-" + hash(real(file).toString()));
  }

  /** By whatever name or link it is reached. */
  private static Path real(Path file) {
    try {
      return file.toRealPath();
    } catch (IOException gone) {
      return file.toAbsolutePath().normalize();
    }
  }

  /** As long as folder names need it. */
  private static String hash(String text) {
    return Sha256.hex(text).substring(0, 32);
  }

  // --- what goes

  /** Forgets all states of a file. */
  public void forget(Path file) throws IOException {
    synchronized (BETWEEN_THREADS) {
      delete(folderOf(file));
      dropAssets();
    }
  }

  private void forgetOldest() throws IOException {
    List<Path> projects = projects();
    if (projects.size() <= MOST_PROJECTS) {
      return;
    }
    projects.sort(Comparator.comparing(Versions::time));
    for (Path project : projects.subList(0, projects.size() - MOST_PROJECTS)) {
      delete(project);
    }
    dropAssets();
  }

  private List<Path> projects() throws IOException {
    List<Path> projects = new ArrayList<>();
    try (DirectoryStream<Path> all = Files.newDirectoryStream(folder, "of-*")) {
      all.forEach(projects::add);
    }
    return projects;
  }

  private static FileTime time(Path project) {
    try {
      return Files.getLastModifiedTime(project, LinkOption.NOFOLLOW_LINKS);
    } catch (IOException gone) {
      return FileTime.fromMillis(0);
    }
  }

  private static void delete(Path project) throws IOException {
    if (Files.isDirectory(project, LinkOption.NOFOLLOW_LINKS)) {
      try (Stream<Path> parts = Files.list(project)) {
        for (Path part : parts.toList()) {
          Files.deleteIfExists(part);
        }
      }
      Files.deleteIfExists(project);
    }
  }

  /** Assets that no project lists any more. */
  private void dropAssets() throws IOException {
    KeptAssets.drop(folder.resolve(ASSETS), projects(), clock.instant());
  }
}
