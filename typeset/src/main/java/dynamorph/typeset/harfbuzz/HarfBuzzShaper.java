package dynamorph.typeset.harfbuzz;

import static java.lang.foreign.ValueLayout.JAVA_INT;

import java.lang.foreign.Arena;
import java.lang.foreign.MemorySegment;
import java.lang.foreign.ValueLayout;
import java.util.List;
import java.util.Map;
import java.util.concurrent.ConcurrentHashMap;

/** Shapes runs of one text. Holds native memory of its own: one thread at a time, and close it. */
public final class HarfBuzzShaper implements AutoCloseable {
  /**
   * A feature over a stretch of the text.
   *
   * @param start first unit of the text
   * @param end one past the last unit; {@link Integer#MAX_VALUE} for the end
   */
  public record Feature(String tag, int value, int start, int end) {}

  /** Takes glyphs in visual order. */
  public interface Sink {
    /**
     * @param count number of glyphs
     * @param infos for each glyph {@link #STRIDE} numbers: glyph, flags, unit of the text; the rest
     *     means nothing
     * @param positions for each glyph {@link #STRIDE} numbers in font units, y upwards: advance
     *     across, advance up, offset across, offset up; the rest means nothing
     */
    void glyphs(int count, int[] infos, int[] positions);
  }

  /** Numbers for each glyph. */
  public static final int STRIDE = 5;

  /** The flag of a glyph before which the text cannot be cut without shaping both sides anew. */
  public static final int UNSAFE_TO_BREAK = 1;

  /** Where a run goes. */
  public enum Direction {
    LEFT_TO_RIGHT(4),
    RIGHT_TO_LEFT(5),
    TOP_TO_BOTTOM(6);

    private final int number;

    Direction(int number) {
      this.number = number;
    }

    int number() {
      return number;
    }
  }

  /**
   * Marks the beginning and end of a paragraph; HarfBuzz shows a mark without a base on its own.
   */
  private static final int BEGINS_AND_ENDS = 3;

  private static final int FEATURE_BYTES = 16;
  private static final Map<String, MemorySegment> LANGUAGES = new ConcurrentHashMap<>();
  private static final Map<String, Integer> SCRIPTS = new ConcurrentHashMap<>();

  private final Arena arena = Arena.ofConfined();
  private final MemorySegment buffer;
  private final MemorySegment length = arena.allocate(JAVA_INT);
  private MemorySegment text = MemorySegment.NULL;
  private int textLength;
  private MemorySegment featureMemory = arena.allocate(FEATURE_BYTES * 16L, 4);
  private int[] infos = new int[STRIDE * 256];
  private int[] positions = new int[STRIDE * 256];

  public HarfBuzzShaper() {
    try {
      buffer = (MemorySegment) Library.BUFFER_CREATE.invokeExact();
    } catch (Throwable failed) {
      throw HarfBuzzFont.unexpected(failed);
    }
  }

  /** The text that the runs to come are parts of. */
  public void text(String words) {
    textLength = words.length();
    if (text.byteSize() < textLength * 2L) {
      text = arena.allocate(ValueLayout.JAVA_CHAR, Math.max(512, textLength * 2L));
    }
    MemorySegment.copy(words.toCharArray(), 0, text, ValueLayout.JAVA_CHAR, 0, textLength);
  }

  /**
   * Shapes a run.
   *
   * @param start first unit
   * @param end one past the last unit
   * @param script ISO 15924 code
   * @param language BCP 47 tag
   */
  public void shape(
      HarfBuzzFont font,
      int start,
      int end,
      Direction direction,
      String script,
      String language,
      List<Feature> features,
      Sink sink) {
    try {
      Library.BUFFER_CLEAR.invokeExact(buffer);
      Library.BUFFER_FLAGS.invokeExact(buffer, BEGINS_AND_ENDS);
      Library.BUFFER_ADD.invokeExact(buffer, text, textLength, start, end - start);
      Library.BUFFER_DIRECTION.invokeExact(buffer, direction.number);
      Library.BUFFER_SCRIPT.invokeExact(
          buffer, (int) SCRIPTS.computeIfAbsent(script, HarfBuzzShaper::script));
      Library.BUFFER_LANGUAGE.invokeExact(buffer, language(language));
      Library.SHAPE.invokeExact(font.font(), buffer, write(features), features.size());
      int count = (int) Library.BUFFER_LENGTH.invokeExact(buffer);
      read(count);
      sink.glyphs(count, infos, positions);
    } catch (Throwable failed) {
      throw HarfBuzzFont.unexpected(failed);
    }
  }

  private void read(int count) throws Throwable {
    int numbers = count * STRIDE;
    if (infos.length < numbers) {
      infos = new int[numbers * 2];
      positions = new int[numbers * 2];
    }
    MemorySegment from = (MemorySegment) Library.BUFFER_INFOS.invokeExact(buffer, length);
    MemorySegment.copy(from.reinterpret(numbers * 4L), JAVA_INT, 0, infos, 0, numbers);
    from = (MemorySegment) Library.BUFFER_POSITIONS.invokeExact(buffer, length);
    MemorySegment.copy(from.reinterpret(numbers * 4L), JAVA_INT, 0, positions, 0, numbers);
  }

  private MemorySegment write(List<Feature> features) {
    if (features.isEmpty()) {
      return MemorySegment.NULL;
    }
    long bytes = (long) FEATURE_BYTES * features.size();
    if (featureMemory.byteSize() < bytes) {
      featureMemory = arena.allocate(bytes * 2, 4);
    }
    long at = 0;
    for (Feature feature : features) {
      featureMemory.set(JAVA_INT, at, Library.tag(feature.tag()));
      featureMemory.set(JAVA_INT, at + 4, feature.value());
      featureMemory.set(JAVA_INT, at + 8, feature.start());
      featureMemory.set(JAVA_INT, at + 12, feature.end() == Integer.MAX_VALUE ? -1 : feature.end());
      at += FEATURE_BYTES;
    }
    return featureMemory;
  }

  static MemorySegment language(String tag) {
    return LANGUAGES.computeIfAbsent(
        tag,
        wanted -> {
          try (Arena local = Arena.ofConfined()) {
            return (MemorySegment) Library.LANGUAGE.invokeExact(local.allocateFrom(wanted), -1);
          } catch (Throwable failed) {
            throw HarfBuzzFont.unexpected(failed);
          }
        });
  }

  private static int script(String code) {
    try (Arena local = Arena.ofConfined()) {
      return (int) Library.SCRIPT.invokeExact(local.allocateFrom(code), -1);
    } catch (Throwable failed) {
      throw HarfBuzzFont.unexpected(failed);
    }
  }

  @Override
  public void close() {
    try {
      Library.BUFFER_DESTROY.invokeExact(buffer);
    } catch (Throwable failed) {
      throw HarfBuzzFont.unexpected(failed);
    }
    arena.close();
  }
}
