package dynamorph.footage.encode;

import static org.bytedeco.ffmpeg.global.avcodec.AV_CODEC_FLAG_QSCALE;
import static org.bytedeco.ffmpeg.global.avcodec.av_packet_alloc;
import static org.bytedeco.ffmpeg.global.avcodec.av_packet_free;
import static org.bytedeco.ffmpeg.global.avcodec.av_packet_ref;
import static org.bytedeco.ffmpeg.global.avcodec.av_packet_unref;
import static org.bytedeco.ffmpeg.global.avcodec.avcodec_alloc_context3;
import static org.bytedeco.ffmpeg.global.avcodec.avcodec_free_context;
import static org.bytedeco.ffmpeg.global.avcodec.avcodec_send_frame;
import static org.bytedeco.ffmpeg.global.avformat.avformat_new_stream;
import static org.bytedeco.ffmpeg.global.avutil.AVCHROMA_LOC_LEFT;
import static org.bytedeco.ffmpeg.global.avutil.FF_QP2LAMBDA;
import static org.bytedeco.ffmpeg.global.avutil.av_frame_alloc;
import static org.bytedeco.ffmpeg.global.avutil.av_frame_free;
import static org.bytedeco.ffmpeg.global.avutil.av_frame_get_buffer;
import static org.bytedeco.ffmpeg.global.avutil.av_frame_unref;
import static org.bytedeco.ffmpeg.global.swscale.SWS_BICUBIC;
import static org.bytedeco.ffmpeg.global.swscale.SWS_FULL_CHR_H_INP;
import static org.bytedeco.ffmpeg.global.swscale.sws_alloc_context;
import static org.bytedeco.ffmpeg.global.swscale.sws_freeContext;
import static org.bytedeco.ffmpeg.global.swscale.sws_init_context;
import static org.bytedeco.ffmpeg.global.swscale.sws_scale_frame;

import dynamorph.footage.FootageException;
import java.util.ArrayDeque;
import java.util.ArrayList;
import java.util.Deque;
import java.util.List;
import org.bytedeco.ffmpeg.avcodec.AVCodec;
import org.bytedeco.ffmpeg.avcodec.AVCodecContext;
import org.bytedeco.ffmpeg.avcodec.AVPacket;
import org.bytedeco.ffmpeg.avformat.AVStream;
import org.bytedeco.ffmpeg.avutil.AVFrame;
import org.bytedeco.ffmpeg.avutil.AVRational;
import org.bytedeco.ffmpeg.swscale.SwsContext;

/**
 * The pictures of a film file. Where each is coded on its own, one that is seen for many frames is
 * coded once.
 */
final class VideoStream implements AutoCloseable {
  /** A player goes to the nearest picture that is coded on its own. */
  private static final int SECONDS_BETWEEN_KEY_FRAMES = 2;

  private final Packets packets;
  private final VideoCodec codec;
  private final VideoCodec.Colours colours;
  private final AVCodecContext encoder;
  private final AVStream stream;
  private final SwsContext converter = sws_alloc_context();
  private final AVFrame frame = av_frame_alloc();
  private final AVPacket packet = av_packet_alloc();
  private final AVPacket last = av_packet_alloc();

  /** The frames that each picture is seen for, of those whose packets have not come yet. */
  private final Deque<List<Long>> awaited = new ArrayDeque<>();

  private long frames;

  VideoStream(Packets packets, FilmSettings film) throws FootageException {
    this.packets = packets;
    this.codec = VideoCodec.of(film);
    this.colours = VideoCodec.Colours.of(codec, film.height(), film.rate());
    AVCodec found = packets.encoder(codec.encoder(), film.format().label());
    this.stream = avformat_new_stream(packets.container(), null);
    this.encoder = avcodec_alloc_context3(found);
    try {
      open(found, film);
    } catch (FootageException failed) {
      close();
      throw failed;
    }
  }

  private void open(AVCodec found, FilmSettings film) throws FootageException {
    encoder.width(film.width());
    encoder.height(film.height());
    encoder.pix_fmt(codec.pixels());
    AVRational unit = unit(film);
    encoder.time_base(unit);
    AVRational rate = new AVRational().num(unit.den()).den(unit.num());
    encoder.framerate(rate);
    stream.time_base(unit);
    stream.avg_frame_rate(rate);
    stream.r_frame_rate(rate);
    encoder.sample_aspect_ratio(new AVRational().num(1).den(1));
    stream.sample_aspect_ratio(new AVRational().num(1).den(1));
    encoder.colorspace(colours.space());
    encoder.color_primaries(colours.primaries());
    encoder.color_trc(colours.transfer());
    encoder.color_range(colours.range());
    if (!codec.isRgb()) {
      encoder.chroma_sample_location(AVCHROMA_LOC_LEFT);
    }
    encoder.thread_count(Runtime.getRuntime().availableProcessors());
    if (!codec.isIntra()) {
      encoder.gop_size(film.rate().nominal() * SECONDS_BETWEEN_KEY_FRAMES);
    }
    if (codec.encoder().equals("libopenh264")) {
      encoder.bit_rate(VideoCodec.bitsPerSecond(film));
    } else if (codec.encoder().equals("libsvtav1")) {
      VideoCodec.quieten();
    }
    if (codec.quantiser() > 0) {
      encoder.flags(encoder.flags() | AV_CODEC_FLAG_QSCALE);
      encoder.global_quality(codec.quantiser() * FF_QP2LAMBDA);
    }
    packets.open(encoder, found, codec.options(), stream);
  }

  private static AVRational unit(FilmSettings film) {
    return new AVRational().num(film.rate().denominator()).den(film.rate().numerator());
  }

  AVStream stream() {
    return stream;
  }

  long frames() {
    return frames;
  }

  /** Adds a picture, seen for one frame. */
  void add(AVFrame picture) throws FootageException {
    av_frame_unref(frame);
    frame.width(encoder.width());
    frame.height(encoder.height());
    frame.format(encoder.pix_fmt());
    frame.colorspace(colours.space());
    frame.color_primaries(colours.primaries());
    frame.color_trc(colours.transfer());
    frame.color_range(colours.range());
    packets.check(av_frame_get_buffer(frame, 0));
    convert(picture);
    awaited.add(new ArrayList<>());
    send();
  }

  /** Lets the picture before be seen for one frame more. */
  void again() throws FootageException {
    if (!codec.isIntra()) {
      awaited.add(new ArrayList<>());
      send();
    } else if (awaited.isEmpty()) {
      write(frames++);
    } else {
      awaited.getLast().add(frames++);
    }
  }

  private void send() throws FootageException {
    frame.pts(frames++);
    packets.check(avcodec_send_frame(encoder, frame));
    receive();
  }

  /** Into the colours that the frame says it has. */
  private void convert(AVFrame picture) throws FootageException {
    if (converter.src_w() == 0) {
      converter.src_w(picture.width());
      converter.src_h(picture.height());
      converter.src_format(picture.format());
      converter.dst_w(frame.width());
      converter.dst_h(frame.height());
      converter.dst_format(frame.format());
      converter.flags(SWS_BICUBIC | SWS_FULL_CHR_H_INP);
      converter.threads(Runtime.getRuntime().availableProcessors());
      packets.check(sws_init_context(converter, null, null));
    }
    packets.check(sws_scale_frame(converter, frame, picture));
  }

  private void receive() throws FootageException {
    while (packets.receive(encoder, packet)) {
      if (packet.duration() == 0) {
        packet.duration(1);
      }
      if (!codec.isIntra()) {
        awaited.poll();
        packets.write(packet, encoder.time_base(), stream);
        continue;
      }
      av_packet_unref(last);
      av_packet_ref(last, packet);
      packets.write(packet, encoder.time_base(), stream);
      for (long seen : awaited.remove()) {
        write(seen);
      }
    }
  }

  /** Writes the packet of the picture before for another frame. */
  private void write(long at) throws FootageException {
    packets.check(av_packet_ref(packet, last));
    packet.pts(at);
    packet.dts(at);
    packet.duration(1);
    packets.write(packet, encoder.time_base(), stream);
  }

  void finish() throws FootageException {
    packets.check(avcodec_send_frame(encoder, null));
    receive();
  }

  @Override
  public void close() {
    av_packet_free(last);
    av_packet_free(packet);
    av_frame_free(frame);
    sws_freeContext(converter);
    avcodec_free_context(encoder);
  }
}
