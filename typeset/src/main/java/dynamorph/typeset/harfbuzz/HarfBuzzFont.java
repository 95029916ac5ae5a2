package dynamorph.typeset.harfbuzz;

import static java.lang.foreign.ValueLayout.JAVA_FLOAT;
import static java.lang.foreign.ValueLayout.JAVA_INT;

import java.lang.foreign.Arena;
import java.lang.foreign.MemorySegment;
import java.lang.foreign.ValueLayout;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.SortedMap;

/**
 * A font that HarfBuzz shapes with, at one place on its axes. Lengths are in font units. Any number
 * of threads may shape with it at once; close it when none does any more.
 */
public final class HarfBuzzFont implements AutoCloseable {
  /** An axis of a variable font, from {@code least} to {@code most}. */
  public record Axis(String tag, String name, double least, double normal, double most) {}

  /** A place on the axes that the font has a name for. */
  public record Instance(String name, Map<String, Double> place) {}

  private static final int GSUB = Library.tag("GSUB");
  private static final int GPOS = Library.tag("GPOS");
  private static final int AXIS_BYTES = 32;
  private static final int NO_NAME = 0xFFFF;
  private static final int READ_ONLY = 1;

  private final Arena arena = Arena.ofShared();
  private final MemorySegment face;
  private final MemorySegment font;
  private final int units;

  /**
   * @param bytes a font file
   * @param index which font of a collection
   * @param place coordinates on the axes by tag; others stay at their normal place
   */
  public HarfBuzzFont(byte[] bytes, int index, Map<String, Double> place) {
    MemorySegment copy = arena.allocate(bytes.length);
    MemorySegment.copy(bytes, 0, copy, ValueLayout.JAVA_BYTE, 0, bytes.length);
    try {
      MemorySegment blob =
          (MemorySegment)
              Library.BLOB_CREATE.invokeExact(
                  copy, bytes.length, READ_ONLY, MemorySegment.NULL, MemorySegment.NULL);
      face = (MemorySegment) Library.FACE_CREATE.invokeExact(blob, index);
      Library.BLOB_DESTROY.invokeExact(blob);
      font = (MemorySegment) Library.FONT_CREATE.invokeExact(face);
      units = (int) Library.FACE_UNITS.invokeExact(face);
      if (!place.isEmpty()) {
        vary(place);
      }
      Library.FONT_FREEZE.invokeExact(font);
    } catch (Throwable failed) {
      throw unexpected(failed);
    }
  }

  private void vary(Map<String, Double> place) throws Throwable {
    try (Arena local = Arena.ofConfined()) {
      MemorySegment variations = local.allocate(8L * place.size(), 4);
      int at = 0;
      for (Map.Entry<String, Double> axis : place.entrySet()) {
        variations.set(JAVA_INT, at, Library.tag(axis.getKey()));
        variations.set(JAVA_FLOAT, at + 4L, axis.getValue().floatValue());
        at += 8;
      }
      Library.FONT_VARIATIONS.invokeExact(font, variations, place.size());
    }
  }

  /** Font units of an em. */
  public int unitsPerEm() {
    return units;
  }

  /** The glyph of a code point by itself; 0 if there is none. */
  public int glyph(int codePoint) {
    try (Arena local = Arena.ofConfined()) {
      MemorySegment found = local.allocate(JAVA_INT);
      int is = (int) Library.FONT_NOMINAL_GLYPH.invokeExact(font, codePoint, found);
      return is == 0 ? 0 : found.get(JAVA_INT, 0);
    } catch (Throwable failed) {
      throw unexpected(failed);
    }
  }

  /** Width of a glyph by itself. */
  public int advance(int glyph) {
    try {
      return (int) Library.FONT_ADVANCE.invokeExact(font, glyph);
    } catch (Throwable failed) {
      throw unexpected(failed);
    }
  }

  /** A measure of the font by its OpenType metrics tag, such as {@code undo}. */
  public OptionalDouble metric(String tag) {
    try (Arena local = Arena.ofConfined()) {
      MemorySegment value = local.allocate(JAVA_INT);
      int is = (int) Library.METRIC.invokeExact(font, Library.tag(tag), value);
      return is == 0 ? OptionalDouble.empty() : OptionalDouble.of(value.get(JAVA_INT, 0));
    } catch (Throwable failed) {
      throw unexpected(failed);
    }
  }

  /**
   * Where the middle of upright letters of a vertical line lies, above the baseline in em: the
   * central baseline (OpenType BASE, Idce), worked out from other baselines or from ascent and
   * descent where the font does not say.
   */
  public double centralBaseline() {
    try (Arena local = Arena.ofConfined()) {
      MemorySegment place = local.allocate(JAVA_INT);
      Library.BASELINE.invokeExact(
          font,
          Library.tag("Idce"),
          HarfBuzzShaper.Direction.LEFT_TO_RIGHT.number(),
          Library.tag("DFLT"),
          Library.tag("dflt"),
          place);
      return place.get(JAVA_INT, 0) / (double) units;
    } catch (Throwable failed) {
      throw unexpected(failed);
    }
  }

  /** Whether the font has a table. */
  public boolean hasTable(String tag) {
    try {
      MemorySegment blob = (MemorySegment) Library.FACE_TABLE.invokeExact(face, Library.tag(tag));
      int length = (int) Library.BLOB_LENGTH.invokeExact(blob);
      Library.BLOB_DESTROY.invokeExact(blob);
      return length > 0;
    } catch (Throwable failed) {
      throw unexpected(failed);
    }
  }

  /**
   * The features that the font has, in the order of its tables, each with the name that the font
   * gives it; empty if it gives none.
   */
  public SortedMap<String, String> features() {
    SortedMap<String, String> features = new java.util.TreeMap<>();
    for (int table : new int[] {GSUB, GPOS}) {
      List<Integer> tags = featureTags(table);
      for (int index = 0; index < tags.size(); index++) {
        String tag = Library.letters(tags.get(index));
        if (features.getOrDefault(tag, "").isEmpty()) {
          features.put(tag, featureName(table, index).orElse(""));
        }
      }
    }
    return features;
  }

  private List<Integer> featureTags(int table) {
    try (Arena local = Arena.ofConfined()) {
      int most = 2048;
      MemorySegment count = local.allocateFrom(JAVA_INT, most);
      MemorySegment tags = local.allocate(JAVA_INT, most);
      int _ = (int) Library.FEATURE_TAGS.invokeExact(face, table, 0, count, tags);
      List<Integer> found = new ArrayList<>();
      for (int index = 0; index < count.get(JAVA_INT, 0); index++) {
        found.add(tags.getAtIndex(JAVA_INT, index));
      }
      return found;
    } catch (Throwable failed) {
      throw unexpected(failed);
    }
  }

  private Optional<String> featureName(int table, int index) {
    try (Arena local = Arena.ofConfined()) {
      MemorySegment label = local.allocateFrom(JAVA_INT, NO_NAME);
      MemorySegment other = local.allocate(JAVA_INT, 4);
      int is =
          (int)
              Library.FEATURE_NAMES.invokeExact(
                  face,
                  table,
                  index,
                  label,
                  other,
                  other.asSlice(4),
                  other.asSlice(8),
                  other.asSlice(12));
      return is == 0 ? Optional.empty() : name(label.get(JAVA_INT, 0));
    } catch (Throwable failed) {
      throw unexpected(failed);
    }
  }

  /** An entry of the name table in English, or as the font has it. */
  private Optional<String> name(int id) {
    if (id == NO_NAME || id < 0) {
      return Optional.empty();
    }
    try (Arena local = Arena.ofConfined()) {
      int most = 256;
      MemorySegment size = local.allocateFrom(JAVA_INT, most);
      MemorySegment text = local.allocate(ValueLayout.JAVA_CHAR, most);
      int _ = (int) Library.NAME.invokeExact(face, id, HarfBuzzShaper.language("en"), size, text);
      char[] units = new char[Math.clamp(size.get(JAVA_INT, 0), 0, most)];
      MemorySegment.copy(text, ValueLayout.JAVA_CHAR, 0, units, 0, units.length);
      return Optional.of(new String(units)).filter(name -> !name.isBlank());
    } catch (Throwable failed) {
      throw unexpected(failed);
    }
  }

  /** The axes of a variable font; empty for any other. */
  public List<Axis> axes() {
    try (Arena local = Arena.ofConfined()) {
      int most = 64;
      MemorySegment count = local.allocateFrom(JAVA_INT, most);
      MemorySegment infos = local.allocate((long) AXIS_BYTES * most, 4);
      int _ = (int) Library.AXES.invokeExact(face, 0, count, infos);
      List<Axis> axes = new ArrayList<>();
      for (int index = 0; index < count.get(JAVA_INT, 0); index++) {
        MemorySegment info = infos.asSlice((long) AXIS_BYTES * index, AXIS_BYTES);
        String tag = Library.letters(info.get(JAVA_INT, 4));
        axes.add(
            new Axis(
                tag,
                name(info.get(JAVA_INT, 8)).orElse(tag),
                info.get(JAVA_FLOAT, 16),
                info.get(JAVA_FLOAT, 20),
                info.get(JAVA_FLOAT, 24)));
      }
      return List.copyOf(axes);
    } catch (Throwable failed) {
      throw unexpected(failed);
    }
  }

  /** The places on the axes that the font has names for. */
  public List<Instance> instances() {
    List<Axis> axes = axes();
    try (Arena local = Arena.ofConfined()) {
      int many = (int) Library.INSTANCES.invokeExact(face);
      List<Instance> instances = new ArrayList<>();
      for (int index = 0; index < many; index++) {
        MemorySegment count = local.allocateFrom(JAVA_INT, axes.size());
        MemorySegment place = local.allocate(JAVA_FLOAT, Math.max(1, axes.size()));
        int _ = (int) Library.INSTANCE_PLACE.invokeExact(face, index, count, place);
        int id = (int) Library.INSTANCE_NAME.invokeExact(face, index);
        Map<String, Double> at = new LinkedHashMap<>();
        for (int axis = 0; axis < axes.size(); axis++) {
          at.put(axes.get(axis).tag(), (double) place.getAtIndex(JAVA_FLOAT, axis));
        }
        instances.add(new Instance(name(id).orElse("Instance " + (index + 1)), at));
      }
      return List.copyOf(instances);
    } catch (Throwable failed) {
      throw unexpected(failed);
    }
  }

  MemorySegment font() {
    return font;
  }

  @Override
  public void close() {
    try {
      Library.FONT_DESTROY.invokeExact(font);
      Library.FACE_DESTROY.invokeExact(face);
    } catch (Throwable failed) {
      throw unexpected(failed);
    }
    arena.close();
  }

  static IllegalStateException unexpected(Throwable failed) {
    if (failed instanceof Error error) {
      throw error;
    }
    return new IllegalStateException("HarfBuzz could not be called", failed);
  }
}
