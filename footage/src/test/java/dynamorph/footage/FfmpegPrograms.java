package dynamorph.footage;

import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.io.OutputStream;
import java.nio.charset.StandardCharsets;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import org.bytedeco.ffmpeg.ffmpeg;
import org.bytedeco.ffmpeg.ffprobe;
import org.bytedeco.javacpp.Loader;

/** The programs that come with the decoder, run on their own. */
public final class FfmpegPrograms {
  private FfmpegPrograms() {}

  /** What a file holds, in lines of values that commas part. */
  public static List<String> probe(Path file, String... options) throws IOException {
    List<String> arguments = new ArrayList<>(List.of("-v", "error"));
    arguments.addAll(List.of(options));
    arguments.addAll(List.of("-of", "csv=p=0", file.toString()));
    String told =
        new String(run(Loader.load(ffprobe.class), arguments, new byte[0]), StandardCharsets.UTF_8);
    return told.lines().filter(line -> !line.isBlank()).toList();
  }

  /**
   * Converts something.
   *
   * @param input is given to it
   * @return what it writes to its output
   */
  public static byte[] ffmpeg(byte[] input, String... arguments) throws IOException {
    List<String> all = new ArrayList<>(List.of("-v", "error"));
    all.addAll(List.of(arguments));
    return run(Loader.load(ffmpeg.class), all, input);
  }

  private static byte[] run(String program, List<String> arguments, byte[] input)
      throws IOException {
    List<String> command = new ArrayList<>(List.of(program));
    command.addAll(arguments);
    ProcessBuilder builder = new ProcessBuilder(command);
    // the program does not look for its libraries beside itself
    builder.environment().put("LD_LIBRARY_PATH", Path.of(program).getParent().toString());
    Process process = builder.start();
    ByteArrayOutputStream told = new ByteArrayOutputStream();
    Thread listener =
        Thread.startVirtualThread(() -> {
          try {
            process.getErrorStream().transferTo(told);
          } catch (IOException closed) {
            // it has ended
          }
        });
    Thread.startVirtualThread(() -> {
      try (OutputStream to = process.getOutputStream()) {
        to.write(input);
      } catch (IOException closed) {
        // it needs no more
      }
    });
    byte[] made = process.getInputStream().readAllBytes();
    try {
      int result = process.waitFor();
      listener.join();
      if (result != 0) {
        throw new IOException(told.toString(StandardCharsets.UTF_8));
      }
      return made;
    } catch (InterruptedException stopped) {
      Thread.currentThread().interrupt();
      throw new IOException(stopped);
    }
  }
}
