package dynamorph.footage;

import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;

/**
 * Videos whose pictures tell their number: picture k is grey, (40 + k) of 255 all over. Written by
 * the program that comes with the decoder.
 */
public final class SampleVideo {
  static final int WIDTH = 64;
  static final int HEIGHT = 48;
  static final int FIRST_GREY = 40;

  private SampleVideo() {}

  /**
   * Writes a video.
   *
   * @param rate as FFmpeg writes it, such as 30000/1001
   * @param options of the encoder
   */
  public static Path write(Path file, int pictures, String rate, String... options)
      throws IOException {
    ByteArrayOutputStream raw = new ByteArrayOutputStream();
    for (int picture = 0; picture < pictures; picture++) {
      byte[] grey = new byte[WIDTH * HEIGHT * 3];
      java.util.Arrays.fill(grey, (byte) (FIRST_GREY + picture));
      raw.write(grey);
    }
    return encode(file, "rgb24", rate, raw.toByteArray(), options);
  }

  /** A green picture, half transparent. */
  static Path transparent(Path file, String... options) throws IOException {
    byte[] raw = new byte[WIDTH * HEIGHT * 4 * 3];
    for (int at = 0; at < raw.length; at += 4) {
      raw[at + 1] = (byte) 200;
      raw[at + 3] = (byte) 128;
    }
    return encode(file, "rgba", "25", raw, options);
  }

  /**
   * Pictures that are light on the left and dark on the right, by a camera that was held otherwise.
   *
   * @param degrees by which they are to be shown anticlockwise
   */
  static Path held(Path file, int degrees, String... options) throws IOException {
    byte[] raw = new byte[WIDTH * HEIGHT * 3 * 3];
    for (int at = 0; at < raw.length; at++) {
      raw[at] = (byte) (at / 3 % WIDTH < WIDTH / 2 ? 220 : 30);
    }
    Path straight = encode(file.resolveSibling("straight.mp4"), "rgb24", "25", raw, options);
    run(
        List.of("-display_rotation", String.valueOf(degrees), "-i", straight.toString()),
        new byte[0],
        "-c",
        "copy",
        file.toString());
    return file;
  }

  private static Path encode(Path file, String pixels, String rate, byte[] raw, String... options)
      throws IOException {
    List<String> input =
        List.of(
            "-f",
            "rawvideo",
            "-pix_fmt",
            pixels,
            "-s",
            WIDTH + "x" + HEIGHT,
            "-r",
            rate,
            "-i",
            "-");
    List<String> output = new ArrayList<>(List.of(options));
    output.add(file.toString());
    run(input, raw, output.toArray(String[]::new));
    return file;
  }

  private static void run(List<String> from, byte[] raw, String... to) throws IOException {
    List<String> arguments = new ArrayList<>(List.of("-y"));
    arguments.addAll(from);
    arguments.addAll(List.of(to));
    FfmpegPrograms.ffmpeg(raw, arguments.toArray(String[]::new));
  }
}
