package dynamorph.footage;

import static org.bytedeco.ffmpeg.global.avformat.avformat_open_input;
import static org.bytedeco.ffmpeg.global.avutil.AV_LOG_FATAL;
import static org.bytedeco.ffmpeg.global.avutil.av_log_set_level;

import dynamorph.footage.message.Messages;
import java.nio.file.Path;
import org.bytedeco.ffmpeg.avformat.AVFormatContext;

/** Files of pictures and sound, as FFmpeg opens them. */
public final class Containers {
  private Containers() {}

  /** Work with the native library. */
  @FunctionalInterface
  public interface Work<T> {
    T run() throws FootageException;
  }

  /**
   * Runs what needs the native library.
   *
   * @param name of the file, to tell which it was
   * @throws FootageException also if the library does not run on this machine
   */
  public static <T> T with(String name, Work<T> work) throws FootageException {
    try {
      // what is wrong with a file is told by this program
      av_log_set_level(AV_LOG_FATAL);
      return work.run();
    } catch (LinkageError unusable) {
      throw new FootageException(
          Messages.of(
              "video-file.the-decoder-does-not-run-on",
              name,
              String.valueOf(unusable.getMessage())));
    }
  }

  /**
   * Opens a file to be read. The caller closes it.
   *
   * @throws FootageException saying why it cannot be
   */
  public static AVFormatContext open(Path file) throws FootageException {
    String name = String.valueOf(file.getFileName());
    return with(
        name,
        () -> {
          AVFormatContext container = new AVFormatContext(null);
          FfmpegErrors.check(
              name, avformat_open_input(container, file.toAbsolutePath().toString(), null, null));
          return container;
        });
  }
}
