package dynamorph.footage.encode;

import static org.bytedeco.ffmpeg.global.avcodec.av_packet_alloc;
import static org.bytedeco.ffmpeg.global.avcodec.av_packet_free;
import static org.bytedeco.ffmpeg.global.avcodec.avcodec_alloc_context3;
import static org.bytedeco.ffmpeg.global.avcodec.avcodec_free_context;
import static org.bytedeco.ffmpeg.global.avcodec.avcodec_send_frame;
import static org.bytedeco.ffmpeg.global.avformat.avformat_new_stream;
import static org.bytedeco.ffmpeg.global.avutil.AV_SAMPLE_FMT_FLT;
import static org.bytedeco.ffmpeg.global.avutil.AV_SAMPLE_FMT_FLTP;
import static org.bytedeco.ffmpeg.global.avutil.AV_SAMPLE_FMT_S32;
import static org.bytedeco.ffmpeg.global.avutil.av_channel_layout_copy;
import static org.bytedeco.ffmpeg.global.avutil.av_channel_layout_default;
import static org.bytedeco.ffmpeg.global.avutil.av_frame_alloc;
import static org.bytedeco.ffmpeg.global.avutil.av_frame_free;
import static org.bytedeco.ffmpeg.global.avutil.av_frame_get_buffer;
import static org.bytedeco.ffmpeg.global.avutil.av_frame_unref;

import dynamorph.footage.FootageException;
import dynamorph.footage.sound.Sound;
import java.util.Arrays;
import java.util.Map;
import org.bytedeco.ffmpeg.avcodec.AVCodec;
import org.bytedeco.ffmpeg.avcodec.AVCodecContext;
import org.bytedeco.ffmpeg.avcodec.AVPacket;
import org.bytedeco.ffmpeg.avformat.AVStream;
import org.bytedeco.ffmpeg.avutil.AVFrame;
import org.bytedeco.ffmpeg.avutil.AVRational;
import org.bytedeco.javacpp.FloatPointer;
import org.bytedeco.javacpp.IntPointer;

/** The sound of a film file: AAC in MP4, Opus in WebM, PCM of 24 bits in QuickTime. */
final class SoundStream implements AutoCloseable {
  private static final int AAC_BITS = 256_000;
  private static final int OPUS_BITS = 192_000;
  private static final int PCM_SAMPLES = 2000;
  private static final double LOUDEST = Integer.MAX_VALUE;

  private final Packets packets;
  private final Sound sound;
  private final AVCodecContext encoder;
  private final AVStream stream;
  private final AVFrame frame = av_frame_alloc();
  private final AVPacket packet = av_packet_alloc();
  private final int step;
  private final float[] left;
  private final float[] right;
  private long written;

  SoundStream(Packets packets, FilmSettings film, Sound sound) throws FootageException {
    this.packets = packets;
    this.sound = sound;
    String name = VideoCodec.soundEncoder(film.format());
    AVCodec codec = packets.encoder(name, name);
    this.stream = avformat_new_stream(packets.container(), null);
    this.encoder = avcodec_alloc_context3(codec);
    try {
      open(codec, name);
    } catch (FootageException failed) {
      close();
      throw failed;
    }
    this.step = encoder.frame_size() > 0 ? encoder.frame_size() : PCM_SAMPLES;
    this.left = new float[step];
    this.right = new float[step];
  }

  private void open(AVCodec codec, String name) throws FootageException {
    encoder.sample_rate(Sound.RATE);
    encoder.time_base(new AVRational().num(1).den(Sound.RATE));
    stream.time_base(encoder.time_base());
    av_channel_layout_default(encoder.ch_layout(), 2);
    switch (name) {
      case "aac" -> {
        encoder.sample_fmt(AV_SAMPLE_FMT_FLTP);
        encoder.bit_rate(AAC_BITS);
      }
      case "libopus" -> {
        encoder.sample_fmt(AV_SAMPLE_FMT_FLT);
        encoder.bit_rate(OPUS_BITS);
      }
      default -> encoder.sample_fmt(AV_SAMPLE_FMT_S32);
    }
    packets.open(encoder, codec, Map.of(), stream);
  }

  /**
   * Writes what is heard before a sample, as far as it fills packets.
   *
   * @param isAll whether the rest is written too, since the film ends there
   */
  void writeUntil(long sample, boolean isAll) throws FootageException {
    while (written + step <= sample || isAll && written < sample) {
      int count = (int) Math.min(step, sample - written);
      Arrays.fill(left, 0);
      Arrays.fill(right, 0);
      sound.add(written, left, right, 0, count);
      encode(count);
      written += count;
    }
  }

  private void encode(int count) throws FootageException {
    av_frame_unref(frame);
    frame.format(encoder.sample_fmt());
    frame.sample_rate(Sound.RATE);
    av_channel_layout_copy(frame.ch_layout(), encoder.ch_layout());
    frame.nb_samples(count);
    packets.check(av_frame_get_buffer(frame, 0));
    fill(count);
    frame.pts(written);
    packets.check(avcodec_send_frame(encoder, frame));
    receive();
  }

  private void fill(int count) {
    int format = encoder.sample_fmt();
    if (format == AV_SAMPLE_FMT_FLTP) {
      new FloatPointer(frame.data(0)).put(clipped(left, count), 0, count);
      new FloatPointer(frame.data(1)).put(clipped(right, count), 0, count);
    } else if (format == AV_SAMPLE_FMT_FLT) {
      float[] both = new float[2 * count];
      for (int at = 0; at < count; at++) {
        both[2 * at] = Math.clamp(left[at], -1, 1);
        both[2 * at + 1] = Math.clamp(right[at], -1, 1);
      }
      new FloatPointer(frame.data(0)).put(both, 0, both.length);
    } else {
      int[] both = new int[2 * count];
      for (int at = 0; at < count; at++) {
        both[2 * at] = (int) Math.rint(Math.clamp(left[at], -1, 1) * LOUDEST);
        both[2 * at + 1] = (int) Math.rint(Math.clamp(right[at], -1, 1) * LOUDEST);
      }
      new IntPointer(frame.data(0)).put(both, 0, both.length);
    }
  }

  /** Tracks that are loud together may be more than a file can hold. */
  private static float[] clipped(float[] channel, int count) {
    for (int at = 0; at < count; at++) {
      channel[at] = Math.clamp(channel[at], -1, 1);
    }
    return channel;
  }

  private void receive() throws FootageException {
    while (packets.receive(encoder, packet)) {
      packets.write(packet, encoder.time_base(), stream);
    }
  }

  void finish() throws FootageException {
    packets.check(avcodec_send_frame(encoder, null));
    receive();
  }

  @Override
  public void close() {
    av_packet_free(packet);
    av_frame_free(frame);
    avcodec_free_context(encoder);
  }
}
