package dynamorph.footage.encode;

import static org.bytedeco.ffmpeg.global.avutil.AVCOL_PRI_BT470BG;
import static org.bytedeco.ffmpeg.global.avutil.AVCOL_PRI_BT709;
import static org.bytedeco.ffmpeg.global.avutil.AVCOL_PRI_SMPTE170M;
import static org.bytedeco.ffmpeg.global.avutil.AVCOL_RANGE_JPEG;
import static org.bytedeco.ffmpeg.global.avutil.AVCOL_RANGE_MPEG;
import static org.bytedeco.ffmpeg.global.avutil.AVCOL_SPC_BT470BG;
import static org.bytedeco.ffmpeg.global.avutil.AVCOL_SPC_BT709;
import static org.bytedeco.ffmpeg.global.avutil.AVCOL_SPC_RGB;
import static org.bytedeco.ffmpeg.global.avutil.AVCOL_SPC_SMPTE170M;
import static org.bytedeco.ffmpeg.global.avutil.AVCOL_TRC_BT709;
import static org.bytedeco.ffmpeg.global.avutil.AVCOL_TRC_IEC61966_2_1;
import static org.bytedeco.ffmpeg.global.avutil.AVCOL_TRC_SMPTE170M;
import static org.bytedeco.ffmpeg.global.avutil.AV_PIX_FMT_RGB24;
import static org.bytedeco.ffmpeg.global.avutil.AV_PIX_FMT_RGBA;
import static org.bytedeco.ffmpeg.global.avutil.AV_PIX_FMT_YUV420P;
import static org.bytedeco.ffmpeg.global.avutil.AV_PIX_FMT_YUV422P10LE;
import static org.bytedeco.ffmpeg.global.avutil.AV_PIX_FMT_YUV444P10LE;
import static org.bytedeco.ffmpeg.global.avutil.AV_PIX_FMT_YUVA420P;
import static org.bytedeco.ffmpeg.global.avutil.AV_PIX_FMT_YUVA444P10LE;

import dynamorph.model.export.ExportFormat;
import dynamorph.model.timeline.FrameRate;
import java.lang.foreign.Arena;
import java.lang.foreign.FunctionDescriptor;
import java.lang.foreign.Linker;
import java.lang.foreign.MemorySegment;
import java.lang.foreign.ValueLayout;
import java.util.LinkedHashMap;
import java.util.Map;
import java.util.Optional;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;

/**
 * How the pictures of a format are coded.
 *
 * @param encoder its name in FFmpeg
 * @param pixels the pixel format in FFmpeg
 * @param isIntra whether each picture is coded on its own, so that one can stand for many
 * @param isRgb whether colours are kept as they are
 * @param quantiser of every picture; 0 where the encoder chooses it
 * @param options of the encoder
 */
record VideoCodec(
    String encoder,
    int pixels,
    boolean isIntra,
    boolean isRgb,
    int quantiser,
    Map<String, String> options) {
  private static final Logger LOG = LoggerFactory.getLogger(VideoCodec.class);

  /** From this many rows on pictures have the colours of high definition. */
  private static final int HIGH_DEFINITION = 720;

  /** Searching for one that keeps to a rate takes four times as long and looks no better. */
  private static final int PRORES_QUANTISER = 2;

  static VideoCodec of(FilmSettings film) {
    boolean alpha = film.transparent();
    return switch (film.format()) {
      case H264 ->
          new VideoCodec(
              "libopenh264",
              AV_PIX_FMT_YUV420P,
              false,
              false,
              0,
              Map.of("profile", "high", "rc_mode", "bitrate", "allow_skip_frames", "0"));
      case VP9 -> new VideoCodec("libvpx-vp9", yuv420(alpha), false, false, 0, vp9(film));
      case AV1 ->
          new VideoCodec(
              "libsvtav1",
              AV_PIX_FMT_YUV420P,
              false,
              false,
              0,
              Map.of("preset", "9", "crf", String.valueOf(Math.round(63 - 0.4 * film.quality()))));
      case PRORES_422 ->
          new VideoCodec(
              "prores_ks",
              AV_PIX_FMT_YUV422P10LE,
              true,
              false,
              PRORES_QUANTISER,
              Map.of("profile", "hq"));
      case PRORES_4444 ->
          new VideoCodec(
              "prores_ks",
              alpha ? AV_PIX_FMT_YUVA444P10LE : AV_PIX_FMT_YUV444P10LE,
              true,
              false,
              PRORES_QUANTISER,
              Map.of("profile", "4444", "alpha_bits", alpha ? "16" : "0"));
      case PNG_FILM ->
          new VideoCodec(
              "png",
              alpha ? AV_PIX_FMT_RGBA : AV_PIX_FMT_RGB24,
              true,
              true,
              0,
              Map.of("pred", "sub", "compression_level", "4"));
      default -> throw new IllegalArgumentException(film.format().id());
    };
  }

  private static int yuv420(boolean alpha) {
    return alpha ? AV_PIX_FMT_YUVA420P : AV_PIX_FMT_YUV420P;
  }

  private static Map<String, String> vp9(FilmSettings film) {
    Map<String, String> options = new LinkedHashMap<>();
    options.put("crf", String.valueOf(Math.round(60 - 0.47 * film.quality())));
    options.put("b", "0");
    // a third of the time of "good", for a quarter of a decibel
    options.put("deadline", "realtime");
    options.put("cpu-used", "5");
    options.put("row-mt", "1");
    options.put("tile-columns", "2");
    if (film.transparent()) {
      // pictures that are never shown have no alpha channel
      options.put("auto-alt-ref", "0");
    }
    return options;
  }

  /**
   * Bits a second of H.264, of which the encoder keeps to a number and not to a quality: between a
   * fortieth and a quarter of a bit a pixel.
   */
  static long bitsPerSecond(FilmSettings film) {
    double perPixel = 0.015 * Math.pow(2, film.quality() / 25.0);
    double rate = Math.min(60, film.rate().perSecond());
    return Math.max(100_000, Math.round(perPixel * film.width() * film.height() * rate));
  }

  /** One of these writes its settings onto the standard error, unless the environment says not. */
  static void quieten() {
    Linker linker = Linker.nativeLinker();
    Optional<MemorySegment> set = linker.defaultLookup().find("setenv");
    if (set.isEmpty()) {
      return;
    }
    try (Arena arena = Arena.ofConfined()) {
      linker
          .downcallHandle(
              set.get(),
              FunctionDescriptor.of(
                  ValueLayout.JAVA_INT,
                  ValueLayout.ADDRESS,
                  ValueLayout.ADDRESS,
                  ValueLayout.JAVA_INT))
          .invoke(arena.allocateFrom("SVT_LOG"), arena.allocateFrom("1"), 0);
    } catch (Throwable refused) {
      LOG.debug("the environment cannot be changed", refused);
    }
  }

  /**
   * What the numbers of colours mean, as files tell it.
   *
   * @param space matrix coefficients, for which the constants of FFmpeg are those of ITU-T H.273
   * @param range whether black is 0 or 16 of 255
   */
  record Colours(int space, int primaries, int transfer, int range) {
    /** BT.709 for high definition, BT.601 of its part of the world below. */
    static Colours of(VideoCodec codec, int height, FrameRate rate) {
      if (codec.isRgb()) {
        return new Colours(
            AVCOL_SPC_RGB, AVCOL_PRI_BT709, AVCOL_TRC_IEC61966_2_1, AVCOL_RANGE_JPEG);
      }
      if (height >= HIGH_DEFINITION) {
        return new Colours(AVCOL_SPC_BT709, AVCOL_PRI_BT709, AVCOL_TRC_BT709, AVCOL_RANGE_MPEG);
      }
      boolean is625 = rate.nominal() % 25 == 0;
      return is625
          ? new Colours(AVCOL_SPC_BT470BG, AVCOL_PRI_BT470BG, AVCOL_TRC_SMPTE170M, AVCOL_RANGE_MPEG)
          : new Colours(
              AVCOL_SPC_SMPTE170M, AVCOL_PRI_SMPTE170M, AVCOL_TRC_SMPTE170M, AVCOL_RANGE_MPEG);
    }
  }

  /** Whether a format keeps sound, and by which encoder of FFmpeg. */
  static String soundEncoder(ExportFormat format) {
    return switch (format.extension()) {
      case "webm" -> "libopus";
      case "mp4" -> "aac";
      default -> "pcm_s24le";
    };
  }
}
