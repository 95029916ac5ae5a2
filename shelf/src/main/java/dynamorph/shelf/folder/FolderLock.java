package dynamorph.shelf.folder;

import java.io.Closeable;
import java.io.IOException;
import java.nio.channels.FileChannel;
import java.nio.channels.FileLock;
import java.nio.file.Path;
import java.nio.file.StandardOpenOption;
import java.util.concurrent.locks.ReentrantLock;
import org.jspecify.annotations.Nullable;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;

/**
 * Lets one at a time write into a shelf: threads of this process, and other processes where the
 * file system has locks. Where it has none (some network drives), writing goes on: whatever is lost
 * in between is brought back from the actions, which nobody overwrites.
 */
final class FolderLock implements Closeable {
  private static final Logger LOG = LoggerFactory.getLogger(FolderLock.class);
  private static final String FILE = ".lock";

  /** Locks of the system hold between processes; this between threads of one. */
  private static final ReentrantLock BETWEEN_THREADS = new ReentrantLock();

  private final @Nullable FileChannel channel;

  private FolderLock(@Nullable FileChannel channel) {
    this.channel = channel;
  }

  static FolderLock of(Path folder) {
    BETWEEN_THREADS.lock();
    FileChannel channel = null;
    try {
      channel =
          FileChannel.open(
              folder.resolve(FILE), StandardOpenOption.CREATE, StandardOpenOption.WRITE);
      FileLock lock = channel.lock();
      assert lock.isValid();
      return new FolderLock(channel);
    } catch (IOException | UnsupportedOperationException noLocks) {
      LOG.debug("{} has no locks", folder, noLocks);
      return new FolderLock(channel);
    }
  }

  @Override
  public void close() {
    try {
      if (channel != null) {
        channel.close();
      }
    } catch (IOException gone) {
      LOG.debug("a lock went by itself", gone);
    } finally {
      BETWEEN_THREADS.unlock();
    }
  }
}
