package dynamorph.typeset.font;

import static java.util.Objects.requireNonNull;

import dynamorph.model.Asset;
import dynamorph.model.cascade.FontRequest;
import dynamorph.model.value.Slant;
import dynamorph.typeset.harfbuzz.HarfBuzzFont;
import io.github.humbleui.skija.FontSlant;
import io.github.humbleui.skija.FontStyle;
import io.github.humbleui.skija.Typeface;
import java.io.BufferedReader;
import java.io.IOException;
import java.io.InputStreamReader;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.TreeMap;
import java.util.concurrent.ConcurrentHashMap;
import java.util.stream.IntStream;
import java.util.stream.Stream;

/**
 * Finds faces. Families of the project come first, then the shipped ones, then those installed on
 * the machine. Safe on any thread; close it to release the native fonts.
 */
public final class FontLibrary implements AutoCloseable {
  static {
    Skia.ready();
  }

  /** What stands in for a family that is not there. */
  public static final String SUBSTITUTE = "Source Sans 3";

  /** Who is asked, in turn, for a glyph that a face lacks, before the machine is. */
  private static final List<String> FALLBACKS =
      List.of("Source Sans 3", "EB Garamond", "Amiri", "Noto Sans JP");

  /** One cut that can be loaded. */
  private record Cut(
      String family, int weight, Slant slant, FontFamily.Origin origin, Loader loader) {
    interface Loader {
      byte[] bytes() throws IOException;
    }
  }

  /** A cut at a place on its axes. */
  private record Placed(Cut cut, Map<String, Double> place) {}

  private final Map<String, List<Cut>> cuts = new LinkedHashMap<>();
  private final Map<Placed, FontFace> faces = new ConcurrentHashMap<>();
  private final Map<FontRequest, FontMatch> matches = new ConcurrentHashMap<>();
  private final Map<String, FontTraits> facts = new ConcurrentHashMap<>();
  private final List<AutoCloseable> owned =
      java.util.Collections.synchronizedList(new ArrayList<>());
  private final List<DamagedFontException> damaged = new ArrayList<>();
  private final Optional<MachineFonts> machine;

  private FontLibrary(List<Asset> projectFonts, boolean withInstalled) {
    this.machine = withInstalled ? Optional.of(new MachineFonts(this::face)) : Optional.empty();
    projectFonts.forEach(this::addProjectFont);
    readIndex();
  }

  /** Only the shipped fonts; the same on every machine. */
  public static FontLibrary shipped() {
    return new FontLibrary(List.of(), false);
  }

  /** The shipped fonts and those of the machine. */
  public static FontLibrary installed() {
    return new FontLibrary(List.of(), true);
  }

  /**
   * The shipped fonts, those of the machine and those that travel in a project. What stands in for
   * fonts of the project that cannot be read is asked for by {@link #damaged}.
   */
  public static FontLibrary forProject(List<Asset> assets) {
    return new FontLibrary(assets.stream().filter(Asset::isFont).toList(), true);
  }

  /** Fonts of the project that cannot be read, each with its file and the reason. */
  public List<DamagedFontException> damaged() {
    return List.copyOf(damaged);
  }

  /**
   * The family name that a font file gives itself.
   *
   * @throws DamagedFontException if it is empty or no font
   */
  public static String familyOf(String file, byte[] bytes) {
    try (Typeface typeface = FontReader.read(file, bytes)) {
      return FontReader.family(typeface, file);
    }
  }

  /** Whether the maker of a font lets it travel in documents, as {@link FontFace} tells. */
  public static boolean mayBeEmbedded(String file, byte[] bytes) {
    try (Typeface typeface = FontReader.read(file, bytes)) {
      return FontFace.mayBeEmbedded(typeface);
    }
  }

  /** The best face for what is asked; never fails, since something always stands in. */
  public FontMatch match(FontRequest wish) {
    FontMatch known = matches.get(wish);
    return known != null ? known : matches.computeIfAbsent(wish, this::find);
  }

  /** The best face of normal width for what is asked. */
  public FontMatch match(String family, double weight, Slant slant) {
    return match(FontRequest.of(family, weight, slant));
  }

  /** Whether a family of this name is there. */
  public boolean has(String family) {
    return cuts.containsKey(key(family)) || !match(family, 400, Slant.UPRIGHT).substituted();
  }

  /**
   * Who draws a code point that the face of a wish has no glyph for, in the weight and slant that
   * are wished, whichever of them that face has (CSS Fonts 4, 5.3). The families of the wish for
   * the script are asked first; those that are not there are passed over.
   *
   * @param script ISO 15924 code
   */
  public Optional<FontFace> fallback(int codePoint, FontRequest wish, String script) {
    for (String family : wish.fallback().of(script)) {
      FontMatch match = match(family, wish.weight(), wish.slant());
      if (!match.substituted() && match.face().covers(codePoint)) {
        return Optional.of(match.face());
      }
    }
    for (String family : FALLBACKS) {
      FontFace face = match(family, wish.weight(), wish.slant()).face();
      if (face.covers(codePoint)) {
        return Optional.of(face);
      }
    }
    return machine
        .flatMap(fonts -> fonts.fallback(codePoint, wish, ""))
        .filter(face -> face.covers(codePoint));
  }

  /**
   * Who draws a whole emoji sequence, in colours or without (UTS #51, 2.2): of the families of the
   * wish, those of the project, the shipped ones and those of the machine the first that has all
   * its signs and is of that kind.
   *
   * @param signs the code points of it that are to be seen
   */
  public Optional<FontFace> ofEmoji(int[] signs, boolean colourful, FontRequest wish) {
    Stream<String> own = wish.fallback().of(colourful ? "Zsye" : "Zsym").stream();
    Stream<String> project =
        cuts.values().stream()
            .map(List::getFirst)
            .filter(cut -> cut.origin == FontFamily.Origin.PROJECT)
            .map(Cut::family);
    Stream<FontFace> named =
        Stream.of(own, project, FALLBACKS.stream())
            .flatMap(families -> families)
            .map(family -> match(family, wish.weight(), wish.slant()))
            .filter(match -> !match.substituted())
            .map(FontMatch::face);
    String kind = colourful ? "und-Zsye" : "und-Zsym";
    Stream<FontFace> installed =
        machine.stream().flatMap(fonts -> fonts.fallback(signs[0], wish, kind).stream());
    return Stream.concat(named, installed)
        .filter(face -> face.isColourful() == colourful)
        .filter(face -> IntStream.of(signs).allMatch(face::covers))
        .findFirst();
  }

  /**
   * Every family that can be chosen, by name. Asks the machine; not for the interface thread the
   * first time.
   */
  public List<FontFamily> families() {
    Map<String, FontFamily> families = new TreeMap<>(String.CASE_INSENSITIVE_ORDER);
    machine.stream()
        .flatMap(MachineFonts::families)
        .forEach(name ->
            families.put(name, new FontFamily(name, FontFamily.Origin.INSTALLED, List.of(), true)));
    for (List<Cut> family : cuts.values()) {
      Cut first = family.getFirst();
      List<Integer> weights =
          family.stream()
              .filter(cut -> cut.slant == Slant.UPRIGHT)
              .map(Cut::weight)
              .sorted()
              .distinct()
              .toList();
      boolean italic = family.stream().anyMatch(cut -> cut.slant == Slant.ITALIC);
      families.put(first.family, new FontFamily(first.family, first.origin, weights, italic));
    }
    return List.copyOf(families.values());
  }

  /**
   * What asks for just the face that a font file holds, once the file is among the fonts of a
   * project.
   *
   * @throws DamagedFontException if it is empty or no font
   */
  public static FontRequest wishFor(String file, byte[] bytes) {
    try (Typeface typeface = FontReader.read(file, bytes)) {
      FontStyle style = typeface.getFontStyle();
      return FontRequest.of(FontReader.family(typeface, file), style.getWeight(), slant(style));
    }
  }

  static Slant slant(FontStyle style) {
    return style.getSlant() == FontSlant.UPRIGHT ? Slant.UPRIGHT : Slant.ITALIC;
  }

  /**
   * What a family is chosen by. Reads the font the first time; not for the interface thread.
   *
   * @throws DamagedFontException if the font cannot be read
   */
  public FontTraits facts(String family) {
    return facts.computeIfAbsent(
        key(family), _ -> FontTraits.of(match(family, 400, Slant.UPRIGHT).face()));
  }

  /**
   * The weights a family has, ascending; the hundreds of its axis for a variable font, and all
   * hundreds where the machine does not say.
   */
  public List<Integer> weights(String family) {
    List<Cut> known = cuts.get(key(family));
    Stream<Integer> hundreds = Stream.iterate(100, weight -> weight <= 900, weight -> weight + 100);
    if (known == null) {
      return hundreds.toList();
    }
    if (known.size() == 1) {
      for (HarfBuzzFont.Axis axis : match(family, 400, Slant.UPRIGHT).face().axes()) {
        if (axis.tag().equals("wght")) {
          return hundreds
              .filter(weight -> weight >= axis.least() && weight <= axis.most())
              .toList();
        }
      }
    }
    return known.stream().map(Cut::weight).sorted().distinct().toList();
  }

  private FontMatch find(FontRequest wanted) {
    List<Cut> family = cuts.get(key(wanted.family()));
    if (family != null) {
      return fromCuts(family, wanted, false);
    }
    return machine
        .flatMap(fonts -> fonts.face(wanted))
        .map(face -> new FontMatch(face, leans(wanted, face.slant()), false, wanted))
        .orElseGet(() -> fromCuts(requireNonNull(cuts.get(key(SUBSTITUTE))), wanted, true));
  }

  /**
   * The font file that a wish is taken from, of those that the program or the project brings; a
   * font of the machine is nobody's to hand on.
   */
  public Optional<FontCut> file(FontRequest wish) {
    List<Cut> family = cuts.get(key(wish.family()));
    if (family == null) {
      return Optional.empty();
    }
    Cut best = nearest(family, wish);
    List<Integer> weights = family.size() == 1 ? weights(best.family) : List.of(best.weight);
    try {
      return Optional.of(
          new FontCut(
              best.family, weights.getFirst(), weights.getLast(), best.slant, best.loader.bytes()));
    } catch (IOException unreadable) {
      throw new UncheckedIOException(unreadable);
    }
  }

  private static Cut nearest(List<Cut> family, FontRequest wanted) {
    Comparator<Cut> bySlant = Comparator.comparing(cut -> cut.slant != wanted.slant());
    Comparator<Cut> byWeight =
        Comparator.comparingDouble(cut -> Math.abs(cut.weight - wanted.weight()));
    // between two equally near cuts the heavier one serves heavy wishes, the lighter one light
    // wishes
    Comparator<Cut> tie =
        Comparator.comparingInt(cut -> wanted.weight() > 500 ? -cut.weight : cut.weight);
    return family.stream().min(bySlant.thenComparing(byWeight).thenComparing(tie)).orElseThrow();
  }

  private FontMatch fromCuts(List<Cut> family, FontRequest wanted, boolean substituted) {
    Cut best = nearest(family, wanted);
    FontFace plain = faces.computeIfAbsent(new Placed(best, Map.of()), this::open);
    Map<String, Double> place = place(plain, wanted);
    FontFace face =
        place.isEmpty() ? plain : faces.computeIfAbsent(new Placed(best, place), this::open);
    return new FontMatch(
        face, leans(wanted, best.slant) && !place.containsKey("slnt"), substituted, wanted);
  }

  private static boolean leans(FontRequest wanted, Slant actual) {
    return wanted.slant() == Slant.ITALIC && actual == Slant.UPRIGHT;
  }

  /** Where a variable font is taken for a wish; empty for any other font. */
  static Map<String, Double> place(FontFace plain, FontRequest wanted) {
    Map<String, Double> place = new TreeMap<>();
    for (HarfBuzzFont.Axis axis : plain.axes()) {
      Double value =
          switch (axis.tag()) {
            case "wght" -> wanted.weight();
            case "wdth" -> wanted.width();
            case "slnt" -> wanted.slant() == Slant.ITALIC ? axis.least() : axis.normal();
            case "ital" -> wanted.slant() == Slant.ITALIC ? axis.most() : axis.normal();
            default -> axis.normal();
          };
      double own = wanted.axes().values().getOrDefault(axis.tag(), value);
      double taken = Math.clamp(own, axis.least(), axis.most());
      if (taken != axis.normal()) {
        place.put(axis.tag(), taken);
      }
    }
    return place;
  }

  private FontFace open(Placed placed) {
    Cut cut = placed.cut;
    try {
      byte[] bytes = cut.loader.bytes();
      Typeface typeface = varied(FontReader.read(cut.family, bytes), placed.place);
      double weight = placed.place.getOrDefault("wght", (double) cut.weight);
      return face(cut.family, weight, cut.slant, typeface, bytes, placed.place);
    } catch (IOException unreadable) {
      throw new UncheckedIOException(unreadable);
    }
  }

  private static Typeface varied(Typeface typeface, Map<String, Double> place) {
    if (place.isEmpty()) {
      return typeface;
    }
    try (typeface) {
      return MachineFonts.cloned(typeface, place);
    }
  }

  private FontFace face(
      String family,
      double weight,
      Slant slant,
      Typeface typeface,
      byte[] bytes,
      Map<String, Double> place) {
    HarfBuzzFont shaping = new HarfBuzzFont(bytes, 0, place);
    owned.add(typeface);
    owned.add(shaping);
    return new FontFace(family, weight, slant, typeface, shaping);
  }

  private void addProjectFont(Asset asset) {
    String file = "assets/" + asset.name();
    try (Typeface typeface = FontReader.read(file, asset.bytes())) {
      FontStyle style = typeface.getFontStyle();
      String family = FontReader.family(typeface, file);
      Slant slant = slant(style);
      add(new Cut(family, style.getWeight(), slant, FontFamily.Origin.PROJECT, asset::bytes));
    } catch (DamagedFontException unreadable) {
      damaged.add(unreadable);
    }
  }

  private void readIndex() {
    try (BufferedReader lines =
        new BufferedReader(
            new InputStreamReader(ShippedFiles.open("index.txt"), StandardCharsets.UTF_8))) {
      lines
          .lines()
          .filter(line -> !line.startsWith("#"))
          .map(line -> line.split(" \\| "))
          .forEach(this::addShipped);
    } catch (IOException broken) {
      throw new UncheckedIOException(broken);
    }
  }

  private void addShipped(String[] columns) {
    String file = columns[3];
    Slant slant = columns[2].equals("italic") ? Slant.ITALIC : Slant.UPRIGHT;
    List<Cut> known = cuts.get(key(columns[0]));
    boolean hidden = known != null && known.getFirst().origin == FontFamily.Origin.PROJECT;
    if (!hidden) {
      add(
          new Cut(
              columns[0],
              Integer.parseInt(columns[1]),
              slant,
              FontFamily.Origin.SHIPPED,
              () -> ShippedFiles.bytes(file)));
    }
  }

  private void add(Cut cut) {
    cuts.computeIfAbsent(key(cut.family), _ -> new ArrayList<>()).add(cut);
  }

  private static String key(String family) {
    return family.strip().toLowerCase(java.util.Locale.ROOT);
  }

  @Override
  public void close() {
    for (AutoCloseable part : owned) {
      try {
        part.close();
      } catch (Exception failed) {
        throw new IllegalStateException("a font cannot be released", failed);
      }
    }
    owned.clear();
  }
}
