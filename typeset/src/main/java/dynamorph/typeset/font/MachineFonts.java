package dynamorph.typeset.font;

import static java.util.Objects.requireNonNull;

import dynamorph.model.cascade.FontRequest;
import dynamorph.model.value.Slant;
import io.github.humbleui.skija.Data;
import io.github.humbleui.skija.FontMgr;
import io.github.humbleui.skija.FontStyle;
import io.github.humbleui.skija.FontVariation;
import io.github.humbleui.skija.Typeface;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.SortedMap;
import java.util.TreeMap;
import java.util.concurrent.ConcurrentHashMap;
import java.util.stream.IntStream;
import java.util.stream.Stream;

/** The fonts that are installed on the machine. Safe on any thread. */
final class MachineFonts {
  /** Makes a face that is released with those of its library. */
  interface Maker {
    FontFace face(
        String family,
        double weight,
        Slant slant,
        Typeface typeface,
        byte[] bytes,
        Map<String, Double> place);
  }

  /**
   * What the machine is asked for.
   *
   * @param language tag of what the letters belong to; empty for any
   */
  private record Sought(int codePoint, double weight, Slant slant, String language) {}

  private final Map<String, FontFace> faces = new ConcurrentHashMap<>();
  private final Map<Sought, Optional<FontFace>> fallbacks = new ConcurrentHashMap<>();
  private final Maker maker;

  MachineFonts(Maker maker) {
    this.maker = maker;
  }

  /** Names of all families. */
  Stream<String> families() {
    FontMgr machine = FontMgr.getDefault();
    return IntStream.range(0, machine.getFamiliesCount())
        .mapToObj(machine::getFamilyName)
        .filter(Objects::nonNull);
  }

  /** The face of a family; empty if the family itself is not there. */
  Optional<FontFace> face(FontRequest wanted) {
    FontStyle style = MachineStyle.of(wanted.weight(), wanted.width(), wanted.slant());
    Typeface typeface = FontMgr.getDefault().matchFamilyStyle(wanted.family(), style);
    // a fontconfig alias may answer for a name that is not there; only the family itself counts
    if (typeface == null || !isNamed(typeface, wanted.family())) {
      return Optional.empty();
    }
    FontFace plain = face(typeface, Map.of());
    Map<String, Double> place = FontLibrary.place(plain, wanted);
    return Optional.of(place.isEmpty() ? plain : face(plain.typeface(), place));
  }

  /** A condensed family may call itself by the name of the family that it belongs to. */
  private boolean isNamed(Typeface typeface, String family) {
    if (family.equalsIgnoreCase(typeface.getFamilyName())) {
      return true;
    }
    return families().anyMatch(family::equalsIgnoreCase);
  }

  /**
   * Who draws a code point, in the weight and slant that are wished.
   *
   * @param language tag of what it belongs to; empty for any
   */
  Optional<FontFace> fallback(int codePoint, FontRequest wish, String language) {
    return fallbacks.computeIfAbsent(
        new Sought(codePoint, wish.weight(), wish.slant(), language), this::ask);
  }

  private Optional<FontFace> ask(Sought sought) {
    FontStyle style = MachineStyle.of(sought.weight, MachineStyle.NORMAL_WIDTH, sought.slant);
    String[] languages = sought.language.isEmpty() ? new String[0] : new String[] {sought.language};
    Typeface typeface =
        FontMgr.getDefault().matchFamilyStyleCharacter(null, style, languages, sought.codePoint);
    return Optional.ofNullable(typeface).map(found -> face(found, Map.of()));
  }

  private FontFace face(Typeface typeface, Map<String, Double> place) {
    FontStyle actual = typeface.getFontStyle();
    String key =
        typeface.getFamilyName()
            + actual.getWeight()
            + actual.getSlant()
            + actual.getWidth()
            + place;
    return faces.computeIfAbsent(
        key,
        _ -> {
          Map<String, Double> at = new TreeMap<>();
          Optional.ofNullable(typeface.getVariations()).stream()
              .flatMap(Stream::of)
              .forEach(axis -> at.put(axis.getTag(), (double) axis.getValue()));
          at.putAll(place);
          Typeface varied = place.isEmpty() ? typeface : cloned(typeface, at);
          double weight = at.getOrDefault("wght", (double) actual.getWeight());
          String family = FontReader.family(typeface, key);
          return maker.face(
              family, weight, FontLibrary.slant(actual), varied, fileOf(typeface), at);
        });
  }

  /** The same font at another place on its axes. */
  static Typeface cloned(Typeface typeface, Map<String, Double> place) {
    return typeface.makeClone(
        place.entrySet().stream()
            .map(axis -> new FontVariation(axis.getKey(), axis.getValue().floatValue()))
            .toArray(FontVariation[]::new));
  }

  /**
   * A font of the machine as a font file of its own, put together from its tables: it may be part
   * of a collection, and where its file lies is not told.
   */
  private static byte[] fileOf(Typeface typeface) {
    SortedMap<String, byte[]> tables = new TreeMap<>();
    for (String tag : typeface.getTableTags()) {
      try (Data data = requireNonNull(typeface.getTableData(tag))) {
        tables.put(tag, data.getBytes());
      }
    }
    return FontFile.of(tables);
  }
}
