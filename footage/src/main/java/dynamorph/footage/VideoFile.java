package dynamorph.footage;

import static org.bytedeco.ffmpeg.global.avcodec.AV_CODEC_ID_VP8;
import static org.bytedeco.ffmpeg.global.avcodec.AV_CODEC_ID_VP9;
import static org.bytedeco.ffmpeg.global.avcodec.AV_PKT_DATA_DISPLAYMATRIX;
import static org.bytedeco.ffmpeg.global.avcodec.av_packet_alloc;
import static org.bytedeco.ffmpeg.global.avcodec.av_packet_free;
import static org.bytedeco.ffmpeg.global.avcodec.av_packet_side_data_get;
import static org.bytedeco.ffmpeg.global.avcodec.av_packet_unref;
import static org.bytedeco.ffmpeg.global.avcodec.avcodec_alloc_context3;
import static org.bytedeco.ffmpeg.global.avcodec.avcodec_find_decoder;
import static org.bytedeco.ffmpeg.global.avcodec.avcodec_find_decoder_by_name;
import static org.bytedeco.ffmpeg.global.avcodec.avcodec_flush_buffers;
import static org.bytedeco.ffmpeg.global.avcodec.avcodec_free_context;
import static org.bytedeco.ffmpeg.global.avcodec.avcodec_open2;
import static org.bytedeco.ffmpeg.global.avcodec.avcodec_parameters_to_context;
import static org.bytedeco.ffmpeg.global.avcodec.avcodec_receive_frame;
import static org.bytedeco.ffmpeg.global.avcodec.avcodec_send_packet;
import static org.bytedeco.ffmpeg.global.avformat.AVSEEK_FLAG_BACKWARD;
import static org.bytedeco.ffmpeg.global.avformat.av_find_best_stream;
import static org.bytedeco.ffmpeg.global.avformat.av_read_frame;
import static org.bytedeco.ffmpeg.global.avformat.av_seek_frame;
import static org.bytedeco.ffmpeg.global.avformat.avformat_close_input;
import static org.bytedeco.ffmpeg.global.avformat.avformat_find_stream_info;
import static org.bytedeco.ffmpeg.global.avutil.AVERROR_EAGAIN;
import static org.bytedeco.ffmpeg.global.avutil.AVMEDIA_TYPE_VIDEO;
import static org.bytedeco.ffmpeg.global.avutil.AV_DICT_IGNORE_SUFFIX;
import static org.bytedeco.ffmpeg.global.avutil.AV_NOPTS_VALUE;
import static org.bytedeco.ffmpeg.global.avutil.AV_PIX_FMT_FLAG_ALPHA;
import static org.bytedeco.ffmpeg.global.avutil.av_dict_get;
import static org.bytedeco.ffmpeg.global.avutil.av_display_rotation_get;
import static org.bytedeco.ffmpeg.global.avutil.av_frame_alloc;
import static org.bytedeco.ffmpeg.global.avutil.av_frame_free;
import static org.bytedeco.ffmpeg.global.avutil.av_frame_unref;
import static org.bytedeco.ffmpeg.global.avutil.av_pix_fmt_desc_get;

import dynamorph.footage.message.Messages;
import dynamorph.model.timeline.FrameRate;
import dynamorph.model.timeline.Time;
import dynamorph.paint.film.MediaSource;
import io.github.humbleui.skija.Image;
import java.math.BigInteger;
import java.nio.file.Files;
import java.nio.file.Path;
import org.bytedeco.ffmpeg.avcodec.AVCodec;
import org.bytedeco.ffmpeg.avcodec.AVCodecContext;
import org.bytedeco.ffmpeg.avcodec.AVCodecParameters;
import org.bytedeco.ffmpeg.avcodec.AVPacket;
import org.bytedeco.ffmpeg.avcodec.AVPacketSideData;
import org.bytedeco.ffmpeg.avformat.AVFormatContext;
import org.bytedeco.ffmpeg.avformat.AVStream;
import org.bytedeco.ffmpeg.avutil.AVDictionary;
import org.bytedeco.ffmpeg.avutil.AVDictionaryEntry;
import org.bytedeco.ffmpeg.avutil.AVFrame;
import org.bytedeco.ffmpeg.avutil.AVRational;
import org.bytedeco.javacpp.IntPointer;
import org.bytedeco.javacpp.PointerPointer;

/**
 * A video, decoded by FFmpeg. A picture is seen from its own time until that of the next one, so a
 * moment shows the same picture however it was come to: played, stepped or sought.
 */
final class VideoFile implements FootageReader {
  /** Within this many seconds ahead decoding on is quicker than seeking. */
  private static final double NEAR_SECONDS = 1.5;

  private final String name;
  private final AVFormatContext container;
  private final AVCodecContext decoder;
  private final AVStream stream;
  private final int index;
  private final long origin;
  private final int quarterTurns;
  private final AVPacket packet = av_packet_alloc();
  private final VideoPixels pixels = new VideoPixels();
  private AVFrame current = av_frame_alloc();
  private AVFrame next = av_frame_alloc();
  private boolean hasCurrent;
  private boolean hasNext;
  private boolean drained;

  private VideoFile(String name, AVFormatContext container) throws FootageException {
    this.name = name;
    this.container = container;
    check(avformat_find_stream_info(container, (PointerPointer<?>) null));
    this.index =
        check(av_find_best_stream(container, AVMEDIA_TYPE_VIDEO, -1, -1, (AVCodec) null, 0));
    this.stream = container.streams(index);
    this.origin = stream.start_time() == AV_NOPTS_VALUE ? 0 : stream.start_time();
    this.quarterTurns = quarterTurns(stream.codecpar());
    AVCodec codec = codec();
    this.decoder = avcodec_alloc_context3(codec);
    check(avcodec_parameters_to_context(decoder, stream.codecpar()));
    decoder.thread_count(0);
    check(avcodec_open2(decoder, codec, (AVDictionary) null));
  }

  /**
   * Opens a video.
   *
   * @throws FootageUnreadable saying why
   */
  static VideoFile open(Path file) throws FootageException {
    String name = file.getFileName().toString();
    if (!Files.isRegularFile(file)) {
      throw new FootageException(Messages.of("video-file.there-is-no-such-file", name));
    }
    AVFormatContext container = Containers.open(file);
    try {
      return new VideoFile(name, container);
    } catch (FootageException wrong) {
      avformat_close_input(container);
      throw wrong;
    }
  }

  /** The usual decoder of these formats leaves out the alpha channel. */
  private AVCodec codec() throws FootageException {
    int id = stream.codecpar().codec_id();
    AVDictionaryEntry alpha =
        av_dict_get(stream.metadata(), "alpha_mode", null, AV_DICT_IGNORE_SUFFIX);
    AVCodec found = null;
    if (alpha != null && !alpha.isNull() && (id == AV_CODEC_ID_VP9 || id == AV_CODEC_ID_VP8)) {
      found = avcodec_find_decoder_by_name(id == AV_CODEC_ID_VP9 ? "libvpx-vp9" : "libvpx");
    }
    if (found == null || found.isNull()) {
      found = avcodec_find_decoder(id);
    }
    if (found == null || found.isNull()) {
      throw new FootageException(Messages.of("video-file.no-decoder-for-its-format-is", name));
    }
    return found;
  }

  /** By how many quarters of a turn pictures are shown clockwise: a camera may have lain aside. */
  private static int quarterTurns(AVCodecParameters parameters) {
    if (parameters.nb_coded_side_data() == 0) {
      return 0;
    }
    AVPacketSideData matrix =
        av_packet_side_data_get(
            parameters.coded_side_data(),
            parameters.nb_coded_side_data(),
            AV_PKT_DATA_DISPLAYMATRIX);
    if (matrix == null || matrix.isNull()) {
      return 0;
    }
    double degrees = -av_display_rotation_get(new IntPointer(matrix.data()));
    return Double.isNaN(degrees) ? 0 : Math.floorMod(Math.round(degrees / 90), 4);
  }

  private int check(int result) throws FootageException {
    return FfmpegErrors.check(name, result);
  }

  @Override
  public Image picture(Time at, FrameRate rate, MediaSource.Room room) throws FootageException {
    find(timestamp(at));
    AVRational aspect = stream.sample_aspect_ratio();
    if (quarterTurns == 0) {
      return pixels.image(name, current, aspect, room);
    }
    try (Image image = pixels.image(name, current, aspect, MediaSource.Room.ANY)) {
      return PictureFiles.turned(image, quarterTurns);
    }
  }

  /**
   * A moment in units of the stream. Timestamps are rounded when a file is written, so this is
   * rounded too: to cut it off would show the picture before now and then.
   */
  private long timestamp(Time at) {
    AVRational unit = stream.time_base();
    BigInteger whole =
        BigInteger.valueOf(Time.TICKS_PER_SECOND).multiply(BigInteger.valueOf(unit.num()));
    BigInteger twice = BigInteger.valueOf(at.ticks()).multiply(BigInteger.valueOf(2L * unit.den()));
    return origin + twice.add(whole).divide(whole.shiftLeft(1)).longValueExact();
  }

  private Time time(long timestamp) {
    AVRational unit = stream.time_base();
    return new Time(
        BigInteger.valueOf(timestamp)
            .multiply(BigInteger.valueOf(Time.TICKS_PER_SECOND))
            .multiply(BigInteger.valueOf(unit.num()))
            .divide(BigInteger.valueOf(unit.den()))
            .longValueExact());
  }

  /** Makes the current picture the one that is seen at a timestamp. */
  private void find(long wanted) throws FootageException {
    double near = NEAR_SECONDS * stream.time_base().den() / stream.time_base().num();
    boolean ahead =
        hasCurrent
            && wanted >= current.best_effort_timestamp()
            && wanted - current.best_effort_timestamp() < near;
    if (!ahead && (hasCurrent || wanted > origin + near)) {
      seekBefore(wanted, (long) near);
    }
    while (true) {
      if (!hasNext) {
        hasNext = decode(next);
      }
      if (!hasNext && !hasCurrent) {
        throw new FootageException(Messages.of("video-file.it-has-no-pictures-that-can", name));
      }
      if (!hasNext || hasCurrent && next.best_effort_timestamp() > wanted) {
        return;
      }
      step();
    }
  }

  private void step() {
    AVFrame before = current;
    av_frame_unref(before);
    current = next;
    next = before;
    hasCurrent = true;
    hasNext = false;
  }

  /**
   * Goes to a picture that is not after a timestamp. Files are indexed by when pictures are
   * decoded, which is before those are that they follow; so the nearest one may still be too late.
   */
  private void seekBefore(long wanted, long step) throws FootageException {
    for (long from = wanted; ; from -= step) {
      seek(Math.max(origin, from));
      hasNext = decode(next);
      if (from <= origin || hasNext && next.best_effort_timestamp() <= wanted) {
        return;
      }
    }
  }

  private void seek(long wanted) throws FootageException {
    if (av_seek_frame(container, index, wanted, AVSEEK_FLAG_BACKWARD) < 0) {
      check(av_seek_frame(container, index, origin, AVSEEK_FLAG_BACKWARD));
    }
    avcodec_flush_buffers(decoder);
    av_frame_unref(current);
    av_frame_unref(next);
    hasCurrent = false;
    hasNext = false;
    drained = false;
  }

  /** Whether there was another picture; broken pieces of a file are passed over. */
  private boolean decode(AVFrame into) {
    while (true) {
      int received = avcodec_receive_frame(decoder, into);
      if (received >= 0) {
        return true;
      }
      if (received != AVERROR_EAGAIN() || drained) {
        return false;
      }
      if (av_read_frame(container, packet) < 0) {
        drained = true;
        avcodec_send_packet(decoder, null);
      } else {
        if (packet.stream_index() == index) {
          avcodec_send_packet(decoder, packet);
        }
        av_packet_unref(packet);
      }
    }
  }

  @Override
  public FootageInfo facts(FrameRate rate) throws FootageException {
    long duration = stream.duration();
    Time lasts =
        duration != AV_NOPTS_VALUE && duration > 0
            ? time(duration)
            : container.duration() > 0
                ? new Time(container.duration() * (Time.TICKS_PER_SECOND / 1_000_000))
                : rate.frame();
    boolean alpha = (av_pix_fmt_desc_get(decoder.pix_fmt()).flags() & AV_PIX_FMT_FLAG_ALPHA) != 0;
    int width = VideoPixels.shownWidth(decoder.width(), stream.sample_aspect_ratio());
    return quarterTurns % 2 == 0
        ? new FootageInfo(width, decoder.height(), lasts, alpha)
        : new FootageInfo(decoder.height(), width, lasts, alpha);
  }

  @Override
  public void close() {
    pixels.close();
    av_frame_free(current);
    av_frame_free(next);
    av_packet_free(packet);
    avcodec_free_context(decoder);
    avformat_close_input(container);
  }
}
