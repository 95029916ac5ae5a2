package dynamorph.footage;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import dynamorph.model.timeline.FrameRate;
import dynamorph.model.timeline.Media;
import dynamorph.model.timeline.Time;
import dynamorph.paint.Pixels;
import dynamorph.paint.film.FootagePainter;
import dynamorph.paint.film.MediaSource.Room;
import io.github.humbleui.skija.Canvas;
import io.github.humbleui.skija.EncoderPNG;
import io.github.humbleui.skija.Image;
import io.github.humbleui.skija.Surface;
import java.awt.image.BufferedImage;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.Random;
import java.util.concurrent.atomic.AtomicInteger;
import java.util.stream.IntStream;
import javax.imageio.ImageIO;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class FootageFilesTest {
  private static final int PICTURES = 90;

  @TempDir private Path folder;
  private final FootageFiles footage = new FootageFiles();

  @AfterEach
  void close() {
    footage.close();
  }

  /** The grey in the middle of the picture at a moment; -1 if there is none. */
  private int grey(Path file, Time at, FrameRate rate) {
    AtomicInteger grey = new AtomicInteger(-1);
    footage.show(
        new Media.File(file.toString()),
        at,
        rate,
        Room.ANY,
        image -> grey.set(middle(image) & 0xFF));
    return grey.get();
  }

  private static int middle(Image image) {
    return at(image, 0.5, 0.5);
  }

  private static int at(Image image, double x, double y) {
    Pixels pixels =
        Pixels.draw(
            image.getWidth(), image.getHeight(), (Canvas canvas) -> canvas.drawImage(image, 0, 0));
    return pixels.argb((int) (image.getWidth() * x), (int) (image.getHeight() * y));
  }

  @ParameterizedTest
  @CsvSource({
    "25, ffv1, shot.mkv, 1",
    "30000/1001, ffv1, shot.mkv, 1",
    "24, ffv1, shot.mkv, 30",
    "60000/1001, ffv1, shot.mkv, 1"
  })
  void eachFrameOfTheFilmShowsItsOwnPicture(String rate, String codec, String name, int between)
      throws IOException {
    Path file =
        SampleVideo.write(
            folder.resolve(name), PICTURES, rate, "-c:v", codec, "-g", String.valueOf(between));
    FrameRate film = FrameRate.parse(rate);
    for (int frame = 0; frame < PICTURES; frame++) {
      assertThat(grey(file, film.at(frame), film))
          .as("frame %d", frame)
          .isEqualTo(SampleVideo.FIRST_GREY + frame);
    }
  }

  /** Pictures that depend on those before, with some that are shown before those they follow. */
  @Test
  void aMomentShowsTheSamePictureHoweverItIsComeTo() throws IOException {
    Path file =
        SampleVideo.write(
            folder.resolve("shot.mp4"),
            PICTURES,
            "30000/1001",
            "-c:v",
            "mpeg4",
            "-q:v",
            "1",
            "-g",
            "24",
            "-bf",
            "2");
    FrameRate film = FrameRate.NTSC;
    int[] played =
        IntStream.range(0, PICTURES).map(frame -> grey(file, film.at(frame), film)).toArray();
    for (int frame = 0; frame < PICTURES; frame++) {
      assertThat(played[frame]).isCloseTo(SampleVideo.FIRST_GREY + frame, within(1));
    }
    Random random = new Random(8);
    for (int step = 0; step < 60; step++) {
      int frame = random.nextInt(PICTURES);
      try (FootageFiles fresh = step % 10 == 0 ? new FootageFiles() : null) {
        FootageFiles from = fresh == null ? footage : fresh;
        AtomicInteger grey = new AtomicInteger();
        // never the moments that are kept
        Time at = film.at(frame).plus(new Time(1 + random.nextInt(1000)));
        from.show(
            new Media.File(file.toString()),
            at,
            film,
            Room.ANY,
            image -> grey.set(middle(image) & 0xFF));
        assertThat(grey.get()).as("frame %d", frame).isEqualTo(played[frame]);
      }
    }
  }

  @Test
  void afterItsEndTheLastPictureStays() throws IOException {
    Path file = SampleVideo.write(folder.resolve("a.mkv"), 10, "25", "-c:v", "ffv1");
    assertThat(grey(file, Time.ofMillis(60_000), FrameRate.PAL))
        .isEqualTo(SampleVideo.FIRST_GREY + 9);
    assertThat(FootageFiles.facts(file, FrameRate.PAL))
        .isEqualTo(new FootageInfo(64, 48, Time.ofMillis(400), false));
  }

  @ParameterizedTest
  @CsvSource({"qtrle, a.mov, argb", "libvpx-vp9, a.webm, yuva420p"})
  void whatIsTransparentLetsThroughWhatIsBelow(String codec, String name, String pixels)
      throws IOException {
    Path file = SampleVideo.transparent(folder.resolve(name), "-c:v", codec, "-pix_fmt", pixels);
    int[] argb = new int[1];
    boolean shown =
        footage.show(
            new Media.File(file.toString()),
            Time.ZERO,
            FrameRate.PAL,
            Room.ANY,
            image -> argb[0] = middle(image));
    assertThat(shown).isTrue();
    assertThat(argb[0] >>> 24).isCloseTo(128, within(3));
    assertThat(argb[0] >> 8 & 0xFF).isCloseTo(100, within(4));
    assertThat(FootageFiles.facts(file, FrameRate.PAL).hasAlpha()).isEqualTo(codec.equals("qtrle"));
  }

  @Test
  void pixelsThatAreNotSquareAreMadeSo() throws IOException {
    Path file =
        SampleVideo.write(folder.resolve("wide.mkv"), 3, "25", "-c:v", "mpeg4", "-aspect", "8:3");
    assertThat(FootageFiles.facts(file, FrameRate.PAL).width()).isEqualTo(128);
    int[] width = new int[1];
    footage.show(
        new Media.File(file.toString()),
        Time.ZERO,
        FrameRate.PAL,
        Room.ANY,
        image -> width[0] = image.getWidth());
    assertThat(width[0]).isEqualTo(128);
  }

  /** Videos are 64 by 48. */
  @ParameterizedTest
  @CsvSource({
    // to be filled, the height decides
    "32, 36, 48, 36",
    "96, 72, 96, 72",
    // about its own size, and so large that only a part of it can be seen
    "64, 47, 64, 48",
    "200, 150, 64, 48"
  })
  void aVideoComesInTheSizeThatItIsSeenIn(int across, int down, int width, int height)
      throws IOException {
    Path file = SampleVideo.write(folder.resolve("shot.mkv"), 3, "25", "-c:v", "ffv1");
    int[] found = new int[3];
    footage.show(
        new Media.File(file.toString()),
        FrameRate.PAL.at(1),
        FrameRate.PAL,
        new Room(across, down),
        image -> {
          found[0] = image.getWidth();
          found[1] = image.getHeight();
          found[2] = middle(image) & 0xFF;
        });
    assertThat(found).containsExactly(width, height, SampleVideo.FIRST_GREY + 1);
  }

  /** The light half is on the left of the file; where it is when shown, in parts of the picture. */
  @ParameterizedTest
  @CsvSource({"90, 0.5, 0.9", "-90, 0.5, 0.1", "180, 0.9, 0.5", "0, 0.1, 0.5"})
  void videosOfACameraThatLayAsideAreShownUpright(int degrees, double x, double y)
      throws IOException {
    Path file = SampleVideo.held(folder.resolve("held.mp4"), degrees, "-c:v", "mpeg4");
    boolean aside = degrees % 180 != 0;
    FootageInfo facts = FootageFiles.facts(file, FrameRate.PAL);
    assertThat(facts.width()).isEqualTo(aside ? 48 : 64);
    assertThat(facts.height()).isEqualTo(aside ? 64 : 48);
    int[] lightAndDark = new int[2];
    footage.show(
        new Media.File(file.toString()),
        Time.ZERO,
        FrameRate.PAL,
        Room.ANY,
        image -> {
          lightAndDark[0] = at(image, x, y) & 0xFF;
          lightAndDark[1] = at(image, 1 - x, 1 - y) & 0xFF;
        });
    assertThat(lightAndDark[0]).isGreaterThan(180);
    assertThat(lightAndDark[1]).isLessThan(70);
  }

  private void picture(String name, int grey) throws IOException {
    try (Surface surface = Surface.makeRasterN32Premul(8, 6)) {
      surface.getCanvas().clear(0xFF000000 | grey << 16 | grey << 8 | grey);
      try (Image image = surface.makeImageSnapshot()) {
        Files.write(folder.resolve(name), EncoderPNG.encode(image).getBytes());
      }
    }
  }

  @Test
  void numberedPicturesFollowEachOtherAndGapsHoldThePictureBefore() throws IOException {
    picture("shot.0098.png", 10);
    picture("shot.0099.png", 20);
    picture("shot.100.png", 30);
    picture("shot.0104.png", 40);
    picture("other.0101.png", 250);
    Path first = folder.resolve("shot.0099.png");
    int[] seen =
        IntStream.range(0, 8)
            .map(frame -> grey(first, FrameRate.FILM.at(frame), FrameRate.FILM))
            .toArray();
    assertThat(seen).containsExactly(20, 30, 30, 30, 30, 40, 40, 40);
    assertThat(FootageFiles.numberedLike(first)).isEqualTo(3);
    assertThat(FootageFiles.facts(first, FrameRate.FILM).duration())
        .isEqualTo(FrameRate.FILM.at(6));
  }

  @Test
  void whatIsMissingOrBrokenIsToldAndShowsNothing() throws IOException {
    Path missing = folder.resolve("gone.mp4");
    Path words = Files.writeString(folder.resolve("words.mp4"), "no video at all");
    Path picture = Files.writeString(folder.resolve("words.png"), "no picture at all");
    assertThat(grey(missing, Time.ZERO, FrameRate.PAL)).isEqualTo(-1);
    assertThat(grey(words, Time.ZERO, FrameRate.PAL)).isEqualTo(-1);
    assertThat(grey(picture, Time.ZERO, FrameRate.PAL)).isEqualTo(-1);
    assertThatThrownBy(() -> FootageFiles.facts(missing, FrameRate.PAL))
        .isInstanceOf(FootageException.class)
        .hasMessage("gone.mp4: there is no such file");
    assertThatThrownBy(() -> FootageFiles.facts(words, FrameRate.PAL))
        .isInstanceOf(FootageException.class)
        .hasMessageStartingWith("words.mp4: it cannot be read");
    assertThatThrownBy(() -> FootageFiles.facts(picture, FrameRate.PAL))
        .hasMessageContaining("words.png");
    assertThat(FootageFiles.isThere(new Media.File(missing.toString()))).isFalse();
    assertThat(FootageFiles.isThere(new Media.File(words.toString()))).isTrue();
  }

  /** A file cut short shows what it has. */
  @Test
  void halfAVideoIsShownAsFarAsItGoes() throws IOException {
    Path file = SampleVideo.write(folder.resolve("a.mkv"), 60, "25", "-c:v", "ffv1", "-g", "1");
    byte[] bytes = Files.readAllBytes(file);
    Path half = folder.resolve("half.mkv");
    Files.write(half, java.util.Arrays.copyOf(bytes, bytes.length / 2));
    assertThat(grey(half, Time.ofMillis(200), FrameRate.PAL)).isEqualTo(SampleVideo.FIRST_GREY + 5);
    assertThat(grey(half, Time.ofMillis(2300), FrameRate.PAL)).isGreaterThan(40);
  }

  @Test
  void thePainterFillsTheFrameWithIt() throws IOException {
    Path file = SampleVideo.write(folder.resolve("a.mkv"), 10, "25", "-c:v", "ffv1");
    Media media = new Media.File(file.toString());
    var clip =
        new dynamorph.model.timeline.Clip(
            "c", "a", media, Time.ofMillis(1000), Time.ofMillis(2000), Time.ofMillis(200));
    var line =
        dynamorph.model.timeline.Timeline.of(FrameRate.PAL, Time.ofMillis(4000))
            .plus(
                new dynamorph.model.timeline.Track.Footage(
                    new dynamorph.model.timeline.TrackId("f"),
                    "F",
                    dynamorph.model.value.ItemState.OPEN,
                    java.util.List.of(clip)));
    Pixels pixels =
        Pixels.draw(
            40,
            40,
            canvas -> new FootagePainter(footage).paint(canvas, line, Time.ofMillis(1040), 40, 40));
    assertThat(pixels.argb(1, 1) & 0xFF).isEqualTo(SampleVideo.FIRST_GREY + 6);
    assertThat(pixels.argb(39, 39) & 0xFF).isEqualTo(SampleVideo.FIRST_GREY + 6);
  }

  @Test
  void aStillWithMorePixelsThanThereIsRoomForIsToldAndNotDecoded() throws IOException {
    Path file = folder.resolve("wide.png");
    BufferedImage wide = new BufferedImage(20_000, 10_001, BufferedImage.TYPE_BYTE_BINARY);
    ImageIO.write(wide, "png", file.toFile());
    assertThatThrownBy(() -> FootageFiles.facts(file, FrameRate.PAL))
        .isInstanceOf(FootageException.class)
        .hasMessage("wide.png: 20000 × 10001 pixels are too many; 200 million is the most");
    assertThat(grey(file, Time.ZERO, FrameRate.PAL)).isEqualTo(-1);
  }
}
