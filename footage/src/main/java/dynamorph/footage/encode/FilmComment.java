package dynamorph.footage.encode;

import static org.bytedeco.ffmpeg.global.avformat.avformat_close_input;
import static org.bytedeco.ffmpeg.global.avformat.avformat_open_input;
import static org.bytedeco.ffmpeg.global.avutil.AV_LOG_FATAL;
import static org.bytedeco.ffmpeg.global.avutil.av_dict_get;
import static org.bytedeco.ffmpeg.global.avutil.av_log_set_level;

import java.nio.file.Files;
import java.nio.file.Path;
import java.util.Optional;
import org.bytedeco.ffmpeg.avformat.AVFormatContext;
import org.bytedeco.ffmpeg.avutil.AVDictionaryEntry;

/** The comment that a film file carries. */
public final class FilmComment {
  private FilmComment() {}

  /** Empty if there is no such file, or it is no film, or has no comment. */
  public static Optional<String> of(Path file) {
    if (!Files.isRegularFile(file)) {
      return Optional.empty();
    }
    av_log_set_level(AV_LOG_FATAL);
    AVFormatContext container = new AVFormatContext(null);
    if (avformat_open_input(container, file.toAbsolutePath().toString(), null, null) < 0) {
      return Optional.empty();
    }
    try {
      AVDictionaryEntry found = av_dict_get(container.metadata(), "comment", null, 0);
      return found == null || found.isNull()
          ? Optional.empty()
          : Optional.of(found.value().getString());
    } finally {
      avformat_close_input(container);
    }
  }
}
