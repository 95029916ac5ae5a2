package dynamorph.footage;

import dynamorph.footage.message.Messages;
import dynamorph.model.timeline.FrameRate;
import dynamorph.model.timeline.Time;
import dynamorph.paint.film.MediaSource;
import dynamorph.paint.layer.DecodedImage;
import io.github.humbleui.skija.Image;
import java.io.IOException;
import java.math.BigInteger;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Locale;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.stream.Stream;

/**
 * Pictures whose names end in a number, one for each frame of the film: {@code shot.0001.png},
 * {@code shot.0002.png} and so on. Where numbers are missing the picture before stays.
 */
final class ImageSequence implements FootageReader {
  private static final Pattern NUMBERED = Pattern.compile("(.*?)(\\d+)(\\.[^.]+)");
  private static final List<String> ENDINGS = List.of(".png", ".jpg", ".jpeg", ".webp", ".gif");

  /** A picture and how many frames after the first it is due. */
  private record Numbered(long frame, Path file) {}

  private final List<Numbered> pictures;

  private ImageSequence(List<Numbered> pictures) {
    this.pictures = pictures;
  }

  /** Whether a file is a picture by its name. */
  static boolean isPicture(Path file) {
    String name = file.getFileName().toString().toLowerCase(Locale.ROOT);
    return ENDINGS.stream().anyMatch(name::endsWith);
  }

  /**
   * The pictures in the folder of one that are numbered like it, from that one on.
   *
   * @throws FootageUnreadable if it is not there
   */
  static ImageSequence from(Path first) throws FootageException {
    String name = first.getFileName().toString();
    Matcher like = NUMBERED.matcher(name);
    if (!Files.isRegularFile(first)) {
      throw new FootageException(Messages.of("image-sequence.there-is-no-such-file", name));
    }
    if (!like.matches()) {
      return new ImageSequence(List.of(new Numbered(0, first)));
    }
    BigInteger start = new BigInteger(like.group(2));
    List<Numbered> found = new ArrayList<>();
    try (Stream<Path> files = Files.list(first.toAbsolutePath().getParent())) {
      files.forEach(file -> {
        Matcher other = NUMBERED.matcher(file.getFileName().toString());
        if (other.matches()
            && other.group(1).equals(like.group(1))
            && other.group(3).equals(like.group(3))) {
          BigInteger frame = new BigInteger(other.group(2)).subtract(start);
          if (frame.signum() >= 0 && frame.bitLength() < 40) {
            found.add(new Numbered(frame.longValue(), file));
          }
        }
      });
    } catch (IOException | java.io.UncheckedIOException failed) {
      throw new FootageException(Messages.of("image-sequence.its-folder-cannot-be-read", name));
    }
    found.sort(Comparator.comparingLong(Numbered::frame));
    return new ImageSequence(List.copyOf(found));
  }

  int count() {
    return pictures.size();
  }

  @Override
  public Image picture(Time at, FrameRate rate, MediaSource.Room room) throws FootageException {
    long frame = rate.frameAt(at);
    int low = 0;
    int high = pictures.size() - 1;
    while (low < high) {
      int middle = (low + high + 1) / 2;
      if (pictures.get(middle).frame <= frame) {
        low = middle;
      } else {
        high = middle - 1;
      }
    }
    return read(pictures.get(low).file);
  }

  private static Image read(Path file) throws FootageException {
    try (Image encoded = DecodedImage.of(Files.readAllBytes(file))) {
      if (!PictureFiles.fits(encoded)) {
        throw new FootageException(
            Messages.of(
                "image-sequence.it-is-too-large",
                file.getFileName(),
                encoded.getWidth(),
                encoded.getHeight()));
      }
      return PictureFiles.decoded(encoded);
    } catch (FootageException told) {
      throw told;
    } catch (IOException | RuntimeException failed) {
      throw new FootageException(
          Messages.of("image-sequence.it-is-no-picture-that-can", file.getFileName()));
    }
  }

  @Override
  public FootageInfo facts(FrameRate rate) throws FootageException {
    try (Image first = read(pictures.getFirst().file)) {
      Time duration = rate.at(pictures.getLast().frame + 1);
      return new FootageInfo(first.getWidth(), first.getHeight(), duration, !first.isOpaque());
    }
  }

  @Override
  public void close() {}
}
