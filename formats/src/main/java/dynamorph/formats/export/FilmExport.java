package dynamorph.formats.export;

import dynamorph.footage.encode.DrawnFrames;
import dynamorph.footage.encode.FilmComment;
import dynamorph.footage.encode.FilmSettings;
import dynamorph.footage.encode.FilmWriter;
import dynamorph.footage.encode.FramePixels;
import dynamorph.footage.sound.FilmSound;
import dynamorph.footage.sound.Sound;
import dynamorph.formats.captions.CaptionFiles;
import dynamorph.formats.file.SafeFile;
import dynamorph.formats.file.Sha256;
import dynamorph.formats.message.Messages;
import dynamorph.model.Artboard;
import dynamorph.model.Layer;
import dynamorph.model.Project;
import dynamorph.model.export.ExportPreset;
import dynamorph.model.timeline.Time;
import dynamorph.model.timeline.Timeline;
import dynamorph.model.timeline.Track;
import dynamorph.paint.film.FilmPicture;
import dynamorph.paint.scene.Scene;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.function.BooleanSupplier;
import java.util.function.LongConsumer;

/**
 * Writes films as video files. A file that shows this state of its film already stays untouched.
 *
 * @param picture draws the frames
 * @param preset of a format of films
 * @param overwrite whether also what would not change is written again
 */
public record FilmExport(Scene scene, FilmPicture picture, ExportPreset preset, boolean overwrite) {
  /** Changes when the same film is written in another way. */
  private static final int WAY = 1;

  /**
   * What is written of a film.
   *
   * @param first number of the first frame, from 0
   * @param last number of the last frame, which is written too
   */
  public record Part(Artboard film, long first, long last) {
    public Part {
      long frames = film.timeline().orElseThrow().frames();
      if (first < 0 || last < first || last >= frames) {
        throw new IllegalArgumentException(
            Messages.of("film-export.a-range-of-frames", first, last, frames));
      }
    }

    /** All of a film. */
    public static Part whole(Artboard film) {
      return new Part(film, 0, film.timeline().orElseThrow().frames() - 1);
    }

    public long frames() {
      return last - first + 1;
    }

    private Timeline line() {
      return film.timeline().orElseThrow();
    }

    private Time from() {
      return line().rate().at(first);
    }

    private Time to() {
      return line().rate().at(last + 1);
    }

    /** A moment of the film as one of the file. */
    private Time inside(Time moment) {
      return Time.min(Time.max(moment, from()), to()).minus(from());
    }
  }

  /** Not a failure of a file, which would be told as one. */
  private static final class Cancelled extends RuntimeException {
    private static final long serialVersionUID = 1;
  }

  /** The files that some films become. */
  public ExportFiles files(List<Artboard> films) {
    return ExportFiles.of(scene.project().name(), scene.project().films().toList(), films, preset);
  }

  /**
   * Writes films into a folder, which is made if it is missing.
   *
   * @param parts at least one, each of another film
   * @param progress is told how many frames are done, of all films together
   * @param cancelled asked before each frame; the file that is being written is not kept
   * @throws IOException if a file cannot be written; those before it stay
   */
  public ExportOutcome write(
      List<Part> parts, Path folder, LongConsumer progress, BooleanSupplier cancelled)
      throws IOException {
    Files.createDirectories(folder);
    List<Path> written = new ArrayList<>();
    List<Path> unchanged = new ArrayList<>();
    Set<ExportOutcome.Remark> remarks = new LinkedHashSet<>();
    List<ExportFiles.OneFile> files = files(parts.stream().map(Part::film).toList()).files();
    long before = 0;
    for (int index = 0; index < files.size(); index++) {
      Part part = parts.get(index);
      Path path = folder.resolve(files.get(index).name());
      Scene.Board board = scene.board(part.film().id()).orElseThrow();
      ArtboardExport.remark(board, remarks);
      String comment = comment(part);
      if (!overwrite && FilmComment.of(path).filter(comment::equals).isPresent()) {
        unchanged.add(path);
        progress.accept(before + part.frames());
      } else {
        long done = before;
        try {
          write(part, board, path, comment, frames -> progress.accept(done + frames), cancelled);
          written.add(path);
        } catch (Cancelled _) {
          return new ExportOutcome(written, unchanged, List.copyOf(remarks), false);
        }
      }
      before += part.frames();
    }
    return new ExportOutcome(written, unchanged, List.copyOf(remarks), true);
  }

  private void write(
      Part part,
      Scene.Board board,
      Path path,
      String comment,
      LongConsumer progress,
      BooleanSupplier cancelled)
      throws IOException {
    Optional<FilmSound> heard =
        preset.film().sound() ? FilmSound.of(part.line()) : Optional.empty();
    try {
      FilmSettings settings = settings(part, comment, heard);
      SafeFile.place(path, beside -> write(part, board, beside, settings, progress, cancelled));
    } finally {
      heard.ifPresent(FilmSound::close);
    }
  }

  private void write(
      Part part,
      Scene.Board board,
      Path beside,
      FilmSettings settings,
      LongConsumer progress,
      BooleanSupplier cancelled)
      throws IOException {
    FilmPicture.Under under =
        preset.background() ? FilmPicture.Under.FOOTAGE : FilmPicture.Under.NOTHING;
    try (FilmWriter writer = FilmWriter.open(beside, part.film().name(), settings);
        DrawnFrames frames =
            new DrawnFrames(
                picture,
                board,
                under,
                part.first(),
                part.last(),
                settings.width(),
                settings.height())) {
      for (long done = 0; done < part.frames(); done++) {
        if (cancelled.getAsBoolean()) {
          throw new Cancelled();
        }
        Optional<FramePixels> next = frames.next();
        if (next.isPresent()) {
          writer.add(next.get());
          frames.giveBack(next.get());
        } else {
          writer.again();
        }
        progress.accept(done + 1);
      }
      writer.finish();
    }
  }

  private FilmSettings settings(Part part, String comment, Optional<FilmSound> heard) {
    Artboard film = part.film();
    return new FilmSettings(
        preset.format(),
        preset.pixels(film.width()),
        preset.pixels(film.height()),
        part.line().rate(),
        preset.quality(),
        !preset.background(),
        part.line().codeAt(part.from()),
        film.name(),
        comment,
        chapters(part),
        preset.film().captions() ? captions(part) : List.of(),
        heard.map(sound -> from(sound, FilmSound.sampleAt(part.from()))));
  }

  /** The sound of a film from one of its samples on. */
  private static Sound from(FilmSound whole, long first) {
    return new Sound() {
      @Override
      public void add(long from, float[] left, float[] right, int offset, int count)
          throws dynamorph.footage.FootageException {
        whole.add(first + from, left, right, offset, count);
      }

      @Override
      public void close() {
        whole.close();
      }
    };
  }

  /**
   * A chapter begins with each title of a track; the first one, which is the one that goes on where
   * the part begins, with the file.
   */
  private List<FilmSettings.Chapter> chapters(Part part) {
    Optional<Track.Titles> titles =
        part.line()
            .titles()
            .filter(track -> track.name().equalsIgnoreCase(preset.film().chapters()))
            .findFirst();
    if (titles.isEmpty()) {
      return List.of();
    }
    List<Layer> begins = new ArrayList<>();
    part.film().layers().stream()
        .filter(layer ->
            layer
                .timing()
                .filter(
                    own -> own.track().equals(titles.get().id()) && own.in().isBefore(part.to()))
                .isPresent())
        .sorted(Comparator.comparing(FilmExport::begin))
        .forEach(layer -> {
          boolean isOver =
              !begins.isEmpty()
                  && (!begin(layer).isAfter(part.from())
                      || begin(layer).equals(begin(begins.getLast())));
          if (isOver) {
            begins.removeLast();
          }
          begins.add(layer);
        });
    List<FilmSettings.Chapter> chapters = new ArrayList<>();
    for (int index = 0; index < begins.size(); index++) {
      Time from = begin(begins.get(index));
      Time to = index + 1 < begins.size() ? begin(begins.get(index + 1)) : part.to();
      chapters.add(
          new FilmSettings.Chapter(
              begins.get(index).story().text().replaceAll("\\s+", " ").strip(),
              index == 0 ? Time.ZERO : part.inside(from),
              part.inside(to)));
    }
    return chapters;
  }

  private static Time begin(Layer title) {
    return title.timing().orElseThrow().in();
  }

  private List<FilmSettings.CaptionTrack> captions(Part part) {
    Project project = scene.project();
    return part.line()
        .captions()
        .map(track ->
            new FilmSettings.CaptionTrack(
                track.name(),
                track.language(),
                CaptionFiles.plain(project, part.film(), track).stream()
                    .filter(cue -> cue.in().isBefore(part.to()) && cue.out().isAfter(part.from()))
                    .map(cue ->
                        new FilmSettings.Cue(
                            part.inside(cue.in()), part.inside(cue.out()), cue.text()))
                    .toList()))
        .filter(track -> !track.cues().isEmpty())
        .toList();
  }

  /** Tells this state of a film, and how it is written, from every other. */
  private String comment(Part part) throws IOException {
    String how =
        String.join(
            " ",
            FilmState.of(scene.project(), part.film()),
            String.valueOf(WAY),
            preset.format().id(),
            String.valueOf(preset.resolution()),
            preset.format().hasQuality() ? String.valueOf(preset.quality()) : "",
            String.valueOf(preset.background()),
            preset.film().toString(),
            String.valueOf(part.first()),
            String.valueOf(part.last()));
    return "Dynamorph " + Sha256.hex(how);
  }
}
