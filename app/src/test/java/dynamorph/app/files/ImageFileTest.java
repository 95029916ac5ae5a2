package dynamorph.app.files;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.awt.image.BufferedImage;
import java.io.IOException;
import java.io.RandomAccessFile;
import java.nio.file.Files;
import java.nio.file.NoSuchFileException;
import java.nio.file.Path;
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
    BufferedImage wide = new BufferedImage(20_000, 10_001, BufferedImage.TYPE_BYTE_BINARY);
    ImageIO.write(wide, "png", file.toFile());
    assertThatThrownBy(() -> ImageFile.read(file))
        .hasMessage("wide.png has 20000 × 10001 pixels; 200 million is the most");
    ImageIO.write(wide.getSubimage(0, 0, 20_000, 10_000), "png", file.toFile());
    assertThat(ImageFile.read(file).width()).isEqualTo(20_000);
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
