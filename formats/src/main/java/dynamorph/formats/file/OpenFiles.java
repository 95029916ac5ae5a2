package dynamorph.formats.file;

import java.io.Closeable;
import java.io.IOException;
import java.nio.ByteBuffer;
import java.nio.channels.FileChannel;
import java.nio.channels.FileLock;
import java.nio.channels.OverlappingFileLockException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.InvalidPathException;
import java.nio.file.Path;
import java.nio.file.StandardOpenOption;
import java.util.Optional;
import java.util.UUID;
import java.util.stream.Stream;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;

/**
 * Which files the windows of a person have open on this machine. Each window has an entry in a
 * folder that all share, locked as long as its process lives; what a process left that ended badly
 * is not locked, and goes.
 */
public final class OpenFiles implements Closeable {
  private static final Logger LOG = LoggerFactory.getLogger(OpenFiles.class);
  private static final String ENDING = ".open";

  /** No path is longer. */
  private static final int LONGEST = 1 << 16;

  private final Path folder;
  private final String own = UUID.randomUUID() + ENDING;
  private Optional<FileChannel> entry = Optional.empty();

  public OpenFiles(Path folder) {
    this.folder = folder;
  }

  /** Notes that this window has a file open, or none; that it cannot be noted hinders nobody. */
  public synchronized void note(Optional<Path> file) {
    try {
      FileChannel channel = channel();
      channel.truncate(0);
      ByteBuffer words =
          StandardCharsets.UTF_8.encode(file.map(path -> real(path).toString()).orElse(""));
      channel.write(words, 0);
    } catch (IOException unwritable) {
      LOG.warn("it cannot be noted which file is open", unwritable);
    }
  }

  private FileChannel channel() throws IOException {
    if (entry.isEmpty()) {
      Files.createDirectories(folder);
      FileChannel channel =
          FileChannel.open(
              folder.resolve(own), StandardOpenOption.CREATE_NEW, StandardOpenOption.WRITE);
      // held until the process ends, however that is
      channel.lock();
      entry = Optional.of(channel);
    }
    return entry.get();
  }

  /** Whether another window has a file open. */
  public boolean isOpenElsewhere(Path file) {
    String wanted = real(file).toString();
    try (Stream<Path> entries = Files.list(folder)) {
      return entries
          .filter(one -> one.getFileName().toString().endsWith(ENDING))
          .filter(one -> !one.getFileName().toString().equals(own))
          .filter(OpenFiles::isAlive)
          .anyMatch(one -> wanted.equals(words(one)));
    } catch (IOException none) {
      return false;
    }
  }

  /** Whether the process of an entry lives; if not, the entry goes. */
  private static boolean isAlive(Path entry) {
    try (FileChannel channel = FileChannel.open(entry, StandardOpenOption.WRITE)) {
      try (FileLock lock = channel.tryLock()) {
        if (lock == null) {
          return true;
        }
      }
      Files.deleteIfExists(entry);
      return false;
    } catch (OverlappingFileLockException thisProcess) {
      return true;
    } catch (IOException gone) {
      return false;
    }
  }

  private static String words(Path entry) {
    try (var stream = Files.newInputStream(entry)) {
      return new String(stream.readNBytes(LONGEST), StandardCharsets.UTF_8);
    } catch (IOException gone) {
      return "";
    }
  }

  /** One name for a file, whichever links lead to it. */
  private static Path real(Path file) {
    try {
      return file.toRealPath();
    } catch (IOException | InvalidPathException none) {
      return file.toAbsolutePath().normalize();
    }
  }

  @Override
  public synchronized void close() {
    try {
      if (entry.isPresent()) {
        entry.get().close();
        entry = Optional.empty();
        Files.deleteIfExists(folder.resolve(own));
      }
    } catch (IOException stays) {
      LOG.warn("an entry of open files stays", stays);
    }
  }
}
