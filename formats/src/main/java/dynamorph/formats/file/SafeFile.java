package dynamorph.formats.file;

import dynamorph.formats.message.Messages;
import java.io.IOException;
import java.io.OutputStream;
import java.nio.ByteBuffer;
import java.nio.channels.FileChannel;
import java.nio.file.AccessDeniedException;
import java.nio.file.AtomicMoveNotSupportedException;
import java.nio.file.FileSystemException;
import java.nio.file.Files;
import java.nio.file.LinkOption;
import java.nio.file.NoSuchFileException;
import java.nio.file.Path;
import java.nio.file.ReadOnlyFileSystemException;
import java.nio.file.StandardCopyOption;
import java.nio.file.StandardOpenOption;
import java.nio.file.attribute.FileTime;
import java.nio.file.attribute.PosixFileAttributeView;
import java.nio.file.attribute.PosixFileAttributes;
import java.nio.file.attribute.PosixFilePermission;
import java.nio.file.attribute.UserDefinedFileAttributeView;
import java.time.Duration;
import java.time.Instant;
import java.util.Optional;
import java.util.UUID;
import java.util.stream.Stream;
import org.jspecify.annotations.Nullable;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;

/**
 * Writes a file beside its place, forces it to the disk and then moves it there, so that the old
 * one stays whole until the new one is. What the old one was besides its bytes, the new one is too:
 * where a link leads to, who owns it, who may read it, and its extended attributes.
 */
public final class SafeFile {
  private static final Logger LOG = LoggerFactory.getLogger(SafeFile.class);

  /** Short, since a name may be as long as the system allows without it. */
  private static final String BESIDE = ".dynamorph-";

  private static final String PART = ".part";

  /** How old a file beside must be to be one that nobody writes any more. */
  private static final Duration LEFT_OVER = Duration.ofHours(1);

  /** Writes the contents of a file. */
  @FunctionalInterface
  public interface Contents {
    void writeTo(OutputStream stream) throws IOException;
  }

  /** Writes a file at a place, for what has to go to and fro in it. */
  @FunctionalInterface
  public interface Placed {
    void writeAt(Path beside) throws IOException;
  }

  private SafeFile() {}

  /**
   * Writes or replaces a file.
   *
   * @throws IOException if it cannot be written; what was there before is still there, and the
   *     message names the file and the reason
   */
  public static void write(Path file, Contents contents) throws IOException {
    place(
        file,
        beside -> {
          try (OutputStream stream =
              Files.newOutputStream(beside, StandardOpenOption.TRUNCATE_EXISTING)) {
            contents.writeTo(stream);
          }
        });
  }

  /**
   * Writes or replaces a file that is made at a place of its own, which is there and empty.
   *
   * @throws IOException as {@link #write}
   */
  public static void place(Path file, Placed contents) throws IOException {
    try {
      writeBeside(place(file.toAbsolutePath()), file, contents);
    } catch (Told told) {
      throw told;
    } catch (IOException | ReadOnlyFileSystemException failed) {
      throw new Told(Messages.of("safe-file.cannot-be-written", file, reason(failed)), failed);
    }
  }

  /** A failure whose message is complete. */
  private static final class Told extends IOException {
    Told(String message, @Nullable Throwable cause) {
      super(message, cause);
    }
  }

  /** What a name leads to: a link stays one, and what it leads to is written. */
  private static Path place(Path file) throws IOException {
    Path place = file;
    for (int links = 0; Files.isSymbolicLink(place); links++) {
      if (links == 40) {
        throw new IOException(Messages.of("safe-file.links-lead-in-a-circle"));
      }
      place = place.resolveSibling(Files.readSymbolicLink(place));
    }
    return place;
  }

  private static void writeBeside(Path target, Path named, Placed contents) throws IOException {
    Path folder = target.getParent();
    if (folder == null || !Files.isDirectory(folder)) {
      throw new Told(
          Messages.of("safe-file.the-folder-does-not-exist", named, String.valueOf(folder)), null);
    }
    if (Files.isDirectory(target)) {
      throw new IOException(Messages.of("safe-file.this-is-a-folder"));
    }
    boolean replaces = Files.exists(target);
    if (replaces && isReadOnly(target)) {
      throw new IOException(Messages.of("safe-file.the-file-is-read-only"));
    }
    clearLeftOvers(folder);
    // not a temporary file of the system, which only its owner could read
    Path beside = folder.resolve(BESIDE + UUID.randomUUID() + PART);
    try {
      Files.createFile(beside);
      contents.writeAt(beside);
      if (replaces) {
        takeOver(target, beside);
      }
      try (FileChannel channel = FileChannel.open(beside, StandardOpenOption.WRITE)) {
        channel.force(true);
      }
      move(beside, target);
      forceFolder(folder);
    } finally {
      Files.deleteIfExists(beside);
    }
  }

  /**
   * Who may not write a file does not want it replaced either, though the folder would allow it.
   */
  private static boolean isReadOnly(Path file) throws IOException {
    PosixFileAttributeView posix = Files.getFileAttributeView(file, PosixFileAttributeView.class);
    boolean withheld =
        posix != null
            && !posix.readAttributes().permissions().contains(PosixFilePermission.OWNER_WRITE);
    return withheld || !Files.isWritable(file);
  }

  /** What the old file is besides its bytes; where the system refuses, the new one is its own. */
  private static void takeOver(Path old, Path beside) {
    try {
      PosixFileAttributeView from = Files.getFileAttributeView(old, PosixFileAttributeView.class);
      PosixFileAttributeView to = Files.getFileAttributeView(beside, PosixFileAttributeView.class);
      if (from != null && to != null) {
        PosixFileAttributes attributes = from.readAttributes();
        quietly(() -> to.setGroup(attributes.group()));
        quietly(() -> to.setOwner(attributes.owner()));
        // after the owner, since a change of that takes some of them away
        quietly(() -> to.setPermissions(attributes.permissions()));
      }
      extended(old, beside);
    } catch (IOException | UnsupportedOperationException notHere) {
      LOG.debug("attributes of {} cannot be read", old, notHere);
    }
  }

  private static void extended(Path old, Path beside) throws IOException {
    UserDefinedFileAttributeView from =
        Files.getFileAttributeView(old, UserDefinedFileAttributeView.class);
    UserDefinedFileAttributeView to =
        Files.getFileAttributeView(beside, UserDefinedFileAttributeView.class);
    if (from == null || to == null) {
      return;
    }
    for (String name : from.list()) {
      ByteBuffer value = ByteBuffer.allocate(from.size(name));
      from.read(name, value);
      value.flip();
      quietly(() -> to.write(name, value));
    }
  }

  private interface Step {
    void run() throws IOException;
  }

  private static void quietly(Step step) {
    try {
      step.run();
    } catch (IOException | UnsupportedOperationException refused) {
      LOG.debug("an attribute is not taken over", refused);
    }
  }

  /** What a process left that ended while it wrote. */
  private static void clearLeftOvers(Path folder) {
    Instant old = Instant.now().minus(LEFT_OVER);
    try (Stream<Path> files = Files.list(folder)) {
      for (Path file : files.filter(SafeFile::isBeside).toList()) {
        FileTime time = Files.getLastModifiedTime(file, LinkOption.NOFOLLOW_LINKS);
        if (time.toInstant().isBefore(old)) {
          Files.deleteIfExists(file);
        }
      }
    } catch (IOException | java.io.UncheckedIOException notNow) {
      LOG.debug("left-over files in {} stay", folder, notNow);
    }
  }

  private static boolean isBeside(Path file) {
    String name = file.getFileName().toString();
    return name.startsWith(BESIDE) && name.endsWith(PART);
  }

  /** Forces new names to the disk too; not every system lets folders be opened for that. */
  public static void forceFolder(Path folder) {
    try (FileChannel channel = FileChannel.open(folder, StandardOpenOption.READ)) {
      channel.force(true);
    } catch (IOException notHere) {
      // the file itself is safe; the name is written when the system sees fit
    }
  }

  private static void move(Path from, Path to) throws IOException {
    try {
      Files.move(from, to, StandardCopyOption.ATOMIC_MOVE, StandardCopyOption.REPLACE_EXISTING);
    } catch (AtomicMoveNotSupportedException otherVolume) {
      Files.move(from, to, StandardCopyOption.REPLACE_EXISTING);
    }
  }

  private static String reason(Exception failed) {
    Optional<String> said =
        Optional.ofNullable(
            failed instanceof FileSystemException system
                ? system.getReason()
                : failed.getMessage());
    if (said.filter(words -> words.contains("No space left")).isPresent()) {
      return Messages.of("safe-file.the-disk-is-full");
    }
    return switch (failed) {
      case AccessDeniedException _ -> Messages.of("safe-file.the-folder-is-read-only");
      case ReadOnlyFileSystemException _ -> Messages.of("safe-file.the-folder-is-read-only");
      case NoSuchFileException _ -> Messages.of("safe-file.the-folder-is-gone");
      default -> said.orElse(failed.getClass().getSimpleName());
    };
  }
}
