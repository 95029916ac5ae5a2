package dynamorph.footage.sound;

import static org.bytedeco.ffmpeg.global.avcodec.av_packet_alloc;
import static org.bytedeco.ffmpeg.global.avcodec.av_packet_free;
import static org.bytedeco.ffmpeg.global.avcodec.av_packet_unref;
import static org.bytedeco.ffmpeg.global.avcodec.avcodec_alloc_context3;
import static org.bytedeco.ffmpeg.global.avcodec.avcodec_find_decoder;
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
import static org.bytedeco.ffmpeg.global.avutil.AVMEDIA_TYPE_AUDIO;
import static org.bytedeco.ffmpeg.global.avutil.AVMEDIA_TYPE_VIDEO;
import static org.bytedeco.ffmpeg.global.avutil.AV_NOPTS_VALUE;
import static org.bytedeco.ffmpeg.global.avutil.AV_SAMPLE_FMT_FLT;
import static org.bytedeco.ffmpeg.global.avutil.av_channel_layout_default;
import static org.bytedeco.ffmpeg.global.avutil.av_frame_alloc;
import static org.bytedeco.ffmpeg.global.avutil.av_frame_free;
import static org.bytedeco.ffmpeg.global.avutil.av_frame_unref;
import static org.bytedeco.ffmpeg.global.avutil.av_opt_set_double;
import static org.bytedeco.ffmpeg.global.swresample.swr_alloc_set_opts2;
import static org.bytedeco.ffmpeg.global.swresample.swr_convert;
import static org.bytedeco.ffmpeg.global.swresample.swr_free;
import static org.bytedeco.ffmpeg.global.swresample.swr_init;

import dynamorph.footage.Containers;
import dynamorph.footage.FfmpegErrors;
import dynamorph.footage.FootageException;
import java.nio.file.Path;
import java.util.Optional;
import org.bytedeco.ffmpeg.avcodec.AVCodec;
import org.bytedeco.ffmpeg.avcodec.AVCodecContext;
import org.bytedeco.ffmpeg.avcodec.AVPacket;
import org.bytedeco.ffmpeg.avformat.AVFormatContext;
import org.bytedeco.ffmpeg.avformat.AVStream;
import org.bytedeco.ffmpeg.avutil.AVChannelLayout;
import org.bytedeco.ffmpeg.avutil.AVDictionary;
import org.bytedeco.ffmpeg.avutil.AVFrame;
import org.bytedeco.ffmpeg.avutil.AVRational;
import org.bytedeco.ffmpeg.swresample.SwrContext;
import org.bytedeco.javacpp.BytePointer;
import org.bytedeco.javacpp.FloatPointer;
import org.bytedeco.javacpp.PointerPointer;
import org.jspecify.annotations.Nullable;

/**
 * The sound of a file, decoded by FFmpeg. Its first sample is heard with the first picture of the
 * file, whatever the timestamps of that are.
 */
public final class SoundFile implements Sound {
  /** Within this many samples ahead decoding on is quicker than seeking. */
  private static final long NEAR = 5L * RATE;

  /** Decoders need some packets before the one that is wanted. */
  private static final long RUN_UP = RATE / 2;

  /** Timestamps of packets are rounded; a real gap is longer. */
  private static final long JITTER = RATE / 25;

  private final String name;
  private final AVFormatContext container;
  private final AVStream stream;
  private final int index;
  private final AVCodecContext decoder;
  private final double origin;
  private final AVPacket packet = av_packet_alloc();
  private final AVFrame frame = av_frame_alloc();
  private @Nullable SwrContext converter;
  private float[] samples = new float[0];
  private int known;
  private long first;
  private long next;
  private boolean isPlaced;
  private boolean isDrained;

  private SoundFile(String name, AVFormatContext container, int index) throws FootageException {
    this.name = name;
    this.container = container;
    this.index = index;
    this.stream = container.streams(index);
    this.origin = origin();
    AVCodec codec = avcodec_find_decoder(stream.codecpar().codec_id());
    this.decoder = avcodec_alloc_context3(codec);
    FfmpegErrors.check(name, avcodec_parameters_to_context(decoder, stream.codecpar()));
    decoder.pkt_timebase(stream.time_base());
    FfmpegErrors.check(name, avcodec_open2(decoder, codec, (AVDictionary) null));
  }

  /**
   * Opens the sound of a file.
   *
   * @return empty if it has none that can be decoded
   * @throws FootageException if the file cannot be read
   */
  public static Optional<SoundFile> open(Path file) throws FootageException {
    String name = String.valueOf(file.getFileName());
    AVFormatContext container = Containers.open(file);
    try {
      FfmpegErrors.check(name, avformat_find_stream_info(container, (PointerPointer<?>) null));
      int index = av_find_best_stream(container, AVMEDIA_TYPE_AUDIO, -1, -1, (AVCodec) null, 0);
      if (index >= 0) {
        AVCodec codec = avcodec_find_decoder(container.streams(index).codecpar().codec_id());
        if (codec != null && !codec.isNull()) {
          return Optional.of(new SoundFile(name, container, index));
        }
      }
      avformat_close_input(container);
      return Optional.empty();
    } catch (FootageException wrong) {
      avformat_close_input(container);
      throw wrong;
    }
  }

  /** When its first picture is seen, in seconds of the container. */
  private double origin() {
    int pictures = av_find_best_stream(container, AVMEDIA_TYPE_VIDEO, -1, -1, (AVCodec) null, 0);
    AVStream from = pictures >= 0 ? container.streams(pictures) : stream;
    return from.start_time() == AV_NOPTS_VALUE ? 0 : from.start_time() * unit(from.time_base());
  }

  private static double unit(AVRational unit) {
    return (double) unit.num() / unit.den();
  }

  @Override
  public void add(long from, float[] left, float[] right, int offset, int count)
      throws FootageException {
    if (!isPlaced || from < first || from > next + NEAR) {
      seek(from);
    }
    long end = from + count;
    while (next < end && decode()) {
      forget(from);
    }
    long begin = Math.max(from, first);
    for (long at = begin; at < Math.min(end, next); at++) {
      int sample = (int) (at - first) * 2;
      int to = offset + (int) (at - from);
      left[to] += samples[sample];
      right[to] += samples[sample + 1];
    }
  }

  private void seek(long from) throws FootageException {
    double seconds = Math.max(0, from - RUN_UP) / (double) RATE + origin;
    long wanted = (long) Math.floor(seconds / unit(stream.time_base()));
    if (av_seek_frame(container, index, wanted, AVSEEK_FLAG_BACKWARD) < 0) {
      FfmpegErrors.check(name, av_seek_frame(container, index, 0, AVSEEK_FLAG_BACKWARD));
    }
    avcodec_flush_buffers(decoder);
    if (converter != null) {
      swr_free(converter);
      converter = null;
    }
    known = 0;
    isPlaced = false;
    isDrained = false;
    if (!decode()) {
      first = from;
      next = from;
      isPlaced = true;
    }
    forget(from);
  }

  /** Lets go of what lies before a sample. */
  private void forget(long from) {
    long gone = Math.clamp(from - first, 0, known);
    // in large pieces, or every small read would move all that is known
    if (gone > RATE || gone == known) {
      System.arraycopy(samples, (int) gone * 2, samples, 0, (int) (known - gone) * 2);
      known -= (int) gone;
      first += gone;
    }
  }

  /** Decodes one frame more; false at the end. Broken packets are passed over. */
  private boolean decode() throws FootageException {
    while (true) {
      int received = avcodec_receive_frame(decoder, frame);
      if (received >= 0) {
        take();
        av_frame_unref(frame);
        return true;
      }
      if (received != AVERROR_EAGAIN() || isDrained) {
        return false;
      }
      if (av_read_frame(container, packet) < 0) {
        isDrained = true;
        avcodec_send_packet(decoder, null);
      } else {
        if (packet.stream_index() == index) {
          avcodec_send_packet(decoder, packet);
        }
        av_packet_unref(packet);
      }
    }
  }

  private void take() throws FootageException {
    SwrContext swr = converter();
    long timestamp = frame.best_effort_timestamp();
    long place =
        timestamp == AV_NOPTS_VALUE
            ? next
            : Math.round((timestamp * unit(stream.time_base()) - origin) * RATE);
    if (!isPlaced) {
      first = place;
      next = place;
      isPlaced = true;
    } else if (place - next > JITTER) {
      // silence that the file leaves out
      grow((int) (place - next));
      java.util.Arrays.fill(samples, known * 2, (known + (int) (place - next)) * 2, 0);
      known += (int) (place - next);
      next = place;
    }
    int most = (int) ((long) frame.nb_samples() * RATE / Math.max(1, frame.sample_rate())) + 256;
    try (FloatPointer out = new FloatPointer(2L * most);
        PointerPointer<BytePointer> planes = new PointerPointer<>(1)) {
      planes.put(0, out);
      int made =
          FfmpegErrors.check(
              name, swr_convert(swr, planes, most, frame.extended_data(), frame.nb_samples()));
      grow(made);
      if (channels() == 2) {
        out.get(samples, known * 2, made * 2);
      } else {
        for (int at = 0; at < made; at++) {
          samples[(known + at) * 2] = out.get(at);
          samples[(known + at) * 2 + 1] = out.get(at);
        }
      }
      known += made;
      next += made;
    }
  }

  private void grow(int by) {
    int needed = (known + by) * 2;
    if (needed > samples.length) {
      samples = java.util.Arrays.copyOf(samples, Math.max(needed, samples.length * 2));
    }
  }

  /**
   * Of what is converted. One channel is as loud in both; shared out between them, as surround is,
   * it would lose three decibels.
   */
  private int channels() {
    return Math.min(2, frame.ch_layout().nb_channels());
  }

  private SwrContext converter() throws FootageException {
    if (converter == null) {
      SwrContext made = new SwrContext(null);
      try (AVChannelLayout wanted = new AVChannelLayout()) {
        av_channel_layout_default(wanted, channels());
        FfmpegErrors.check(
            name,
            swr_alloc_set_opts2(
                made,
                wanted,
                AV_SAMPLE_FMT_FLT,
                RATE,
                frame.ch_layout(),
                frame.format(),
                frame.sample_rate(),
                0,
                null));
      }
      // many loud channels together would be more than two can hold
      FfmpegErrors.check(name, av_opt_set_double(made, "rematrix_maxval", 1, 0));
      FfmpegErrors.check(name, swr_init(made));
      converter = made;
    }
    return converter;
  }

  @Override
  public void close() {
    if (converter != null) {
      swr_free(converter);
    }
    av_frame_free(frame);
    av_packet_free(packet);
    avcodec_free_context(decoder);
    avformat_close_input(container);
  }
}
