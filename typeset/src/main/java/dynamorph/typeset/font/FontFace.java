package dynamorph.typeset.font;

import static java.util.Objects.requireNonNull;

import dynamorph.model.value.Slant;
import dynamorph.typeset.harfbuzz.HarfBuzzFont;
import dynamorph.typeset.harfbuzz.HarfBuzzShaper;
import io.github.humbleui.skija.Data;
import io.github.humbleui.skija.Font;
import io.github.humbleui.skija.FontHinting;
import io.github.humbleui.skija.FontMetrics;
import io.github.humbleui.skija.Typeface;
import io.github.humbleui.types.Rect;
import java.nio.ByteBuffer;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.Set;
import java.util.SortedMap;
import java.util.concurrent.ConcurrentHashMap;
import java.util.concurrent.atomic.AtomicReferenceArray;
import java.util.stream.IntStream;
import org.jspecify.annotations.Nullable;

/**
 * One cut of a font family, at one place on its axes if it is variable. Its native parts belong to
 * the {@link FontLibrary} that made this face; it may be used from any thread until the library is
 * closed.
 */
public final class FontFace {
  /** The size at which metrics are read: large, so that nothing is rounded to a pixel grid. */
  public static final float METRICS_SIZE = 1000;

  private static final int PAGE = 256;
  private static final int PAGES = 0x110000 / PAGE;

  /** Where OS/2 has the square of letters, if the two are an em apart (OpenType, sTypoAscender). */
  private static final int TYPO_ASCENDER = 68;

  private static final int TYPO_DESCENDER = 70;

  /** Where OS/2 has how far letters reach on a screen (OpenType, usWinAscent, usWinDescent). */
  private static final int WIN_ASCENT = 74;

  private static final int WIN_DESCENT = 76;

  /** Tables with glyphs that are more than contours. */
  private static final List<String> COLOURS = List.of("COLR", "CBDT", "sbix", "SVG ");

  /** The bits of fsType that say how a font may be used, and those that forbid to embed it. */
  private static final int USAGE = 0x0F;

  private static final int RESTRICTED = 0x02;

  private final String family;
  private final double weight;
  private final Slant slant;
  private final Typeface typeface;
  private final HarfBuzzFont shaping;
  private final LineMetrics lines;
  private final double ascent;
  private final double descent;
  private final double centre;
  private final AtomicReferenceArray<short[]> glyphs = new AtomicReferenceArray<>(PAGES);
  private final Map<String, Optional<String>> examples = new ConcurrentHashMap<>();
  private final Map<String, Boolean> substitutes = new ConcurrentHashMap<>();
  private final SortedMap<String, String> features;
  private final boolean kerned;
  private final boolean colourful;
  private volatile @Nullable Set<String> featuresOfSpace;

  /** Where the font wants lines, in em: offsets are of their upper edge, above the baseline. */
  public record LineMetrics(
      double underline,
      double underlineWidth,
      double strike,
      double strikeWidth,
      double capHeight,
      double xHeight) {}

  FontFace(String family, double weight, Slant slant, Typeface typeface, HarfBuzzFont shaping) {
    this.family = family;
    this.weight = weight;
    this.slant = slant;
    this.typeface = typeface;
    this.shaping = shaping;
    this.features = java.util.Collections.unmodifiableSortedMap(shaping.features());
    this.kerned = features.containsKey("kern") || shaping.hasTable("kern");
    this.colourful = COLOURS.stream().anyMatch(shaping::hasTable);
    try (Font font = font(METRICS_SIZE)) {
      FontMetrics metrics = font.getMetrics();
      this.ascent = -metrics.getAscent() / METRICS_SIZE;
      this.descent = metrics.getDescent() / METRICS_SIZE;
    }
    this.centre = middle();
    double xHeight = metric("xhgt", 0.5);
    this.lines =
        new LineMetrics(
            metric("undo", -0.1),
            metric("unds", 0.05),
            metric("stro", xHeight * 0.55),
            metric("strs", 0.05),
            metric("cpht", 0.7),
            xHeight);
  }

  /** The middle of the square of East Asian letters; of other fonts their central baseline. */
  private double middle() {
    boolean square = shaping.glyph(0x3042) != 0 || shaping.glyph(0x6C34) != 0;
    if (square && typeface.getTableSize("OS/2") >= TYPO_DESCENDER + 2) {
      try (Data data = requireNonNull(typeface.getTableData("OS/2"))) {
        ByteBuffer table = ByteBuffer.wrap(data.getBytes());
        int both = table.getShort(TYPO_ASCENDER) + table.getShort(TYPO_DESCENDER);
        int high = table.getShort(TYPO_ASCENDER) - table.getShort(TYPO_DESCENDER);
        if (high == shaping.unitsPerEm()) {
          return both / 2.0 / shaping.unitsPerEm();
        }
      }
    }
    return shaping.centralBaseline();
  }

  /**
   * The height of the cell that a letter stands in, in em: what usWinAscent and usWinDescent of
   * OS/2 make together, or ascent and descent where the font has none. Sizes of some formats count
   * cells instead of ems.
   */
  public double cellHeight() {
    if (typeface.getTableSize("OS/2") >= WIN_DESCENT + 2) {
      try (Data data = requireNonNull(typeface.getTableData("OS/2"))) {
        ByteBuffer table = ByteBuffer.wrap(data.getBytes());
        int both =
            Short.toUnsignedInt(table.getShort(WIN_ASCENT))
                + Short.toUnsignedInt(table.getShort(WIN_DESCENT));
        if (both > 0) {
          return (double) both / shaping.unitsPerEm();
        }
      }
    }
    return ascent + descent;
  }

  private double metric(String tag, double otherwise) {
    OptionalDouble value = shaping.metric(tag);
    return value.isPresent() && value.getAsDouble() != 0
        ? value.getAsDouble() / shaping.unitsPerEm()
        : otherwise;
  }

  public String family() {
    return family;
  }

  public double weight() {
    return weight;
  }

  public Slant slant() {
    return slant;
  }

  /** Height above the baseline, in em. */
  public double ascent() {
    return ascent;
  }

  /** Depth below the baseline, in em. */
  public double descent() {
    return descent;
  }

  public LineMetrics lines() {
    return lines;
  }

  public Typeface typeface() {
    return typeface;
  }

  /** Whether glyphs may have colours of their own, or be pictures. */
  public boolean isColourful() {
    return colourful;
  }

  /** What HarfBuzz shapes this face with. */
  public HarfBuzzFont shaping() {
    return shaping;
  }

  /**
   * The features of the font by tag, each with the name that the font itself gives it; empty if it
   * gives none.
   */
  public SortedMap<String, String> features() {
    return features;
  }

  public boolean has(String feature) {
    return features.containsKey(feature);
  }

  /** Whether the font says how pairs of letters are kerned. */
  public boolean isKerned() {
    return kerned;
  }

  /**
   * Whether its maker lets it be embedded in documents (OpenType 1.9, OS/2 fsType: 2 forbids it).
   */
  public boolean mayBeEmbedded() {
    return mayBeEmbedded(typeface);
  }

  static boolean mayBeEmbedded(Typeface typeface) {
    if (typeface.getTableSize("OS/2") < 10) {
      return true;
    }
    try (Data table = requireNonNull(typeface.getTableData("OS/2"))) {
      return (table.getBytes()[9] & USAGE) != RESTRICTED;
    }
  }

  /** Whether all letters have one width. */
  public boolean isFixedPitch() {
    return haveOneWidth("iWm.");
  }

  /** Whether all figures have one width, so that they stand in columns. */
  public boolean hasTabularFigures() {
    return haveOneWidth("0123456789");
  }

  private boolean haveOneWidth(String letters) {
    // a font of another script has none of them, and nothing is known from that
    return letters.codePoints().allMatch(this::covers)
        && letters.codePoints().map(letter -> shaping.advance(glyph(letter))).distinct().count()
            == 1;
  }

  /** The axes of a variable font. */
  public List<HarfBuzzFont.Axis> axes() {
    return shaping.axes();
  }

  /** Places on the axes that the font has names for. */
  public List<HarfBuzzFont.Instance> instances() {
    return shaping.instances();
  }

  /**
   * The features in which the space takes part; with none of them on, words can be shaped one by
   * one.
   */
  public Set<String> featuresOfSpace() {
    Set<String> known = featuresOfSpace;
    if (known == null) {
      known = new HashSet<>();
      for (String table : List.of("GSUB", "GPOS")) {
        if (typeface.getTableSize(table) > 0) {
          try (Data data = requireNonNull(typeface.getTableData(table))) {
            known.addAll(
                SpaceFeatures.features(data.getBytes(), table.equals("GPOS"), glyph(' '))
                    .orElse(features.keySet()));
          }
        }
      }
      if (shaping.hasTable("kern") || shaping.hasTable("morx")) {
        known.add("kern");
      }
      featuresOfSpace = known;
    }
    return known;
  }

  /** Whether the font has a glyph of its own for the code point. */
  public boolean covers(int codePoint) {
    return glyph(codePoint) != 0;
  }

  /** The glyph of a code point by itself, as an unsigned number; 0 if there is none. */
  public int glyph(int codePoint) {
    short[] page = glyphs.get(codePoint / PAGE);
    if (page == null) {
      int[] wanted = new int[PAGE];
      java.util.Arrays.setAll(wanted, index -> codePoint / PAGE * PAGE + index);
      page = typeface.getUTF32Glyphs(wanted);
      glyphs.set(codePoint / PAGE, page);
    }
    return page[codePoint % PAGE] & 0xFFFF;
  }

  /** Whether a feature gives every letter of the words another glyph. */
  public boolean substitutes(String feature, String words) {
    return has(feature)
        && words
            .codePoints()
            .filter(letter -> !Character.isWhitespace(letter))
            .allMatch(letter -> substitutes(feature, letter));
  }

  private boolean substitutes(String feature, int letter) {
    return substitutes.computeIfAbsent(
        feature + letter,
        _ ->
            !glyphs(Character.toString(letter), feature, 1)
                .equals(glyphs(Character.toString(letter), feature, 0)));
  }

  /**
   * The box around the contours of a glyph, in em from its origin, y down: left, top, right,
   * bottom.
   */
  public double[] ink(int glyph) {
    try (Font font = font(METRICS_SIZE)) {
      Rect box = font.getBounds(new short[] {(short) glyph})[0];
      return new double[] {
        box.getLeft() / METRICS_SIZE,
        box.getTop() / METRICS_SIZE,
        box.getRight() / METRICS_SIZE,
        box.getBottom() / METRICS_SIZE
      };
    }
  }

  /** Whether the font has another glyph for a letter in vertical lines. */
  public boolean hasVerticalForm(int codePoint) {
    return substitutes.computeIfAbsent(
        "vertical" + codePoint,
        _ -> {
          String letter = Character.toString(codePoint);
          // signs of no script of their own; fonts may tell their forms for East Asian ones alone
          return !glyphs(letter, "Kana", List.of(), HarfBuzzShaper.Direction.TOP_TO_BOTTOM)
              .equals(glyphs(letter, "Kana", List.of(), HarfBuzzShaper.Direction.LEFT_TO_RIGHT));
        });
  }

  /**
   * How far the middle of the letters lies above the baseline, in em: of the square that East Asian
   * fonts tell in OS/2, else the central baseline of BASE, or that of ascent and descent.
   */
  public double centre() {
    return centre;
  }

  /** The glyphs of a few letters with a feature set. */
  public List<Integer> glyphs(String letters, String feature, int value) {
    List<HarfBuzzShaper.Feature> set =
        List.of(new HarfBuzzShaper.Feature(feature, value, 0, Integer.MAX_VALUE));
    return glyphs(letters, "Latn", set, HarfBuzzShaper.Direction.LEFT_TO_RIGHT);
  }

  private List<Integer> glyphs(
      String letters,
      String script,
      List<HarfBuzzShaper.Feature> set,
      HarfBuzzShaper.Direction direction) {
    List<Integer> glyphs = new ArrayList<>();
    try (HarfBuzzShaper shaper = new HarfBuzzShaper()) {
      shaper.text(letters);
      shaper.shape(
          shaping,
          0,
          letters.length(),
          direction,
          script,
          "en",
          set,
          (count, infos, _) -> {
            for (int glyph = 0; glyph < count; glyph++) {
              glyphs.add(infos[glyph * HarfBuzzShaper.STRIDE]);
            }
          });
    }
    return glyphs;
  }

  /** Letters that a feature may show in, the likeliest first. */
  private static final List<String> EXAMPLES =
      List.of(
          "fi", "ct", "st", "Th", "ffi", "Qu", "1/2", "1st", "0", "1", "3", "7", "Q", "R", "K", "A",
          "B", "C", "D", "E", "F", "G", "H", "I", "J", "L", "M", "N", "O", "P", "S", "T", "U", "V",
          "W", "X", "Y", "Z", "a", "b", "c", "d", "e", "f", "g", "h", "i", "j", "k", "l", "m", "n",
          "o", "p", "q", "r", "s", "t", "u", "v", "w", "x", "y", "z", "&", "(H)", "H-H", "\u2022",
          "\u00DF", "\u00E5", "fj", "tt", "gg", "\u017Ft", "\u017Fi", "ck", "tz", "ll", "sp");

  private boolean shows(String feature, String letters) {
    return !glyphs(letters, feature, 1).equals(glyphs(letters, feature, 0));
  }

  /** Letters that look otherwise with a feature; empty if none of the usual ones do. */
  public Optional<String> example(String feature) {
    return examples.computeIfAbsent(
        feature,
        tag ->
            EXAMPLES.stream()
                .filter(letters -> shows(tag, letters))
                .findFirst()
                .or(() ->
                    IntStream.range(0xA1, 0x2FFF)
                        .filter(this::covers)
                        .mapToObj(Character::toString)
                        .filter(letter -> shows(tag, letter))
                        .findFirst()));
  }

  /**
   * This face at a size, unhinted and placed on fractions of a pixel, so that letters keep their
   * shape and place at every zoom. The caller closes it.
   */
  public Font font(float size) {
    return new Font(typeface, size)
        .setSubpixel(true)
        .setMetricsLinear(true)
        .setBaselineSnapped(false)
        .setHinting(FontHinting.NONE);
  }

  @Override
  public String toString() {
    return family + " " + Math.round(weight) + (slant == Slant.ITALIC ? " italic" : "");
  }
}
