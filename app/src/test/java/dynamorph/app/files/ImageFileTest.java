package dynamorph.app.files;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.awt.image.BufferedImage;
import java.io.IOException;
import java.io.RandomAccessFile;
import java.nio.ByteBuffer;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.NoSuchFileException;
import java.nio.file.Path;
import java.util.zip.CRC32;
import javax.imageio.ImageIO;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

class ImageFileTest {
  @TempDir private Path folder;

  @ParameterizedTest
  @ValueSource(strings = {"png", "jpg", "gif"})
  void anImageIsReadWithItsSizeAndANameThatProjectsTake(String form) throws IOException {
    Path file = folder.resolve("Glocke & Schl\u00e4gel." + form);
    ImageIO.write(new BufferedImage(40, 20, BufferedImage.TYPE_INT_RGB), form, file.toFile());
    ImageFile image = ImageFile.read(file);
    assertThat(image.width()).isEqualTo(40);
    assertThat(image.height()).isEqualTo(20);
    assertThat(image.asset().isImage()).isTrue();
    assertThat(image.asset().isFont()).isFalse();
    assertThat(image.asset().shortName()).isEqualTo("Glocke - Schl-gel." + form);
    assertThat(image.asset().bytes()).isEqualTo(Files.readAllBytes(file));
  }

  @Test
  void whatIsNoImageIsToldWithWhatWouldBe() throws IOException {
    Path file = Files.writeString(folder.resolve("words.png"), "no image at all");
    assertThatThrownBy(() -> ImageFile.read(file))
        .isInstanceOf(IllegalArgumentException.class)
        .hasMessageContaining("words.png")
        .hasMessageContaining("PNG, JPEG, WebP and GIF");
    assertThatThrownBy(() -> ImageFile.read(folder.resolve("gone.png")))
        .isInstanceOf(NoSuchFileException.class);
  }

  @Test
  void whatHasTooManyPixelsIsRefusedBeforeItIsDecoded() throws IOException {
    Path file = folder.resolve("wide.png");
    Files.write(file, claiming(20_000, 20_000));
    assertThatThrownBy(() -> ImageFile.read(file))
        .hasMessage("wide.png has 20000 × 20000 pixels; 200 million is the most");
    Files.write(file, claiming(20_000, 10_000));
    assertThat(ImageFile.read(file).width()).isEqualTo(20_000);
  }

  /** The beginning of a PNG file (ISO 15948) that says that it has so many pixels. */
  private static byte[] claiming(int width, int height) {
    ByteBuffer head =
        ByteBuffer.allocate(17)
            .put("IHDR".getBytes(StandardCharsets.US_ASCII))
            .putInt(width)
            .putInt(height)
            .put(new byte[] {8, 2, 0, 0, 0});
    CRC32 crc = new CRC32();
    crc.update(head.array());
    return ByteBuffer.allocate(49)
        .put(new byte[] {(byte) 0x89, 'P', 'N', 'G', 13, 10, 26, 10})
        .putInt(13)
        .put(head.array())
        .putInt((int) crc.getValue())
        .putInt(100)
        .put("IDAT".getBytes(StandardCharsets.US_ASCII))
        .array();
  }

  @Test
  void whatIsTooLargeIsRefusedBeforeItIsRead() throws IOException {
    Path file = folder.resolve("huge.png");
    try (RandomAccessFile huge = new RandomAccessFile(file.toFile(), "rw")) {
      huge.setLength((64L << 20) + 1);
    }
    assertThatThrownBy(() -> ImageFile.read(file)).hasMessageContaining("64 megabytes");
  }
}
