package dynamorph.bench;

import dynamorph.footage.FootageFiles;
import dynamorph.formats.captions.CaptionFiles;
import dynamorph.formats.captions.CellHeights;
import dynamorph.formats.export.FilmExport;
import dynamorph.model.Artboard;
import dynamorph.model.Layer;
import dynamorph.model.LengthUnit;
import dynamorph.model.Project;
import dynamorph.model.export.ExportFormat;
import dynamorph.model.export.ExportPreset;
import dynamorph.model.property.Properties;
import dynamorph.model.property.PropertySet;
import dynamorph.model.timeline.Clip;
import dynamorph.model.timeline.FrameRate;
import dynamorph.model.timeline.Media;
import dynamorph.model.timeline.Time;
import dynamorph.model.timeline.Timeline;
import dynamorph.model.timeline.Timing;
import dynamorph.model.timeline.Track;
import dynamorph.model.timeline.TrackId;
import dynamorph.model.value.FontSize;
import dynamorph.model.value.ItemState;
import dynamorph.paint.film.FilmPicture;
import dynamorph.paint.film.FootagePainter;
import dynamorph.paint.layer.LayerPainter;
import dynamorph.paint.scene.Scene;
import dynamorph.paint.scene.SceneMaker;
import dynamorph.typeset.font.FontLibrary;
import dynamorph.typeset.layout.Typesetter;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.concurrent.TimeUnit;
import org.bytedeco.ffmpeg.ffmpeg;
import org.bytedeco.javacpp.Loader;
import org.openjdk.jmh.annotations.Benchmark;
import org.openjdk.jmh.annotations.BenchmarkMode;
import org.openjdk.jmh.annotations.Fork;
import org.openjdk.jmh.annotations.Measurement;
import org.openjdk.jmh.annotations.Mode;
import org.openjdk.jmh.annotations.OutputTimeUnit;
import org.openjdk.jmh.annotations.Param;
import org.openjdk.jmh.annotations.Scope;
import org.openjdk.jmh.annotations.Setup;
import org.openjdk.jmh.annotations.State;
import org.openjdk.jmh.annotations.Warmup;

/**
 * A film of 1920 × 1080 pixels with captions, ten seconds long, written as a video file; beside it
 * what the {@code ffmpeg} of the machine takes for the same, with the same encoder and settings.
 */
@State(Scope.Benchmark)
@BenchmarkMode(Mode.SingleShotTime)
@OutputTimeUnit(TimeUnit.MILLISECONDS)
@Warmup(iterations = 1)
@Measurement(iterations = 3)
@Fork(value = 1, jvmArgsAppend = "--enable-native-access=ALL-UNNAMED")
public class FilmExportBench {
  private static final int SECONDS = 10;
  private static final TrackId CAPTIONS = new TrackId("en");

  /** Encoders that both programs have. */
  @Param({"VP9", "PRORES_422"})
  public ExportFormat format;

  private Path folder;
  private Path footage;
  private Path subtitles;
  private Project project;

  @Setup
  public void make() throws IOException, InterruptedException {
    folder = Files.createTempDirectory("film-export");
    footage = folder.resolve("footage.mp4");
    String program = Loader.load(ffmpeg.class);
    run(
        Path.of(program).getParent().toString(),
        List.of(
            program,
            "-v",
            "error",
            "-y",
            "-f",
            "lavfi",
            "-i",
            "testsrc2=size=1920x1080:rate=25:duration=" + SECONDS,
            "-f",
            "lavfi",
            "-i",
            "sine=frequency=440:duration=" + SECONDS,
            "-c:v",
            "libopenh264",
            "-b:v",
            "8M",
            "-pix_fmt",
            "yuv420p",
            "-c:a",
            "aac",
            footage.toString()));
    project = Project.empty("Captions").plus(film());
    subtitles = folder.resolve("captions.srt");
    Artboard film = project.films().findFirst().orElseThrow();
    Track.Captions track = (Track.Captions) line(film).track(CAPTIONS).orElseThrow();
    CaptionFiles.write(project, film, track, subtitles, CellHeights.USUAL);
  }

  private static Timeline line(Artboard film) {
    return film.timeline().orElseThrow();
  }

  private Artboard film() {
    Time end = Time.ofMillis(SECONDS * 1000L);
    Clip clip =
        new Clip("clip", "clip", new Media.File(footage.toString()), Time.ZERO, end, Time.ZERO);
    List<Layer> cues = new ArrayList<>();
    for (int second = 0; second < SECONDS; second += 2) {
      cues.add(
          Layer.of("cue" + second, "cue", "Every second hour\nthe weight is wound anew")
              .withTiming(
                  Timing.of(
                      CAPTIONS,
                      Time.ofMillis(second * 1000L),
                      Time.ofMillis(second * 1000L + 1800))));
    }
    return Artboard.empty("film", "Film", 1920, 1080, LengthUnit.PIXEL)
        .withTimeline(
            Optional.of(
                Timeline.of(FrameRate.PAL, end)
                    .withTracks(
                        List.of(
                            Track.Captions.of(CAPTIONS.value(), "English", "en")
                                .withLocal(
                                    PropertySet.EMPTY.with(Properties.SIZE, FontSize.points(54))),
                            new Track.Footage(
                                new TrackId("f"), "Footage", ItemState.OPEN, List.of(clip))))))
        .withLayers(cues);
  }

  private static void run(String libraries, List<String> command)
      throws IOException, InterruptedException {
    ProcessBuilder builder = new ProcessBuilder(command).inheritIO();
    if (libraries.isEmpty()) {
      builder.environment().remove("LD_LIBRARY_PATH");
    } else {
      builder.environment().put("LD_LIBRARY_PATH", libraries);
    }
    if (builder.start().waitFor() != 0) {
      throw new IOException(String.join(" ", command));
    }
  }

  /** Captions in the pictures, over the footage. */
  @Benchmark
  public Object burntIn() throws IOException {
    return export(true, format);
  }

  /** Captions alone, over nothing: most frames look like the one before. */
  @Benchmark
  public Object titlesAlone() throws IOException {
    return export(false, format == ExportFormat.VP9 ? format : ExportFormat.PRORES_4444);
  }

  private Object export(boolean over, ExportFormat as) throws IOException {
    ExportPreset usual = ExportPreset.of(as);
    ExportPreset preset =
        new ExportPreset(
            "film",
            as,
            usual.resolution(),
            usual.quality(),
            over,
            usual.fileName(),
            usual.document(),
            usual.film());
    try (FontLibrary fonts = FontLibrary.forProject(List.of());
        FootageFiles files = new FootageFiles()) {
      LayerPainter painter = new LayerPainter();
      Scene scene = new SceneMaker(new Typesetter(fonts), painter).make(project);
      Artboard film = project.films().findFirst().orElseThrow();
      return new FilmExport(
              scene, new FilmPicture(painter, FootagePainter.of(project, files)), preset, true)
          .write(List.of(FilmExport.Part.whole(film)), folder, _ -> {}, () -> false);
    }
  }

  /** The same by the program of the machine. */
  @Benchmark
  public void peer() throws IOException, InterruptedException {
    List<String> command =
        new ArrayList<>(
            List.of(
                "ffmpeg",
                "-v",
                "error",
                "-y",
                "-i",
                footage.toString(),
                "-vf",
                "subtitles=" + subtitles));
    command.addAll(
        format == ExportFormat.VP9
            ? List.of(
                "-c:v",
                "libvpx-vp9",
                "-crf",
                "25",
                "-b:v",
                "0",
                "-deadline",
                "realtime",
                "-cpu-used",
                "5",
                "-row-mt",
                "1",
                "-tile-columns",
                "2",
                "-g",
                "50",
                "-c:a",
                "libopus",
                "-b:a",
                "192k",
                folder.resolve("peer.webm").toString())
            : List.of(
                "-c:v",
                "prores_ks",
                "-profile:v",
                "hq",
                "-q:v",
                "2",
                "-pix_fmt",
                "yuv422p10le",
                "-c:a",
                "pcm_s24le",
                folder.resolve("peer.mov").toString()));
    run("", command);
  }
}
