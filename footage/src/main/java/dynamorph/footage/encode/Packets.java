package dynamorph.footage.encode;

import static org.bytedeco.ffmpeg.global.avcodec.av_packet_rescale_ts;
import static org.bytedeco.ffmpeg.global.avformat.av_interleaved_write_frame;

import dynamorph.footage.FfmpegErrors;
import dynamorph.footage.FootageException;
import org.bytedeco.ffmpeg.avcodec.AVPacket;
import org.bytedeco.ffmpeg.avformat.AVFormatContext;
import org.bytedeco.ffmpeg.avformat.AVStream;
import org.bytedeco.ffmpeg.avutil.AVRational;

/**
 * Where packets go: a container that is being written.
 *
 * @param name of the file, to tell what went wrong
 */
record Packets(String name, AVFormatContext container) {
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
