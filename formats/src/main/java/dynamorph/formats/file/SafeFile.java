package dynamorph.formats.file;

import dynamorph.formats.message.Messages;
import java.io.IOException;
import java.io.OutputStream;
import java.nio.channels.FileChannel;
import java.nio.file.AtomicMoveNotSupportedException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.StandardCopyOption;
import java.nio.file.StandardOpenOption;
import java.util.UUID;

/**
 * Writes a file beside its place, forces it to the disk and then moves it there, so that the old
 * one stays whole until the new one is.
 */
public final class SafeFile {
  /** Writes the contents of a file. */
  @FunctionalInterface
  public interface Contents {
    void writeTo(OutputStream stream) throws IOException;
  }

  private SafeFile() {}

  /**
   * Writes or replaces a file.
   *
   * @throws IOException if it cannot be written; what was there before is still there
   */
  public static void write(Path file, Contents contents) throws IOException {
    Path target = file.toAbsolutePath();
    Path folder = target.getParent();
    if (folder == null || !Files.isDirectory(folder)) {
      throw new IOException(
          Messages.of("safe-file.the-folder-does-not-exist", file, String.valueOf(folder)));
    }
    // not a temporary file of the system, which only its owner could read
    Path beside = folder.resolve("." + target.getFileName() + "-" + UUID.randomUUID() + ".part");
    try {
      try (OutputStream stream = Files.newOutputStream(beside, StandardOpenOption.CREATE_NEW)) {
        contents.writeTo(stream);
      }
      try (FileChannel channel = FileChannel.open(beside, StandardOpenOption.WRITE)) {
        channel.force(true);
      }
      move(beside, target);
      force(folder);
    } finally {
      Files.deleteIfExists(beside);
    }
  }

  /** The new name is on the disk too; not every system lets folders be opened for that. */
  private static void force(Path folder) {
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
}
