package dynamorph.footage.encode;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import dynamorph.footage.FfmpegPrograms;
import dynamorph.footage.FootageException;
import dynamorph.footage.sound.Sound;
import dynamorph.model.export.ExportFormat;
import dynamorph.model.timeline.FrameRate;
import dynamorph.model.timeline.Time;
import java.io.IOException;
import java.nio.ByteBuffer;
import java.nio.ByteOrder;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.EnumSource;

/** Film files, as another program reads them. */
class FilmWriterTest {
  private static final int WIDTH = 96;
  private static final int HEIGHT = 64;

  @TempDir private Path folder;

  private static FilmSettings settings(ExportFormat format, FrameRate rate) {
    return settings(format, WIDTH, HEIGHT, rate, false, List.of(), List.of(), Optional.empty());
  }

  private static FilmSettings settings(
      ExportFormat format,
      int width,
      int height,
      FrameRate rate,
      boolean transparent,
      List<FilmSettings.Chapter> chapters,
      List<FilmSettings.CaptionTrack> captions,
      Optional<Sound> sound) {
    String timecode = rate.equals(FrameRate.NTSC) ? "01:00:00;02" : "01:00:00:02";
    return new FilmSettings(
        format,
        width,
        height,
        rate,
        90,
        transparent,
        timecode,
        "A film",
        "as it was",
        chapters,
        captions,
        sound);
  }

  private interface Frames {
    void write(FilmWriter writer, FramePixels pixels) throws IOException;
  }

  private Path write(FilmSettings settings, Frames frames) throws IOException {
    Path file = folder.resolve("a." + settings.format().extension());
    try (FilmWriter writer = FilmWriter.open(file, "a", settings);
        FramePixels pixels =
            new FramePixels(settings.width(), settings.height(), settings.transparent())) {
      frames.write(writer, pixels);
      writer.finish();
    }
    return file;
  }

  /** Frames of one grey each: 40, 50, 60 and so on. */
  private static Frames greys(int count) {
    return (writer, pixels) -> {
      for (int frame = 0; frame < count; frame++) {
        int grey = 40 + 10 * frame;
        pixels.draw(canvas -> canvas.clear(0xFF000000 | grey << 16 | grey << 8 | grey));
        writer.add(pixels);
      }
    };
  }

  private static byte[] raw(Path file, String pixels) throws IOException {
    List<String> arguments = new ArrayList<>();
    if (file.toString().endsWith("webm")) {
      // the usual decoder of this format leaves out the alpha channel
      arguments.addAll(List.of("-c:v", "libvpx-vp9"));
    }
    arguments.addAll(List.of("-i", file.toString(), "-f", "rawvideo", "-pix_fmt", pixels));
    arguments.addAll(List.of("-fps_mode", "passthrough", "-"));
    return FfmpegPrograms.ffmpeg(new byte[0], arguments.toArray(String[]::new));
  }

  @ParameterizedTest
  @EnumSource(names = {"H264", "VP9", "AV1", "PRORES_422", "PRORES_4444", "PNG_FILM"})
  void eachFrameHasItsTimeAndItsColour(ExportFormat format) throws IOException {
    Path file = write(settings(format, FrameRate.NTSC), greys(12));
    List<String> times = FfmpegPrograms.probe(file, "-show_entries", "frame=pts_time");
    assertThat(times).hasSize(12);
    // WebM counts milliseconds
    double unit = format == ExportFormat.VP9 ? 0.00051 : 0.00002;
    for (int frame = 0; frame < 12; frame++) {
      assertThat(Double.parseDouble(times.get(frame).replace(",", "")))
          .isCloseTo(frame * 1001 / 30_000.0, within(unit));
    }
    assertThat(FfmpegPrograms.probe(file, "-show_entries", "stream=r_frame_rate,avg_frame_rate"))
        .first()
        .asString()
        .startsWith("30000/1001");
    byte[] rgb = raw(file, "rgb24");
    assertThat(rgb).hasSize(12 * WIDTH * HEIGHT * 3);
    for (int frame = 0; frame < 12; frame++) {
      int middle = rgb[(frame * HEIGHT + HEIGHT / 2) * WIDTH * 3 + WIDTH / 2 * 3] & 0xFF;
      assertThat(middle).as("frame %d", frame).isCloseTo(40 + 10 * frame, within(3));
    }
  }

  /** High definition is BT.709; below, the colours are those of the part of the world. */
  @ParameterizedTest
  @CsvSource({
    "H264, 720, 25, bt709, tv",
    "H264, 480, 30000/1001, smpte170m, tv",
    "AV1, 576, 25, bt470bg, tv",
    "VP9, 1080, 24, bt709, tv",
    "PRORES_422, 1080, 24, bt709, tv",
    "PNG_FILM, 1080, 24, gbr, pc"
  })
  void filesSayWhatTheirColoursAre(
      ExportFormat format, int height, String rate, String space, String range) throws IOException {
    int width = height * 16 / 9 / 2 * 2;
    FilmSettings settings =
        settings(
            format,
            width,
            height,
            FrameRate.parse(rate),
            false,
            List.of(),
            List.of(),
            Optional.empty());
    Path file =
        write(
            settings,
            (writer, pixels) -> {
              pixels.draw(canvas -> canvas.clear(0xFF00C800));
              writer.add(pixels);
            });
    assertThat(
            FfmpegPrograms.probe(
                    file, "-select_streams", "v", "-show_entries", "stream=color_range,color_space")
                .getFirst())
        .isEqualTo(range + "," + space);
    byte[] rgb = raw(file, "rgb24");
    int at = (height / 2 * width + width / 2) * 3;
    assertThat(rgb[at] & 0xFF).isCloseTo(0, within(3));
    assertThat(rgb[at + 1] & 0xFF).isCloseTo(200, within(3));
    assertThat(rgb[at + 2] & 0xFF).isCloseTo(0, within(3));
  }

  @ParameterizedTest
  @EnumSource(names = {"VP9", "PRORES_4444", "PNG_FILM"})
  void whatIsSeenThroughKeepsItsColour(ExportFormat format) throws IOException {
    FilmSettings settings =
        settings(
            format, WIDTH, HEIGHT, FrameRate.PAL, true, List.of(), List.of(), Optional.empty());
    Path file =
        write(
            settings,
            (writer, pixels) -> {
              pixels.draw(canvas -> canvas.clear(0x80C80000));
              writer.add(pixels);
              pixels.draw(canvas -> canvas.clear(0));
              writer.add(pixels);
            });
    byte[] rgba = raw(file, "rgba");
    int middle = (HEIGHT / 2 * WIDTH + WIDTH / 2) * 4;
    // not the half of it, as a canvas keeps it
    assertThat(rgba[middle] & 0xFF).isCloseTo(200, within(4));
    assertThat(rgba[middle + 1] & 0xFF).isCloseTo(0, within(4));
    assertThat(rgba[middle + 3] & 0xFF).isCloseTo(128, within(3));
    assertThat(rgba[middle + 4 * WIDTH * HEIGHT + 3] & 0xFF).isCloseTo(0, within(2));
  }

  /** A picture that stands is coded once where that can be, and seen as long in every format. */
  @ParameterizedTest
  @EnumSource(names = {"H264", "VP9", "AV1", "PRORES_4444", "PNG_FILM"})
  void picturesThatStandAreSeenForAllTheirFrames(ExportFormat format) throws IOException {
    int[] greys = {40, 40, 40, 90, 140, 140, 40};
    Path file =
        write(
            settings(format, FrameRate.PAL),
            (writer, pixels) -> {
              int before = -1;
              for (int grey : greys) {
                if (grey == before) {
                  writer.again();
                } else {
                  pixels.draw(canvas -> canvas.clear(0xFF000000 | grey << 16 | grey << 8 | grey));
                  writer.add(pixels);
                }
                before = grey;
              }
            });
    List<Integer> seen = new ArrayList<>();
    byte[] rgb = raw(file, "rgb24");
    for (int frame = 0; frame < rgb.length / (WIDTH * HEIGHT * 3); frame++) {
      seen.add(rgb[(frame * HEIGHT + HEIGHT / 2) * WIDTH * 3 + WIDTH / 2 * 3] & 0xFF);
    }
    assertThat(seen).hasSize(greys.length);
    for (int frame = 0; frame < greys.length; frame++) {
      assertThat(seen.get(frame)).as("frame %d", frame).isCloseTo(greys[frame], within(4));
    }
    assertThat(FfmpegPrograms.probe(file, "-show_entries", "frame=pts_time"))
        .element(6)
        .asString()
        .startsWith("0.24");
  }

  @ParameterizedTest
  @EnumSource(names = {"H264", "PRORES_422"})
  void theFirstFrameHasItsTimecode(ExportFormat format) throws IOException {
    assertThat(
            FfmpegPrograms.probe(
                write(settings(format, FrameRate.NTSC), greys(3)),
                "-show_entries",
                "stream_tags=timecode"))
        .contains("01:00:00;02");
    assertThat(
            FfmpegPrograms.probe(
                write(settings(format, FrameRate.PAL), greys(3)),
                "-show_entries",
                "stream_tags=timecode"))
        .contains("01:00:00:02");
  }

  private static FilmSettings.Cue cue(long from, long to, String text) {
    return new FilmSettings.Cue(Time.ofMillis(from), Time.ofMillis(to), text);
  }

  @ParameterizedTest
  @EnumSource(names = {"H264", "VP9", "PRORES_422"})
  void captionsAndChaptersAreThereToBeAskedFor(ExportFormat format) throws IOException {
    FilmSettings settings =
        settings(
            format,
            WIDTH,
            HEIGHT,
            FrameRate.PAL,
            false,
            List.of(
                new FilmSettings.Chapter("One", Time.ZERO, Time.ofMillis(400)),
                new FilmSettings.Chapter(
                    "Zwei & drei \u00fc", Time.ofMillis(400), Time.ofMillis(800))),
            List.of(
                new FilmSettings.CaptionTrack(
                    "English",
                    "en-GB",
                    List.of(
                        cue(120, 400, "Two lines\nof <it> & more"), cue(600, 800, "\u6642\u8a08"))),
                new FilmSettings.CaptionTrack("German", "de", List.of(cue(0, 400, "Uhr")))),
            Optional.empty());
    Path file = write(settings, greys(20));
    assertThat(
            FfmpegPrograms.probe(
                file, "-show_entries", "chapter=start_time,end_time:chapter_tags=title"))
        .containsExactly("0.000000,0.400000,One", "0.400000,0.800000,Zwei & drei \u00fc");
    assertThat(
            FfmpegPrograms.probe(
                file, "-select_streams", "s", "-show_entries", "stream_tags=language,title"))
        .hasSize(2)
        .satisfies(lines -> {
          assertThat(lines.get(0)).contains("eng");
          assertThat(lines.get(1)).matches("(ger|deu).*");
        });
    if (format != ExportFormat.VP9) {
      assertThat(
              FfmpegPrograms.probe(
                  file, "-select_streams", "s", "-show_entries", "stream_disposition=default"))
          .as("nobody asked for them yet")
          .containsExactly("0", "0");
    }
    String text =
        new String(
            FfmpegPrograms.ffmpeg(
                new byte[0], "-i", file.toString(), "-map", "0:s:0", "-f", "webvtt", "-"),
            StandardCharsets.UTF_8);
    assertThat(text.replace("&lt;", "<").replace("&gt;", ">").replace("&amp;", "&"))
        .contains("00:00.120 --> 00:00.400", "Two lines\nof <it> & more")
        .contains("00:00.600 --> 00:00.800", "\u6642\u8a08");
  }

  /** A sample of timed text holds all that is seen, for two of them cannot be at once. */
  @Test
  void captionsThatAreSeenTogetherStandUnderEachOther() {
    assertThat(
            CaptionStream.oneAtATime(
                List.of(cue(0, 1000, "a"), cue(400, 600, "b"), cue(1000, 2000, "c"))))
        .containsExactly(
            cue(0, 400, "a"), cue(400, 600, "a\nb"), cue(600, 1000, "a"), cue(1000, 2000, "c"));
    assertThat(CaptionStream.oneAtATime(List.of(cue(0, 500, "a"), cue(500, 900, "a"))))
        .containsExactly(cue(0, 500, "a"), cue(500, 900, "a"));
    assertThat(CaptionStream.oneAtATime(List.of())).isEmpty();
  }

  /** Silence, and from a sample on a tone that is loud at the left only. */
  private record Tone(long begin) implements Sound {
    @Override
    public void add(long from, float[] left, float[] right, int offset, int count)
        throws FootageException {
      for (int at = 0; at < count; at++) {
        long sample = from + at;
        if (sample >= begin) {
          left[offset + at] += (float) (0.5 * Math.sin(sample * 2 * Math.PI * 1000 / RATE));
        }
      }
    }

    @Override
    public void close() {}
  }

  @ParameterizedTest
  @CsvSource({"H264, aac", "VP9, opus", "PRORES_422, pcm_s24le"})
  void soundIsHeardWithItsPicture(ExportFormat format, String codec) throws IOException {
    FilmSettings settings =
        settings(
            format,
            WIDTH,
            HEIGHT,
            FrameRate.PAL,
            false,
            List.of(),
            List.of(),
            Optional.of(new Tone(24_000)));
    Path file = write(settings, greys(20));
    assertThat(
            FfmpegPrograms.probe(
                file, "-select_streams", "a", "-show_entries", "stream=codec_name,channels"))
        .containsExactly(codec + ",2");
    byte[] bytes =
        FfmpegPrograms.ffmpeg(
            new byte[0], "-i", file.toString(), "-f", "f32le", "-ar", "48000", "-ac", "2", "-");
    float[] samples = new float[bytes.length / 4];
    ByteBuffer.wrap(bytes).order(ByteOrder.LITTLE_ENDIAN).asFloatBuffer().get(samples);
    int heard = 0;
    while (Math.abs(samples[2 * heard]) < 0.15) {
      heard++;
    }
    // a codec of lossy sound smears what is sudden by less than the 20 ms that are noticed
    assertThat(heard).isCloseTo(24_000, within(480));
    assertThat(Math.abs(samples[2 * 30_000 + 1])).isLessThan(0.05f);
    // what is coded without loss ends with the film to the sample
    assertThat(samples.length / 2).isCloseTo(38_400, within(codec.startsWith("pcm") ? 0 : 2100));
  }

  @Test
  void whatCannotBeWrittenIsTold() throws IOException {
    Path nowhere = folder.resolve("missing").resolve("a.mp4");
    assertThat(Files.exists(nowhere)).isFalse();
    assertThatThrownBy(
            () -> FilmWriter.open(nowhere, "The film", settings(ExportFormat.H264, FrameRate.PAL)))
        .isInstanceOf(FootageException.class)
        .hasMessageContaining("The film");
    assertThat(FilmComment.of(folder.resolve("none.mp4"))).isEmpty();
    Path file = write(settings(ExportFormat.H264, FrameRate.PAL), greys(2));
    assertThat(FilmComment.of(file)).contains("as it was");
  }
}
