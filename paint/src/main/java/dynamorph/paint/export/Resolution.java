package dynamorph.paint.export;

import java.io.ByteArrayOutputStream;
import java.nio.ByteBuffer;
import java.nio.charset.StandardCharsets;
import java.util.zip.CRC32;

/** Tells in a picture how large it is meant to be, which encoders leave out. */
final class Resolution {
  private static final double INCHES_PER_METRE = 1 / 0.0254;

  /** Signature and header of a PNG, after which its other chunks come. */
  private static final int PNG_HEAD = 8 + 25;

  /** Where JFIF says its unit and densities (ITU-T T.871, 10.1). */
  private static final int JFIF_UNIT = 13;

  private static final int PIXELS_PER_INCH = 1;

  private Resolution() {}

  /**
   * A PNG with its resolution and its colour space (Portable Network Graphics, third edition, pHYs
   * and sRGB).
   *
   * @param resolution pixels per inch
   */
  static byte[] png(byte[] png, double resolution) {
    int perMetre = (int) Math.round(resolution * INCHES_PER_METRE);
    ByteArrayOutputStream out = new ByteArrayOutputStream(png.length + 40);
    out.write(png, 0, PNG_HEAD);
    out.writeBytes(chunk("sRGB", new byte[] {0}));
    out.writeBytes(
        chunk(
            "pHYs",
            ByteBuffer.allocate(9).putInt(perMetre).putInt(perMetre).put((byte) 1).array()));
    out.write(png, PNG_HEAD, png.length - PNG_HEAD);
    return out.toByteArray();
  }

  private static byte[] chunk(String name, byte[] data) {
    byte[] named =
        ByteBuffer.allocate(4 + data.length)
            .put(name.getBytes(StandardCharsets.US_ASCII))
            .put(data)
            .array();
    CRC32 check = new CRC32();
    check.update(named);
    return ByteBuffer.allocate(8 + named.length)
        .putInt(data.length)
        .put(named)
        .putInt((int) check.getValue())
        .array();
  }

  /**
   * A JPEG with its resolution, if it is a JFIF file.
   *
   * @param resolution pixels per inch
   */
  static byte[] jpeg(byte[] jpeg, double resolution) {
    boolean isJfif =
        jpeg.length > JFIF_UNIT + 5
            && new String(jpeg, 6, 4, StandardCharsets.US_ASCII).equals("JFIF");
    if (!isJfif) {
      return jpeg;
    }
    byte[] told = jpeg.clone();
    int density = (int) Math.round(resolution);
    ByteBuffer.wrap(told, JFIF_UNIT, 5)
        .put((byte) PIXELS_PER_INCH)
        .putShort((short) density)
        .putShort((short) density);
    return told;
  }
}
