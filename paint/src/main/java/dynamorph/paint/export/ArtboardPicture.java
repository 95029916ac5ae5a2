package dynamorph.paint.export;

import dynamorph.model.Artboard;
import dynamorph.model.export.ExportPreset;
import dynamorph.model.value.Rgba;
import dynamorph.paint.Pixels;
import dynamorph.paint.layer.LayerPainter;
import dynamorph.paint.message.Messages;
import dynamorph.paint.scene.PlacedLayer;
import dynamorph.paint.scene.Scene;
import io.github.humbleui.skija.Canvas;
import io.github.humbleui.skija.Data;
import io.github.humbleui.skija.EncodeJPEGOptions;
import io.github.humbleui.skija.EncodeWEBPOptions;
import io.github.humbleui.skija.EncoderJPEG;
import io.github.humbleui.skija.EncoderPNG;
import io.github.humbleui.skija.EncoderWEBP;
import io.github.humbleui.skija.Image;
import io.github.humbleui.skija.Surface;
import java.util.Optional;
import org.jspecify.annotations.Nullable;

/** Draws an artboard with all its texts. */
public final class ArtboardPicture {
  /** The most pixels one picture may have: 256 million, one gigabyte. */
  private static final double MOST_PIXELS = 256e6;

  private final LayerPainter painter;

  public ArtboardPicture(LayerPainter painter) {
    this.painter = painter;
  }

  /**
   * The artboard as a PNG file.
   *
   * @param scale pixels per point, positive
   * @throws IllegalArgumentException if the picture would be empty or too large
   */
  public byte[] png(Scene.Board board, double scale) {
    return png(board, Optional.of(board.background()), scale);
  }

  /**
   * The artboard as a PNG file.
   *
   * @param background what it lies on; nothing if empty
   * @param scale pixels per point, positive
   * @throws IllegalArgumentException if the picture would be empty or too large
   */
  byte[] png(Scene.Board board, Optional<Rgba> background, double scale) {
    return encoded(board, scale, background, EncoderPNG::encode);
  }

  /**
   * The artboard as a file of pixels, which says how large it is meant to be.
   *
   * @throws IllegalArgumentException if the picture would be empty or too large, or the preset is
   *     for no format of pixels
   */
  public byte[] file(Scene.Board board, ExportPreset preset) {
    Optional<Rgba> ground =
        preset.background() ? Optional.of(board.background()) : Optional.empty();
    return switch (preset.format()) {
      case PNG ->
          Resolution.png(
              encoded(board, preset.scale(), ground, EncoderPNG::encode), preset.resolution());
      case JPEG ->
          Resolution.jpeg(
              encoded(board, preset.scale(), ground, image -> jpeg(image, preset.quality())),
              preset.resolution());
      case WEBP -> encoded(board, preset.scale(), ground, image -> webp(image, preset.quality()));
      default -> throw new IllegalArgumentException(preset.format() + " is not of pixels");
    };
  }

  private static @Nullable Data jpeg(Image image, int quality) {
    return EncoderJPEG.encode(image, EncodeJPEGOptions.DEFAULT.withQuality(quality));
  }

  private static @Nullable Data webp(Image image, int quality) {
    return EncoderWEBP.encode(image, EncodeWEBPOptions.DEFAULT.withQuality(quality));
  }

  /** Makes a file of an image. */
  private interface Encoder {
    @Nullable Data encode(Image image);
  }

  private byte[] encoded(Scene.Board board, double scale, Optional<Rgba> ground, Encoder encoder) {
    Artboard artboard = board.artboard();
    int width = (int) Math.round(artboard.width() * scale);
    int height = (int) Math.round(artboard.height() * scale);
    if (!(scale > 0) || width < 1 || height < 1) {
      throw new IllegalArgumentException(
          Messages.of("artboard-picture.at-scale-the-artboard-has-no", scale));
    }
    if ((double) width * height > MOST_PIXELS) {
      throw new IllegalArgumentException(
          Messages.of("artboard-picture.at-scale-the-picture-would-be", scale, width, height));
    }
    try (Surface surface = Surface.makeRasterN32Premul(width, height)) {
      Canvas canvas = surface.getCanvas();
      canvas.scale((float) (width / artboard.width()), (float) (height / artboard.height()));
      paint(canvas, board, ground);
      try (Image image = surface.makeImageSnapshot();
          Data data = encoder.encode(image)) {
        if (data == null) {
          throw new IllegalArgumentException(
              Messages.of("artboard-picture.the-format-does-not-take", width, height));
        }
        return data.getBytes();
      }
    }
  }

  /**
   * The artboard as a small picture.
   *
   * @param scale pixels per point, positive; a side has one pixel at least
   */
  public Pixels pixels(Scene.Board board, double scale) {
    Artboard artboard = board.artboard();
    return Pixels.draw(
        artboard.width(),
        artboard.height(),
        scale,
        canvas -> paint(canvas, board, Optional.of(board.background())));
  }

  /**
   * Paints in points of the artboard.
   *
   * @param ground what is painted all over first; nothing if empty
   */
  public void paint(Canvas canvas, Scene.Board board, Optional<Rgba> ground) {
    ground.ifPresent(colour -> canvas.clear(colour.argb()));
    for (PlacedLayer text : board.texts()) {
      canvas.save();
      text.enter(canvas);
      painter.paint(canvas, text.layout(), text.look());
      canvas.restore();
    }
  }
}
