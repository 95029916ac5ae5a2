package dynamorph.footage;

import static org.bytedeco.ffmpeg.global.avutil.AVCOL_RANGE_JPEG;
import static org.bytedeco.ffmpeg.global.avutil.AVCOL_SPC_BT709;
import static org.bytedeco.ffmpeg.global.avutil.AVCOL_SPC_RGB;
import static org.bytedeco.ffmpeg.global.avutil.AVCOL_SPC_SMPTE170M;
import static org.bytedeco.ffmpeg.global.avutil.AVCOL_SPC_UNSPECIFIED;
import static org.bytedeco.ffmpeg.global.avutil.AV_PIX_FMT_BGRA;
import static org.bytedeco.ffmpeg.global.avutil.AV_PIX_FMT_FLAG_ALPHA;
import static org.bytedeco.ffmpeg.global.avutil.av_pix_fmt_desc_get;
import static org.bytedeco.ffmpeg.global.swscale.SWS_BICUBIC;
import static org.bytedeco.ffmpeg.global.swscale.SWS_BILINEAR;
import static org.bytedeco.ffmpeg.global.swscale.sws_freeContext;
import static org.bytedeco.ffmpeg.global.swscale.sws_getCachedContext;
import static org.bytedeco.ffmpeg.global.swscale.sws_getCoefficients;
import static org.bytedeco.ffmpeg.global.swscale.sws_scale;
import static org.bytedeco.ffmpeg.global.swscale.sws_setColorspaceDetails;

import dynamorph.footage.message.Messages;
import dynamorph.paint.film.MediaSource;
import io.github.humbleui.skija.ColorAlphaType;
import io.github.humbleui.skija.ColorType;
import io.github.humbleui.skija.Image;
import io.github.humbleui.skija.ImageInfo;
import io.github.humbleui.skija.Pixmap;
import io.github.humbleui.skija.Surface;
import java.nio.ByteBuffer;
import org.bytedeco.ffmpeg.avutil.AVFrame;
import org.bytedeco.ffmpeg.avutil.AVRational;
import org.bytedeco.ffmpeg.swscale.SwsContext;
import org.bytedeco.javacpp.BytePointer;
import org.bytedeco.javacpp.DoublePointer;
import org.bytedeco.javacpp.IntPointer;
import org.bytedeco.javacpp.PointerPointer;
import org.jspecify.annotations.Nullable;

/** Turns decoded frames into pictures as canvases have them. */
final class VideoPixels implements AutoCloseable {
  /** From this many rows on footage that does not say so is taken for BT.709, else BT.601. */
  private static final int HIGH_DEFINITION = 720;

  private static final int ONE = 1 << 16;

  /** Whoever looks closer sees a part, and the rest would be scaled for nothing. */
  private static final double MOST_ENLARGED = 2;

  private static final double MOST_PIXELS = 4096.0 * 2304;

  private @Nullable SwsContext converter;

  /** The width of square pixels. */
  static int shownWidth(int width, AVRational aspect) {
    return aspect.num() > 0 && aspect.den() > 0
        ? (int) Math.max(1, Math.round(width * (double) aspect.num() / aspect.den()))
        : width;
  }

  /**
   * The picture of a frame, scaled while its colours are converted, if that saves scaling it later.
   * The caller closes it.
   *
   * @param name of the file, to tell what went wrong
   * @param room that it fills
   */
  Image image(String name, AVFrame frame, AVRational aspect, MediaSource.Room room)
      throws FootageException {
    boolean alpha = (av_pix_fmt_desc_get(frame.format()).flags() & AV_PIX_FMT_FLAG_ALPHA) != 0;
    int ownWidth = shownWidth(frame.width(), aspect);
    double scale = alpha ? 1 : scale(ownWidth, frame.height(), room);
    int width = (int) Math.round(ownWidth * scale);
    int height = (int) Math.round(frame.height() * scale);
    prepare(frame, width, height);
    if (converter == null || converter.isNull()) {
      throw new FootageException(Messages.of("video-pixels.its-kind-of-pixels-is-not", name));
    }
    if (!alpha) {
      // what says that it is opaque is drawn without looking at what is below
      ImageInfo info = new ImageInfo(width, height, ColorType.BGRA_8888, ColorAlphaType.OPAQUE);
      try (Surface surface = Surface.makeRaster(info);
          Pixmap pixmap = new Pixmap()) {
        surface.peekPixels(pixmap);
        convert(frame, pixmap.getBuffer(), width);
        return surface.makeImageSnapshot();
      }
    }
    ByteBuffer straight = ByteBuffer.allocateDirect(4 * width * height);
    convert(frame, straight, width);
    byte[] bytes = new byte[straight.capacity()];
    straight.get(0, bytes);
    ImageInfo info = new ImageInfo(width, height, ColorType.BGRA_8888, ColorAlphaType.UNPREMUL);
    try (Image unmixed = Image.makeRasterFromBytes(info, bytes, 4L * width)) {
      return PictureFiles.decoded(unmixed);
    }
  }

  /** By how much a picture is scaled to fill a room; 1 where it is better scaled when drawn. */
  private static double scale(int width, int height, MediaSource.Room room) {
    double scale = Math.max((double) room.width() / width, (double) room.height() / height);
    boolean sensible =
        scale > 0 && scale <= MOST_ENLARGED && width * scale * height * scale <= MOST_PIXELS;
    boolean almost = Math.abs(width * scale - width) <= 1 && Math.abs(height * scale - height) <= 1;
    return sensible && !almost ? Math.max(scale, 1.0 / Math.min(width, height)) : 1;
  }

  private void prepare(AVFrame frame, int width, int height) {
    converter =
        sws_getCachedContext(
            converter,
            frame.width(),
            frame.height(),
            frame.format(),
            width,
            height,
            AV_PIX_FMT_BGRA,
            height == frame.height() ? SWS_BICUBIC : SWS_BILINEAR,
            null,
            null,
            (DoublePointer) null);
    if (converter == null || converter.isNull()) {
      return;
    }
    int space = frame.colorspace();
    if (space == AVCOL_SPC_UNSPECIFIED || space == AVCOL_SPC_RGB) {
      space = frame.height() >= HIGH_DEFINITION ? AVCOL_SPC_BT709 : AVCOL_SPC_SMPTE170M;
    }
    IntPointer from = sws_getCoefficients(space);
    int full = frame.color_range() == AVCOL_RANGE_JPEG ? 1 : 0;
    sws_setColorspaceDetails(converter, from, full, from, 1, 0, ONE, ONE);
  }

  private void convert(AVFrame frame, ByteBuffer target, int width) {
    try (PointerPointer<BytePointer> planes = new PointerPointer<>(4);
        IntPointer strides = new IntPointer(4 * width, 0, 0, 0)) {
      planes.put(0, new BytePointer(target));
      sws_scale(
          converter,
          new PointerPointer<>(frame),
          frame.linesize(),
          0,
          frame.height(),
          planes,
          strides);
    }
  }

  @Override
  public void close() {
    if (converter != null) {
      sws_freeContext(converter);
    }
  }
}
