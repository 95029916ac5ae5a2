package dynamorph.footage.encode;

import static org.bytedeco.ffmpeg.global.avformat.avformat_close_input;
import static org.bytedeco.ffmpeg.global.avutil.av_dict_get;

import dynamorph.footage.Containers;
import dynamorph.footage.FootageException;
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
    AVFormatContext container;
    try {
      container = Containers.open(file);
    } catch (FootageException noFilm) {
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
