package dynamorph.app.files;

import dynamorph.app.message.Messages;
import dynamorph.model.Asset;
import dynamorph.paint.layer.ImageSize;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;

/**
 * An image read from a file, ready to travel with a project.
 *
 * @param width pixels
 * @param height pixels
 */
public record ImageFile(Asset asset, double width, double height) {
  /** The largest file that is taken in: 64 megabytes. */
  private static final long LARGEST = 64L << 20;

  /**
   * Reads an image.
   *
   * @throws IllegalArgumentException if it is none, or too large
   */
  public static ImageFile read(Path file) throws IOException {
    if (Files.size(file) > LARGEST) {
      throw new IllegalArgumentException(
          Messages.of("image-file.is-larger-than-64-megabytes-make", file.getFileName()));
    }
    byte[] bytes = Files.readAllBytes(file);
    String name = file.getFileName().toString().replaceAll("[^\\w .()+-]", "-");
    ImageSize size =
        ImageSize.of(bytes)
            .orElseThrow(() ->
                new IllegalArgumentException(
                    Messages.of("image-file.is-no-image-that-can-be", file.getFileName())));
    if (!size.fits()) {
      throw new IllegalArgumentException(
          Messages.of(
              "image-file.has-too-many-pixels", file.getFileName(), size.width(), size.height()));
    }
    return new ImageFile(new Asset("images/" + name, bytes), size.width(), size.height());
  }
}
