package dynamorph.paint.layer;

import static org.assertj.core.api.Assertions.assertThat;

import dynamorph.model.value.Rgba;
import io.github.humbleui.skija.Bitmap;
import io.github.humbleui.skija.Canvas;
import io.github.humbleui.skija.ColorAlphaType;
import io.github.humbleui.skija.ColorSpace;
import io.github.humbleui.skija.ColorType;
import io.github.humbleui.skija.EncoderPNG;
import io.github.humbleui.skija.Image;
import io.github.humbleui.skija.ImageInfo;
import java.io.ByteArrayOutputStream;
import java.io.DataOutputStream;
import java.io.IOException;
import java.nio.ByteBuffer;
import java.nio.charset.StandardCharsets;
import java.util.Base64;
import java.util.zip.CRC32;
import java.util.zip.DeflaterOutputStream;
import org.junit.jupiter.api.Test;

/** Expected colours are worked out with the matrices and curves of CSS Color 4. */
class DecodedImageTest {
  /** The colour of the first pixel as it is painted. */
  private static Rgba painted(byte[] encoded) {
    try (Image image = DecodedImage.of(encoded);
        Bitmap bitmap = new Bitmap()) {
      bitmap.allocN32Pixels(1, 1);
      try (Canvas canvas = new Canvas(bitmap)) {
        canvas.drawImage(image, 0, 0);
      }
      return new Rgba(bitmap.getColor(0, 0));
    }
  }

  private static void assertNear(Rgba colour, int red, int green, int blue) {
    int off =
        Math.max(
            Math.abs(colour.red() - red),
            Math.max(Math.abs(colour.green() - green), Math.abs(colour.blue() - blue)));
    assertThat(off).as("%s is not %d, %d, %d", colour, red, green, blue).isLessThanOrEqualTo(2);
  }

  @Test
  void aProfileSaysWhatTheNumbersMean() {
    byte[] pixel = {50, 100, (byte) 200, (byte) 0xFF};
    ImageInfo info =
        new ImageInfo(1, 1, ColorType.BGRA_8888, ColorAlphaType.OPAQUE, ColorSpace.getDisplayP3());
    try (Image wide = Image.makeRasterFromBytes(info, pixel, 4)) {
      assertNear(painted(EncoderPNG.encode(wide).getBytes()), 215, 93, 31);
    }
  }

  @Test
  void chunksOfPngSayItWithoutAProfile() throws IOException {
    byte[] linear = ByteBuffer.allocate(4).putInt(100_000).array();
    assertNear(painted(png("gAMA", linear, 128, 128, 128)), 188, 188, 188);
    byte[] displayP3 = {12, 13, 0, 1};
    assertNear(painted(png("cICP", displayP3, 200, 100, 50)), 215, 93, 31);
    byte[] perceptual = {0};
    assertNear(painted(png("sRGB", perceptual, 200, 100, 50)), 200, 100, 50);
  }

  /** One pixel (PNG, third edition), with a chunk before it. */
  private static byte[] png(String chunk, byte[] data, int red, int green, int blue)
      throws IOException {
    ByteArrayOutputStream bytes = new ByteArrayOutputStream();
    DataOutputStream file = new DataOutputStream(bytes);
    file.write(new byte[] {(byte) 0x89, 'P', 'N', 'G', 13, 10, 26, 10});
    ByteBuffer head = ByteBuffer.allocate(13).putInt(1).putInt(1);
    chunk(file, "IHDR", head.put((byte) 8).put((byte) 2).array());
    chunk(file, chunk, data);
    ByteArrayOutputStream packed = new ByteArrayOutputStream();
    try (DeflaterOutputStream row = new DeflaterOutputStream(packed)) {
      row.write(new byte[] {0, (byte) red, (byte) green, (byte) blue});
    }
    chunk(file, "IDAT", packed.toByteArray());
    chunk(file, "IEND", new byte[0]);
    return bytes.toByteArray();
  }

  private static void chunk(DataOutputStream file, String name, byte[] data) throws IOException {
    byte[] named = name.getBytes(StandardCharsets.US_ASCII);
    CRC32 crc = new CRC32();
    crc.update(named);
    crc.update(data);
    file.writeInt(data.length);
    file.write(named);
    file.write(data);
    file.writeInt((int) crc.getValue());
  }

  /** Inks are stored inverted with the marker of APP14; ImageMagick made it from 200, 60, 40. */
  @Test
  void inksOfJpegBecomeColours() {
    byte[] inks =
        Base64.getDecoder()
            .decode(
                "/9j/7gAOQWRvYmUAZAAAAAAC/9sAQwACAQEBAQECAQEBAgICAgIEAwICAgIFBAQDBAYFBgYGBQYGBgcJCAYHCQcGBggLCAkKCgoKCgYICwwLCgwJCgoK/9sAQwECAgICAgIFAwMFCgcGBwoKCgoKCgoKCgoKCgoKCgoKCgoKCgoKCgoKCgoKCgoKCgoKCgoKCgoKCgoKCgoKCgoK/8AAFAgACAAIBAERAAIRAQMRAQQRAP/EABUAAQEAAAAAAAAAAAAAAAAAAAAJ/8QAFBABAAAAAAAAAAAAAAAAAAAAAP/EABUBAQEAAAAAAAAAAAAAAAAAAAgJ/8QAFBEBAAAAAAAAAAAAAAAAAAAAAP/aAA4EAQACEQMRBAAAPwAViSakD//Z");
    assertNear(painted(inks), 200, 60, 40);
  }
}
