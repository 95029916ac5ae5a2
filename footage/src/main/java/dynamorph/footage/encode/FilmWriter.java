package dynamorph.footage.encode;

import static java.util.Objects.requireNonNull;
import static org.bytedeco.ffmpeg.avformat.AVFormatContext.AVFMT_FLAG_BITEXACT;
import static org.bytedeco.ffmpeg.global.avformat.AVIO_FLAG_WRITE;
import static org.bytedeco.ffmpeg.global.avformat.av_write_trailer;
import static org.bytedeco.ffmpeg.global.avformat.avformat_alloc_output_context2;
import static org.bytedeco.ffmpeg.global.avformat.avformat_free_context;
import static org.bytedeco.ffmpeg.global.avformat.avformat_write_header;
import static org.bytedeco.ffmpeg.global.avformat.avio_closep;
import static org.bytedeco.ffmpeg.global.avformat.avio_open;
import static org.bytedeco.ffmpeg.global.avutil.av_dict_free;
import static org.bytedeco.ffmpeg.global.avutil.av_dict_set;
import static org.bytedeco.ffmpeg.global.avutil.av_mallocz;

import dynamorph.footage.Containers;
import dynamorph.footage.FfmpegErrors;
import dynamorph.footage.FootageException;
import dynamorph.footage.sound.FilmSound;
import dynamorph.footage.sound.Sound;
import dynamorph.model.timeline.Time;
import java.io.IOException;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import org.bytedeco.ffmpeg.avformat.AVChapter;
import org.bytedeco.ffmpeg.avformat.AVFormatContext;
import org.bytedeco.ffmpeg.avformat.AVIOContext;
import org.bytedeco.ffmpeg.avformat.AVOutputFormat;
import org.bytedeco.ffmpeg.avutil.AVDictionary;
import org.bytedeco.ffmpeg.avutil.AVRational;
import org.bytedeco.javacpp.PointerPointer;
import org.jspecify.annotations.Nullable;

/**
 * A film file that is being written, picture by picture; sound and captions go with them. One
 * thread at a time uses it.
 */
public final class FilmWriter implements AutoCloseable {
  private final Path file;
  private final FilmSettings film;
  private final AVFormatContext container;
  private final Packets packets;
  private final List<CaptionStream> captions = new ArrayList<>();
  private @Nullable VideoStream video;
  private @Nullable SoundStream sound;

  private FilmWriter(Path file, String name, FilmSettings film, AVFormatContext container) {
    this.file = file;
    this.film = film;
    this.container = container;
    this.packets = new Packets(name, container);
  }

  /**
   * Begins a file.
   *
   * @param file where it is written; what is there is lost
   * @param name of the film, to tell what went wrong
   * @throws FootageException if it cannot be written here
   */
  public static FilmWriter open(Path file, String name, FilmSettings film) throws FootageException {
    return Containers.with(name, () -> made(file, name, film));
  }

  private static FilmWriter made(Path file, String name, FilmSettings film)
      throws FootageException {
    AVFormatContext container = new AVFormatContext(null);
    String path = file.toAbsolutePath().toString();
    int made =
        avformat_alloc_output_context2(
            container, (AVOutputFormat) null, film.format().extension(), path);
    if (made < 0) {
      throw FfmpegErrors.written(name, made);
    }
    FilmWriter writer = new FilmWriter(file, name, film, container);
    try {
      writer.begin(path);
    } catch (FootageException failed) {
      writer.close();
      throw failed;
    }
    return writer;
  }

  private void begin(String path) throws FootageException {
    container.flags(container.flags() | AVFMT_FLAG_BITEXACT);
    VideoStream pictures = new VideoStream(packets, film);
    video = pictures;
    AVDictionary ofPictures = new AVDictionary(null);
    av_dict_set(ofPictures, "timecode", film.timecode(), 0);
    pictures.stream().metadata(ofPictures);
    Optional<Sound> heard = film.sound();
    if (heard.isPresent()) {
      sound = new SoundStream(packets, film, heard.get());
    }
    film.captions().forEach(track -> captions.add(new CaptionStream(packets, film, track)));
    AVDictionary ofAll = new AVDictionary(null);
    av_dict_set(ofAll, "title", film.title(), 0);
    av_dict_set(ofAll, "comment", film.comment(), 0);
    container.metadata(ofAll);
    chapters();
    AVIOContext io = new AVIOContext(null);
    packets.check(avio_open(io, path, AVIO_FLAG_WRITE));
    container.pb(io);
    AVDictionary options = new AVDictionary(null);
    if (!film.format().extension().equals("webm")) {
      // players on the web begin before all is there
      av_dict_set(options, "movflags", "+faststart", 0);
      av_dict_set(options, "write_tmcd", "1", 0);
    }
    try {
      packets.check(avformat_write_header(container, options));
    } finally {
      av_dict_free(options);
    }
  }

  private void chapters() {
    int count = film.chapters().size();
    if (count == 0) {
      return;
    }
    PointerPointer<AVChapter> all = new PointerPointer<>(av_mallocz((long) count * Long.BYTES));
    for (int index = 0; index < count; index++) {
      FilmSettings.Chapter told = film.chapters().get(index);
      AVChapter chapter = new AVChapter(av_mallocz(new AVChapter().sizeof()));
      chapter.id(index);
      chapter.time_base(new AVRational().num(1).den((int) Time.TICKS_PER_SECOND));
      chapter.start(told.from().ticks());
      chapter.end(told.to().ticks());
      AVDictionary title = new AVDictionary(null);
      av_dict_set(title, "title", told.title(), 0);
      chapter.metadata(title);
      all.put(index, chapter);
    }
    container.chapters(all);
    container.nb_chapters(count);
  }

  /**
   * Adds the picture of the next frame.
   *
   * @param pixels as large as the film; they are read before this returns
   */
  public void add(FramePixels pixels) throws FootageException {
    pictures().add(pixels.frame());
    accompany(false);
  }

  /** The next frame shows the same picture as the one before. */
  public void again() throws FootageException {
    pictures().again();
    accompany(false);
  }

  private VideoStream pictures() {
    return requireNonNull(video);
  }

  /** What is heard and read until the end of the frame that was added last. */
  private void accompany(boolean isAll) throws FootageException {
    Time end = film.rate().at(pictures().frames());
    if (sound != null) {
      sound.writeUntil(FilmSound.sampleAt(end), isAll);
    }
    for (CaptionStream track : captions) {
      track.writeUntil(end);
    }
  }

  /** Ends the file; without this it is not whole. */
  public void finish() throws IOException {
    accompany(true);
    pictures().finish();
    if (sound != null) {
      sound.finish();
    }
    packets.check(av_write_trailer(container));
    closeFile();
    if (!captions.isEmpty() && !film.format().extension().equals("webm")) {
      QuickTimeTracks.disableText(file);
    }
  }

  private void closeFile() {
    if (container.pb() != null && !container.pb().isNull()) {
      avio_closep(container.pb());
      container.pb(null);
    }
  }

  @Override
  public void close() {
    if (video != null) {
      video.close();
    }
    if (sound != null) {
      sound.close();
    }
    captions.forEach(CaptionStream::close);
    closeFile();
    avformat_free_context(container);
  }
}
