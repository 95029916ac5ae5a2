package dynamorph.formats.export;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import dynamorph.footage.FootageFiles;
import dynamorph.model.Artboard;
import dynamorph.model.Layer;
import dynamorph.model.LengthUnit;
import dynamorph.model.Project;
import dynamorph.model.export.ExportFormat;
import dynamorph.model.export.ExportPreset;
import dynamorph.model.property.Address;
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
import dynamorph.model.value.Colour;
import dynamorph.model.value.ItemState;
import dynamorph.model.value.Rgba;
import dynamorph.paint.film.FilmPicture;
import dynamorph.paint.film.FootagePainter;
import dynamorph.paint.film.MediaSource;
import dynamorph.paint.layer.LayerPainter;
import dynamorph.paint.scene.Scene;
import dynamorph.paint.scene.SceneMaker;
import dynamorph.typeset.font.FontLibrary;
import dynamorph.typeset.layout.Typesetter;
import io.github.humbleui.skija.Bitmap;
import io.github.humbleui.skija.ColorAlphaType;
import io.github.humbleui.skija.ColorType;
import io.github.humbleui.skija.Image;
import io.github.humbleui.skija.ImageInfo;
import io.github.humbleui.skija.Surface;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import org.bytedeco.ffmpeg.ffmpeg;
import org.bytedeco.ffmpeg.ffprobe;
import org.bytedeco.javacpp.Loader;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** Films on disk: each frame is the one that is seen, and only what changed is written. */
class FilmExportTest {
  private static final FontLibrary FONTS = FontLibrary.shipped();
  private static final TrackId TITLES = new TrackId("t");
  private static final int WIDTH = 96;
  private static final int HEIGHT = 54;
  private static final int FRAMES = 60;

  @TempDir private Path folder;

  private static Layer title(String id, String words, long from, long to, long fade, TrackId on) {
    Time faded = Time.ofMillis(fade);
    return Layer.of(id, words, words)
        .withLocal(
            PropertySet.EMPTY
                .with(
                    Properties.COAT_COLOUR.at(Address.coat("fill")),
                    Colour.of(Rgba.parse("#F0C040")))
                .with(Properties.SHARE_Y, 40.0))
        .withTiming(new Timing(on, Time.ofMillis(from), Time.ofMillis(to), faded, faded, ""));
  }

  /** Two titles that fade over a gear that turns for the first half, with another one hidden. */
  private static Artboard film() {
    Track footage =
        new Track.Footage(
            new TrackId("f"),
            "Footage",
            ItemState.OPEN,
            List.of(
                new Clip(
                    "gears",
                    "gears",
                    new Media.Drawn(Media.Scenery.GEARS),
                    Time.ZERO,
                    Time.ofMillis(1200),
                    Time.ZERO)));
    TrackId hidden = new TrackId("h");
    return Artboard.empty("film", "The film", WIDTH, HEIGHT, LengthUnit.PIXEL)
        .withBackground(Colour.of(Rgba.parse("#204080")))
        .withTimeline(
            Optional.of(
                Timeline.of(FrameRate.PAL, Time.ofMillis(FRAMES * 40))
                    .withTracks(
                        List.of(
                            new Track.Titles(TITLES, "Titles", ItemState.OPEN),
                            new Track.Titles(hidden, "No", new ItemState(true, false)),
                            footage))))
        .withLayers(
            List.of(
                title("a", "One", 120, 920, 200, TITLES),
                title("b", "Two", 1320, 2200, 120, TITLES),
                title("c", "No", 400, 1600, 0, hidden)));
  }

  private static Project project() {
    return Project.empty("Hours").plus(film());
  }

  private static ExportPreset preset(ExportFormat format, boolean footage, double resolution) {
    ExportPreset usual = ExportPreset.of(format);
    return new ExportPreset(
        "P", format, resolution, 90, footage, usual.fileName(), usual.document());
  }

  private static FilmPicture picture(Project project, LayerPainter painter) {
    return new FilmPicture(painter, FootagePainter.of(project, MediaSource.NONE));
  }

  private static FilmExport export(Project project, ExportPreset preset, boolean overwrite) {
    LayerPainter painter = new LayerPainter();
    return new FilmExport(
        new SceneMaker(new Typesetter(FONTS), painter).make(project),
        picture(project, painter),
        preset,
        overwrite);
  }

  private ExportOutcome write(Project project, ExportPreset preset) throws IOException {
    Artboard film = project.films().findFirst().orElseThrow();
    return export(project, preset, false)
        .write(List.of(FilmExport.Part.whole(film)), folder, _ -> {}, () -> false);
  }

  /** Straight pixels in the order blue, green, red, alpha. */
  private static byte[] pixels(Image image) {
    try (Bitmap bitmap = new Bitmap()) {
      bitmap.allocPixels(
          new ImageInfo(
              image.getWidth(), image.getHeight(), ColorType.BGRA_8888, ColorAlphaType.UNPREMUL));
      image.readPixels(bitmap);
      return bitmap.readPixels();
    }
  }

  private static byte[] expected(Project project, long frame, FilmPicture.Under under) {
    LayerPainter painter = new LayerPainter();
    Scene.Board board =
        new SceneMaker(new Typesetter(FONTS), painter)
            .make(project)
            .board(film().id())
            .orElseThrow();
    try (Surface surface = Surface.makeRasterN32Premul(WIDTH, HEIGHT)) {
      picture(project, painter).paint(surface.getCanvas(), board, FrameRate.PAL.at(frame), under);
      try (Image image = surface.makeImageSnapshot()) {
        return pixels(image);
      }
    }
  }

  private static byte[] written(Path file, long frame) {
    List<byte[]> found = new ArrayList<>();
    FootageFiles.still(
        new Media.File(file.toString()),
        FrameRate.PAL.at(frame),
        FrameRate.PAL,
        MediaSource.Room.ANY,
        image -> found.add(pixels(image)));
    return found.getFirst();
  }

  @ParameterizedTest
  @CsvSource({"true", "false"})
  void eachFrameIsTheOneThatIsSeen(boolean footage) throws IOException {
    Project project = project();
    Path file = write(project, preset(ExportFormat.PNG_FILM, footage, 72)).written().getFirst();
    FilmPicture.Under under = footage ? FilmPicture.Under.FOOTAGE : FilmPicture.Under.NOTHING;
    for (long frame = 0; frame < FRAMES; frame++) {
      byte[] expected = expected(project, frame, under);
      byte[] written = written(file, frame);
      for (int at = 0; at < expected.length; at += 4) {
        int alpha = expected[at + 3] & 0xFF;
        assertThat(written[at + 3] & 0xFF).as("alpha of frame %d", frame).isEqualTo(alpha);
        for (int channel = 0; channel < 3 && alpha > 0; channel++) {
          // where little is seen its colour has few steps
          assertThat(written[at + channel] & 0xFF)
              .as("frame %d, pixel %d", frame, at / 4)
              .isCloseTo(expected[at + channel] & 0xFF, within(footage ? 0 : 1 + 255 / alpha));
        }
      }
    }
  }

  @Test
  void aPartIsWrittenInItsSize() throws IOException {
    Project project = project();
    Artboard film = project.films().findFirst().orElseThrow();
    Path file =
        export(project, preset(ExportFormat.PNG_FILM, true, 144), false)
            .write(List.of(new FilmExport.Part(film, 10, 21)), folder, _ -> {}, () -> false)
            .written()
            .getFirst();
    var facts = FootageFiles.facts(file, FrameRate.PAL);
    assertThat(facts.width()).isEqualTo(2 * WIDTH);
    assertThat(facts.height()).isEqualTo(2 * HEIGHT);
    assertThat(facts.duration()).isEqualTo(Time.ofMillis(480));
    assertThatThrownBy(() -> new FilmExport.Part(film, 10, FRAMES)).hasMessageContaining("60");
  }

  /** The chapter that goes on where a part begins is the first, whenever its title came. */
  @Test
  void chaptersAndCaptionsAreThoseOfThePart() throws IOException {
    Track.Captions english = Track.Captions.of("en", "English", "en");
    Artboard film = film();
    Artboard told =
        film.withTimeline(film.timeline().map(line -> line.plus(english)))
            .plus(
                Layer.of("cue", "Cue", "One line\u2028and another")
                    .withTiming(Timing.of(english.id(), Time.ofMillis(1000), Time.ofMillis(2000))));
    ExportPreset preset =
        preset(ExportFormat.H264, true, 72).withFilm(new ExportPreset.Film(false, true, "titles"));
    Path file =
        export(Project.empty("Hours").plus(told), preset, false)
            .write(List.of(new FilmExport.Part(told, 20, 49)), folder, _ -> {}, () -> false)
            .written()
            .getFirst();
    assertThat(probe(file, "chapter=start_time,end_time:chapter_tags=title"))
        .isEqualTo("0.000000,0.520000,One\n0.520000,1.200000,Two\n");
    byte[] text = run(Loader.load(ffmpeg.class), "-i", file.toString(), "-f", "srt", "-");
    assertThat(new String(text, StandardCharsets.UTF_8))
        .contains("00:00:00,200 --> 00:00:01,200\n", "One line\nand another");
  }

  private static String probe(Path file, String entries) throws IOException {
    byte[] told =
        run(
            Loader.load(ffprobe.class),
            "-show_entries",
            entries,
            "-of",
            "csv=p=0",
            file.toString());
    return new String(told, StandardCharsets.UTF_8);
  }

  /** Runs a program that comes with the decoder. */
  private static byte[] run(String program, String... arguments) throws IOException {
    List<String> command = new ArrayList<>(List.of(program, "-v", "error"));
    command.addAll(List.of(arguments));
    ProcessBuilder builder =
        new ProcessBuilder(command).redirectError(ProcessBuilder.Redirect.DISCARD);
    // the program does not look for its libraries beside itself
    builder.environment().put("LD_LIBRARY_PATH", Path.of(program).getParent().toString());
    Process process = builder.start();
    process.getOutputStream().close();
    return process.getInputStream().readAllBytes();
  }

  @Test
  void whatDidNotChangeStaysAsItIs() throws IOException {
    ExportPreset preset = preset(ExportFormat.PRORES_4444, false, 72);
    Project project = project();
    Path file = write(project, preset).written().getFirst();
    byte[] before = Files.readAllBytes(file);
    assertThat(write(project, preset).unchanged()).containsExactly(file);
    assertThat(write(project.withName("Renamed"), preset).unchanged()).containsExactly(file);
    Project changed =
        Project.empty("Hours")
            .plus(film().withLayers(List.of(title("a", "Three", 120, 920, 200, TITLES))));
    assertThat(write(changed, preset).written()).containsExactly(file);
    assertThat(Files.readAllBytes(file)).isNotEqualTo(before);
    ExportPreset other = preset(ExportFormat.PRORES_4444, true, 72);
    assertThat(write(changed, other).written()).containsExactly(file);
    Artboard film = changed.films().findFirst().orElseThrow();
    assertThat(
            export(changed, other, false)
                .write(List.of(new FilmExport.Part(film, 0, 9)), folder, _ -> {}, () -> false)
                .written())
        .containsExactly(file);
  }

  @Test
  void whatIsCancelledOrFailsLeavesWhatWasThere() throws IOException {
    ExportPreset preset = preset(ExportFormat.H264, true, 72);
    Path there = folder.resolve("The film.mp4");
    Files.writeString(there, "another film");
    Artboard film = film();
    List<Long> told = new ArrayList<>();
    ExportOutcome outcome =
        export(project(), preset, false)
            .write(List.of(FilmExport.Part.whole(film)), folder, told::add, () -> told.size() > 5);
    assertThat(outcome.complete()).isFalse();
    assertThat(outcome.written()).isEmpty();
    assertThat(Files.readString(there)).isEqualTo("another film");
    ExportPreset huge = preset(ExportFormat.H264, true, 2400);
    Project wide =
        Project.empty("Wide")
            .plus(
                Artboard.empty("film", "The film", 1920, 1080, LengthUnit.PIXEL)
                    .withTimeline(Optional.of(Timeline.of(FrameRate.PAL, Time.ofMillis(400)))));
    assertThatThrownBy(() -> write(wide, huge))
        .isInstanceOf(IOException.class)
        .hasMessageContaining("The film");
    assertThat(Files.readString(there)).isEqualTo("another film");
    try (var files = Files.list(folder)) {
      assertThat(files).containsExactly(there);
    }
  }
}
