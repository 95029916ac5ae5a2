package dynamorph.footage;

import static org.bytedeco.ffmpeg.global.avutil.av_strerror;

import dynamorph.footage.message.Messages;
import java.nio.charset.StandardCharsets;
import java.util.Locale;

/** What FFmpeg answers, in words. */
public final class FfmpegErrors {
  private FfmpegErrors() {}

  /**
   * The answer itself, if it is none of an error.
   *
   * @param name of the file, to tell which it was
   * @throws FootageException saying what went wrong
   */
  public static int check(String name, int result) throws FootageException {
    if (result < 0) {
      throw of(name, result);
    }
    return result;
  }

  /** What an answer below zero means when a file is written. */
  public static FootageException written(String name, int error) {
    return new FootageException(Messages.of("ffmpeg-errors.cannot-be-written", name, words(error)));
  }

  /** What an answer below zero means when a file is read. */
  public static FootageException of(String name, int error) {
    String told = words(error);
    return new FootageException(
        name
            + ": "
            + (told.isEmpty()
                ? Messages.of("video-file.it-cannot-be-read")
                : Messages.of("video-file.it-cannot-be-read-2", told)));
  }

  private static String words(int error) {
    byte[] words = new byte[256];
    av_strerror(error, words, words.length);
    int length = 0;
    while (length < words.length && words[length] != 0) {
      length++;
    }
    return new String(words, 0, length, StandardCharsets.UTF_8).toLowerCase(Locale.ROOT).strip();
  }
}
