package dynamorph.footage.encode;

import static org.bytedeco.ffmpeg.global.avcodec.AV_CODEC_FLAG_BITEXACT;
import static org.bytedeco.ffmpeg.global.avcodec.AV_CODEC_FLAG_GLOBAL_HEADER;
import static org.bytedeco.ffmpeg.global.avcodec.av_packet_rescale_ts;
import static org.bytedeco.ffmpeg.global.avcodec.avcodec_find_encoder_by_name;
import static org.bytedeco.ffmpeg.global.avcodec.avcodec_open2;
import static org.bytedeco.ffmpeg.global.avcodec.avcodec_parameters_from_context;
import static org.bytedeco.ffmpeg.global.avcodec.avcodec_receive_packet;
import static org.bytedeco.ffmpeg.global.avformat.AVFMT_GLOBALHEADER;
import static org.bytedeco.ffmpeg.global.avformat.av_interleaved_write_frame;
import static org.bytedeco.ffmpeg.global.avutil.AVERROR_EAGAIN;
import static org.bytedeco.ffmpeg.global.avutil.AVERROR_EOF;
import static org.bytedeco.ffmpeg.global.avutil.av_dict_free;
import static org.bytedeco.ffmpeg.global.avutil.av_dict_set;

import dynamorph.footage.FfmpegErrors;
import dynamorph.footage.FootageException;
import dynamorph.footage.message.Messages;
import java.util.Map;
import org.bytedeco.ffmpeg.avcodec.AVCodec;
import org.bytedeco.ffmpeg.avcodec.AVCodecContext;
import org.bytedeco.ffmpeg.avcodec.AVPacket;
import org.bytedeco.ffmpeg.avformat.AVFormatContext;
import org.bytedeco.ffmpeg.avformat.AVStream;
import org.bytedeco.ffmpeg.avutil.AVDictionary;
import org.bytedeco.ffmpeg.avutil.AVRational;

/**
 * Where packets go: a container that is being written, and what encoders for it have in common.
 *
 * @param name of the file, to tell what went wrong
 */
record Packets(String name, AVFormatContext container) {
  /**
   * An encoder.
   *
   * @param own its name in FFmpeg
   * @param label what people call what it makes
   */
  AVCodec encoder(String own, String label) throws FootageException {
    AVCodec found = avcodec_find_encoder_by_name(own);
    if (found == null || found.isNull()) {
      throw new FootageException(Messages.of("video-stream.no-encoder", name, label));
    }
    return found;
  }

  /** Opens an encoder that has been told what it encodes, for a stream of the container. */
  void open(AVCodecContext encoder, AVCodec codec, Map<String, String> told, AVStream stream)
      throws FootageException {
    encoder.flags(encoder.flags() | AV_CODEC_FLAG_BITEXACT);
    if ((container.oformat().flags() & AVFMT_GLOBALHEADER) != 0) {
      encoder.flags(encoder.flags() | AV_CODEC_FLAG_GLOBAL_HEADER);
    }
    AVDictionary options = new AVDictionary(null);
    told.forEach((key, value) -> av_dict_set(options, key, value, 0));
    try {
      check(avcodec_open2(encoder, codec, options));
    } finally {
      av_dict_free(options);
    }
    check(avcodec_parameters_from_context(stream.codecpar(), encoder));
  }

  /** Takes the next packet of an encoder; false if it has none yet, or none any more. */
  boolean receive(AVCodecContext encoder, AVPacket packet) throws FootageException {
    int received = avcodec_receive_packet(encoder, packet);
    if (received == AVERROR_EAGAIN() || received == AVERROR_EOF()) {
      return false;
    }
    check(received);
    return true;
  }

  /**
   * Writes a packet, which is empty afterwards.
   *
   * @param unit of its timestamps
   */
  void write(AVPacket packet, AVRational unit, AVStream stream) throws FootageException {
    av_packet_rescale_ts(packet, unit, stream.time_base());
    packet.stream_index(stream.index());
    check(av_interleaved_write_frame(container, packet));
  }

  int check(int result) throws FootageException {
    if (result < 0) {
      throw FfmpegErrors.written(name, result);
    }
    return result;
  }
}
