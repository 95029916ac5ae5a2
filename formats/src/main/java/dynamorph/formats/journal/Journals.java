package dynamorph.formats.journal;

import java.io.IOException;
import java.nio.channels.FileChannel;
import java.nio.channels.FileLock;
import java.nio.channels.OverlappingFileLockException;
import java.nio.file.Files;
import java.nio.file.NoSuchFileException;
import java.nio.file.Path;
import java.nio.file.StandardOpenOption;
import java.nio.file.attribute.FileTime;
import java.time.Duration;
import java.time.Instant;
import java.time.InstantSource;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import java.util.concurrent.ConcurrentHashMap;
import java.util.stream.Stream;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;

/** The journals of all projects that are open or were left, in one folder of the person's own. */
public final class Journals {
  private static final Logger LOG = LoggerFactory.getLogger(Journals.class);

  /** How long work that was put aside is kept. */
  public static final Duration KEPT = Duration.ofDays(30);

  /**
   * The journals that this process has. Their locks are not looked at: where locks are those of
   * POSIX, closing any channel of a file lets go of all that the process has on it.
   */
  private static final Set<Path> OWN = ConcurrentHashMap.newKeySet();

  /** How long the log of a project may grow before it is written anew, in bytes. */
  private static final long ROOM = 48L << 20;

  private static final String OPEN = "open-";
  private static final String ASIDE = "aside-";
  private static final String ASSETS = "assets";

  private final Path folder;
  private final InstantSource clock;
  private final long room;

  public Journals(Path folder, InstantSource clock) {
    this(folder, clock, ROOM);
  }

  Journals(Path folder, InstantSource clock, long room) {
    this.folder = folder;
    this.clock = clock;
    this.room = room;
  }

  /**
   * Begins the journal of a project, which this process has until it ends.
   *
   * @throws IOException if the folder cannot be written
   */
  public Journal begin() throws IOException {
    Path own = Files.createDirectories(folder.resolve(OPEN + UUID.randomUUID()));
    Journal.Held held = held(own).orElseThrow(() -> new IOException(own + ": " + Journal.LOCK));
    OWN.add(own.toAbsolutePath());
    return new Journal(
        own, assetsOf(own), clock, room, held, () -> OWN.remove(own.toAbsolutePath()));
  }

  private KeptAssets assetsOf(Path journal) {
    return KeptAssets.of(folder.resolve(ASSETS), journal);
  }

  /** Takes the lock of a journal; empty if a process has it. */
  private static Optional<Journal.Held> held(Path journal) throws IOException {
    FileChannel file =
        FileChannel.open(
            journal.resolve(Journal.LOCK), StandardOpenOption.CREATE, StandardOpenOption.WRITE);
    try {
      FileLock lock = file.tryLock();
      if (lock != null) {
        return Optional.of(new Journal.Held(file, lock));
      }
    } catch (OverlappingFileLockException thisProcess) {
      // another window of this process has it
    }
    file.close();
    return Optional.empty();
  }

  /**
   * Work that processes left when they ended and that is in no file, latest first. What was left
   * without anything unsaved is deleted; what cannot be read at all is put aside.
   */
  public List<Left> left() {
    List<Left> left = new ArrayList<>();
    for (Path journal : named(OPEN)) {
      if (OWN.contains(journal.toAbsolutePath())) {
        continue;
      }
      try {
        Optional<Journal.Held> held = held(journal);
        if (held.isPresent()) {
          held.get().file().close();
          read(journal, left);
        }
      } catch (IOException unreadable) {
        LOG.warn("the journal {} cannot be read", journal.getFileName(), unreadable);
      }
    }
    left.sort(Comparator.comparing(Left::time).reversed());
    return left;
  }

  private void read(Path journal, List<Left> left) throws IOException {
    try {
      Left found = Journal.read(journal, assetsOf(journal));
      if (found.isUnsaved()) {
        left.add(found);
      } else {
        delete(journal);
      }
    } catch (IOException broken) {
      boolean empty = !Files.exists(journal.resolve(Journal.LOG)) || isBegunOnly(journal);
      if (empty) {
        delete(journal);
      } else {
        LOG.warn("nothing of the journal {} can be read", journal.getFileName(), broken);
        putAside(journal);
      }
    }
  }

  /** Whether the process ended before anything was noted. */
  private static boolean isBegunOnly(Path journal) {
    try {
      return RecordFile.read(journal.resolve(Journal.LOG)).isEmpty();
    } catch (IOException foreign) {
      return false;
    }
  }

  /** Work that was put aside and can be read, latest first. */
  public List<Left> aside() {
    List<Left> aside = new ArrayList<>();
    for (Path journal : named(ASIDE)) {
      try {
        aside.add(Journal.read(journal, assetsOf(journal)));
      } catch (IOException broken) {
        LOG.warn("nothing of the journal {} can be read", journal.getFileName(), broken);
      }
    }
    aside.sort(Comparator.comparing(Left::time).reversed());
    return aside;
  }

  /**
   * Puts work aside: it is not offered any more, and kept for 30 days.
   *
   * @throws IOException if its folder cannot be moved
   */
  public void putAside(Left left) throws IOException {
    putAside(left.folder());
  }

  private void putAside(Path journal) throws IOException {
    String name = journal.getFileName().toString();
    if (name.startsWith(OPEN)) {
      Path aside = folder.resolve(ASIDE + name.substring(OPEN.length()));
      Files.move(journal, aside);
      Files.setLastModifiedTime(aside, FileTime.from(clock.instant()));
    }
  }

  /** Deletes a journal that is of no use any more. */
  public void discard(Left left) {
    delete(left.folder());
  }

  /** Ends a journal whose project is settled: saved, or given up. */
  public void discard(Journal journal) {
    try {
      journal.close();
    } catch (IOException closed) {
      LOG.warn("a journal could not be closed", closed);
    }
    delete(journal.folder());
  }

  /** Deletes what was put aside 30 days ago, and assets that no journal needs. */
  public void tidy() {
    Instant old = clock.instant().minus(KEPT);
    for (Path journal : named(ASIDE)) {
      if (modified(journal).isBefore(old)) {
        delete(journal);
      }
    }
    List<Path> kept = new ArrayList<>(named(OPEN));
    kept.addAll(named(ASIDE));
    KeptAssets.drop(folder.resolve(ASSETS), kept, clock.instant());
  }

  private static Instant modified(Path file) {
    try {
      return Files.getLastModifiedTime(file).toInstant();
    } catch (IOException gone) {
      return Instant.MAX;
    }
  }

  private List<Path> named(String start) {
    return list(folder).stream()
        .filter(file -> file.getFileName().toString().startsWith(start))
        .filter(Files::isDirectory)
        .toList();
  }

  private static List<Path> list(Path folder) {
    try (Stream<Path> files = Files.list(folder)) {
      return files.sorted().toList();
    } catch (IOException none) {
      return List.of();
    }
  }

  /** The log goes last: as long as it is there, nothing of the journal is missing. */
  private static void delete(Path journal) {
    try {
      for (Path file : list(journal)) {
        Files.deleteIfExists(file);
      }
      Files.deleteIfExists(journal);
    } catch (NoSuchFileException gone) {
      // another process was faster
    } catch (IOException inUse) {
      LOG.warn("{} could not be deleted", journal.getFileName(), inUse);
    }
  }
}
