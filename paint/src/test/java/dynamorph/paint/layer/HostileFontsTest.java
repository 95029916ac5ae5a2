package dynamorph.paint.layer;

import static org.assertj.core.api.Assertions.assertThat;

import dynamorph.model.Asset;
import dynamorph.model.Layer;
import dynamorph.model.property.Properties;
import dynamorph.model.property.PropertySet;
import dynamorph.model.value.Slant;
import dynamorph.paint.Painting;
import dynamorph.paint.Pixels;
import dynamorph.paint.scene.SceneMaker;
import dynamorph.paint.stage.StageRenderer;
import dynamorph.paint.stage.View;
import dynamorph.typeset.font.DamagedFontException;
import dynamorph.typeset.font.FontFace;
import dynamorph.typeset.font.FontFamily;
import dynamorph.typeset.font.FontLibrary;
import dynamorph.typeset.layout.Typesetter;
import java.io.IOException;
import java.io.InputStream;
import java.nio.ByteBuffer;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Map;
import java.util.Random;
import java.util.TreeMap;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.condition.EnabledIfSystemProperty;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

/**
 * Fonts that were damaged, by chance or on purpose, are told or used, and hinder nothing. With
 * {@code -Dfonts.corpus=FOLDER} all files of a folder are tried, such as the fonts in the tests of
 * HarfBuzz; with {@code -Dfonts.spoiled=COUNT} so many of each family.
 */
class HostileFontsTest {
  /** Letters of scripts that shape, marks, ligatures, fractions, figures, an emoji, and spaces. */
  private static final String WORDS =
      """
      AVA fi ffi 1/2 To\u0301 \u0627\u0644\u0633\u0644\u0627\u0645 \u0915\u094D\u0937 \
      \u0E01\u0E33 \u3042\u65E5 \uD83D\uDE00\uFE0F \u05D0\u05B8 \uAC00 \
      \u1780\u17D2\u1798 \u1000\u1039\u1000 AB AB\
      """;

  /** Chooses the font, looks at all that it offers, sets words in it and draws them. */
  private static void use(byte[] bytes) {
    Asset asset = new Asset("fonts/F.ttf", bytes);
    try (FontLibrary fonts = FontLibrary.forProject(List.of(asset))) {
      for (DamagedFontException told : fonts.damaged()) {
        assertThat(told).hasMessageStartingWith("assets/fonts/F.ttf: ");
      }
      for (FontFamily family : fonts.families()) {
        if (family.origin() == FontFamily.Origin.PROJECT) {
          fonts.facts(family.name());
          FontFace face = fonts.match(family.name(), 700, Slant.ITALIC).face();
          face.features().keySet().forEach(face::example);
          face.instances();
          draw(fonts, family.name());
        }
      }
    }
  }

  private static Pixels draw(FontLibrary fonts, String family) {
    PropertySet local = PropertySet.EMPTY.with(Properties.FONT_FAMILY, family);
    Layer text = Painting.text("t", WORDS, local);
    Pixels pixels = Pixels.blank(200, 100);
    LayerPainter painter = new LayerPainter();
    SceneMaker maker = new SceneMaker(new Typesetter(fonts), painter);
    try (StageRenderer renderer = new StageRenderer(painter, Runnable::run, 0)) {
      renderer.render(
          maker.make(Painting.project(text)),
          new View(200, 100, 1, 0, 0),
          Painting.SURROUND,
          pixels,
          () -> false);
    }
    return pixels;
  }

  static byte[] shipped(String file) throws IOException {
    try (InputStream stream =
        HostileFontsTest.class.getResourceAsStream("/dynamorph/typeset/fonts/" + file)) {
      return stream.readAllBytes();
    }
  }

  /** Some bytes of one of its tables, or where one of them lies. */
  private static byte[] spoiled(byte[] font, Random random) {
    byte[] spoiled = font.clone();
    ByteBuffer file = ByteBuffer.wrap(spoiled);
    int record = 12 + 16 * random.nextInt(file.getShort(4));
    if (random.nextInt(6) == 0) {
      file.putInt(record + (random.nextBoolean() ? 8 : 12), random.nextInt());
      return spoiled;
    }
    int begin = file.getInt(record + 8);
    int length = file.getInt(record + 12);
    for (int change = random.nextInt(1, 12); change > 0; change--) {
      int within = random.nextBoolean() ? length : Math.min(length, 64);
      int at = Math.min(begin + random.nextInt(within), spoiled.length - 1);
      spoiled[at] = (byte) (random.nextBoolean() ? random.nextInt() : 0xFF * random.nextInt(2));
    }
    return random.nextInt(8) == 0
        ? Arrays.copyOf(spoiled, random.nextInt(spoiled.length))
        : spoiled;
  }

  @ParameterizedTest
  @ValueSource(strings = {"anton/Anton_400Regular.ttf", "caveat/Caveat_400Regular.ttf"})
  void spoiledFontsAreToldOrUsed(String file) throws IOException {
    byte[] font = shipped(file);
    Random random = new Random(file.hashCode());
    for (int round = Integer.getInteger("fonts.spoiled", 20); round > 0; round--) {
      byte[] spoiled = spoiled(font, random);
      try {
        use(spoiled);
      } catch (RuntimeException | Error failed) {
        Path kept = Files.createTempFile("spoiled-", ".ttf");
        Files.write(kept, spoiled);
        throw new AssertionError("kept as " + kept, failed);
      }
    }
  }

  /** The family chooser looked at the outlines of letters that had none, and the program ended. */
  @Test
  void aFontOfColouredLayersCanBeChosen() throws IOException {
    byte[] font = shipped("anton/Anton_400Regular.ttf");
    short letter;
    try (FontLibrary fonts = FontLibrary.shipped()) {
      letter = (short) fonts.match("Anton", 400, Slant.UPRIGHT).face().glyph('l');
    }
    use(withColours(font, letter));
  }

  /** With one layer of one colour for a glyph (OpenType, COLR version 0 and CPAL). */
  static byte[] withColours(byte[] font, short glyph) {
    ByteBuffer layers = ByteBuffer.allocate(24);
    layers.putShort((short) 0).putShort((short) 1).putInt(14).putInt(20).putShort((short) 1);
    layers.putShort(glyph).putShort((short) 0).putShort((short) 1);
    layers.putShort(glyph).putShort((short) 0);
    ByteBuffer palette = ByteBuffer.allocate(20);
    palette.putShort((short) 0).putShort((short) 1).putShort((short) 1).putShort((short) 1);
    palette.putInt(14).putShort((short) 0).putInt(0x2040C0FF);
    return with(font, Map.of("COLR", layers.array(), "CPAL", palette.array()));
  }

  /** A font with more tables, which lie behind what it has; its directory moves behind them. */
  private static byte[] with(byte[] font, Map<String, byte[]> more) {
    ByteBuffer from = ByteBuffer.wrap(font);
    TreeMap<String, int[]> directory = new TreeMap<>();
    int added = 16 * more.size();
    for (int table = 0; table < from.getShort(4); table++) {
      int record = 12 + 16 * table;
      String tag = new String(font, record, 4, StandardCharsets.ISO_8859_1);
      int[] place = {from.getInt(record + 8) + added, from.getInt(record + 12)};
      directory.put(tag, place);
    }
    int end = font.length + added;
    for (Map.Entry<String, byte[]> table : more.entrySet()) {
      directory.put(table.getKey(), new int[] {end, table.getValue().length});
      end += table.getValue().length;
    }
    ByteBuffer to = ByteBuffer.allocate(end);
    to.put(font, 0, 4).putShort((short) directory.size()).put(font, 6, 6);
    directory.forEach((tag, place) ->
        to.put(tag.getBytes(StandardCharsets.ISO_8859_1))
            .putInt(0)
            .putInt(place[0])
            .putInt(place[1]));
    to.put(font, 12 + 16 * from.getShort(4), font.length - 12 - 16 * from.getShort(4));
    more.forEach((tag, bytes) -> to.put(directory.get(tag)[0], bytes));
    return to.array();
  }

  @Test
  @EnabledIfSystemProperty(named = "fonts.corpus", matches = ".+")
  void everyFontOfAFolderIsToldOrUsed() throws IOException {
    List<String> failures = new ArrayList<>();
    try (Stream<Path> files = Files.walk(Path.of(System.getProperty("fonts.corpus")))) {
      for (Path file : files.filter(Files::isRegularFile).sorted().toList()) {
        try {
          use(Files.readAllBytes(file));
        } catch (RuntimeException | Error failed) {
          failures.add(file.getFileName() + ": " + failed);
        }
      }
    }
    assertThat(failures).isEmpty();
  }
}
