package dynamorph.footage.encode;

import static org.bytedeco.ffmpeg.global.avutil.AVCOL_RANGE_JPEG;
import static org.bytedeco.ffmpeg.global.avutil.AV_PIX_FMT_BGR0;
import static org.bytedeco.ffmpeg.global.avutil.AV_PIX_FMT_BGRA;
import static org.bytedeco.ffmpeg.global.avutil.av_frame_alloc;
import static org.bytedeco.ffmpeg.global.avutil.av_frame_free;
import static org.bytedeco.ffmpeg.global.avutil.av_frame_get_buffer;

import io.github.humbleui.skija.Canvas;
import io.github.humbleui.skija.ColorAlphaType;
import io.github.humbleui.skija.ColorType;
import io.github.humbleui.skija.ImageInfo;
import io.github.humbleui.skija.Pixmap;
import io.github.humbleui.skija.Surface;
import java.util.function.Consumer;
import org.bytedeco.ffmpeg.avutil.AVFrame;
import org.jspecify.annotations.Nullable;

/**
 * The pixels of one picture, where a canvas draws them and an encoder reads them. One thread at a
 * time uses it.
 */
public final class FramePixels implements AutoCloseable {
  private final AVFrame frame = av_frame_alloc();
  private final Surface surface;
  private final @Nullable Pixmap straight;

  /**
   * @param width in pixels
   * @param height in pixels
   * @param transparent whether what is not painted is seen through
   */
  public FramePixels(int width, int height, boolean transparent) {
    frame.width(width);
    frame.height(height);
    frame.format(transparent ? AV_PIX_FMT_BGRA : AV_PIX_FMT_BGR0);
    frame.color_range(AVCOL_RANGE_JPEG);
    if (av_frame_get_buffer(frame, 0) < 0) {
      av_frame_free(frame);
      throw new OutOfMemoryError(width + " × " + height);
    }
    long place = frame.data(0).address();
    long row = frame.linesize(0);
    if (transparent) {
      // canvases mix colours with their alpha, files do not
      surface = Surface.makeRaster(info(width, height, ColorAlphaType.PREMUL));
      straight = Pixmap.make(info(width, height, ColorAlphaType.UNPREMUL), place, (int) row);
    } else {
      surface = Surface.makeRasterDirect(info(width, height, ColorAlphaType.OPAQUE), place, row);
      straight = null;
    }
  }

  private static ImageInfo info(int width, int height, ColorAlphaType alpha) {
    return new ImageInfo(width, height, ColorType.BGRA_8888, alpha);
  }

  /** Draws the picture anew. */
  public void draw(Consumer<Canvas> painter) {
    Canvas canvas = surface.getCanvas();
    canvas.save();
    painter.accept(canvas);
    canvas.restore();
    if (straight != null) {
      surface.readPixels(straight, 0, 0);
    }
  }

  AVFrame frame() {
    return frame;
  }

  @Override
  public void close() {
    surface.close();
    if (straight != null) {
      straight.close();
    }
    av_frame_free(frame);
  }
}
