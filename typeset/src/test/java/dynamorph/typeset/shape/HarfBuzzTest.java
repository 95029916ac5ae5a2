package dynamorph.typeset.shape;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;
import static org.junit.jupiter.api.Assumptions.assumeTrue;

import dynamorph.model.cascade.FontRequest;
import dynamorph.model.value.FeatureSettings;
import dynamorph.model.value.Kerning;
import dynamorph.model.value.ScriptPosition;
import dynamorph.model.value.Slant;
import dynamorph.model.value.TateChuYoko;
import dynamorph.model.value.TextCase;
import dynamorph.model.value.TextOrientation;
import dynamorph.typeset.Setting;
import dynamorph.typeset.font.FontFace;
import dynamorph.typeset.font.FontLibrary;
import dynamorph.typeset.harfbuzz.HarfBuzzShaper;
import java.io.IOException;
import java.io.InputStream;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.StandardCopyOption;
import java.util.ArrayList;
import java.util.List;
import java.util.Random;
import java.util.concurrent.TimeUnit;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;

class HarfBuzzTest {
  private static final List<String> WORDS =
      List.of(
          "AVATAR",
          "office",
          "ffi",
          "To",
          "W.",
          "fjord",
          "Qu",
          "1/2",
          "(it)",
          "\u201CTy\u201D",
          "f",
          "a\u0301e",
          "\u0391\u03C5\u03C4\u03CC",
          "\u0413\u0434\u0435",
          "42nd",
          "--",
          "fi\u00ADn",
          "Th",
          "ct",
          "st",
          "V\u00E1\u0161");

  private final FontLibrary fonts = Setting.fonts();

  private ShapedParagraph shape(String text, String family, FeatureSettings features) {
    ShapeKey.SpanType type =
        new ShapeKey.SpanType(
            text.length(),
            FontRequest.of(family, 400, Slant.UPRIGHT),
            false,
            Kerning.METRICS,
            TextCase.AS_TYPED,
            ScriptPosition.NORMAL,
            features,
            TextOrientation.MIXED,
            TateChuYoko.NONE,
            "en",
            false);
    return new ParagraphShaper(fonts).shape(new ShapeKey(text, List.of(type)));
  }

  /** Words that are shaped once and remembered give what the whole line gives. */
  @ParameterizedTest
  @ValueSource(
      strings = {"EB Garamond", "Source Sans 3", "Anton", "Barlow Condensed", "Caveat", "Amiri"})
  void wordByWordIsTheSameAsTheWhole(String family) {
    Random random = new Random(family.hashCode());
    for (int round = 0; round < 60; round++) {
      StringBuilder text = new StringBuilder();
      for (int word = 0; word < 8; word++) {
        text.append(WORDS.get(random.nextInt(WORDS.size())))
            .append(random.nextInt(9) == 0 ? "  " : " ");
      }
      FeatureSettings features =
          switch (random.nextInt(3)) {
            case 0 -> FeatureSettings.NONE;
            case 1 -> FeatureSettings.parse("smcp, onum");
            default -> FeatureSettings.parse("dlig, frac, -kern");
          };
      for (ShapedRun run : shape(text.toString(), family, features).runs()) {
        boolean named =
            text.substring(run.start(), run.end()).codePoints().anyMatch(Character::isLetter);
        if (!named) {
          continue; // takes its script from its neighbours
        }
        List<String> whole = whole(text.toString(), run, features);
        assertThat(glyphs(run)).as(text.toString()).isEqualTo(whole);
      }
    }
  }

  private static List<String> whole(String text, ShapedRun run, FeatureSettings features) {
    List<String> glyphs = new ArrayList<>();
    float unit = 1f / run.face().shaping().unitsPerEm();
    List<HarfBuzzShaper.Feature> on = new ArrayList<>();
    features
        .values()
        .forEach(
            (tag, value) -> on.add(new HarfBuzzShaper.Feature(tag, value, 0, Integer.MAX_VALUE)));
    String script =
        com.ibm.icu.lang.UScript.getShortName(
            text.substring(run.start(), run.end())
                .codePoints()
                .map(com.ibm.icu.lang.UScript::getScript)
                .filter(own -> own > com.ibm.icu.lang.UScript.INHERITED)
                .findFirst()
                .orElse(com.ibm.icu.lang.UScript.LATIN));
    try (HarfBuzzShaper shaper = new HarfBuzzShaper()) {
      shaper.text(text);
      shaper.shape(
          run.face().shaping(),
          run.start(),
          run.end(),
          run.rightToLeft()
              ? HarfBuzzShaper.Direction.RIGHT_TO_LEFT
              : HarfBuzzShaper.Direction.LEFT_TO_RIGHT,
          script,
          "en",
          on,
          (count, infos, positions) -> {
            for (int glyph = 0; glyph < count; glyph++) {
              int at = glyph * HarfBuzzShaper.STRIDE;
              glyphs.add(infos[at] + " " + positions[at] * unit);
            }
          });
    }
    return glyphs;
  }

  private static List<String> glyphs(ShapedRun run) {
    List<String> glyphs = new ArrayList<>();
    for (int glyph = 0; glyph < run.glyphs().length; glyph++) {
      glyphs.add((run.glyphs()[glyph] & 0xFFFF) + " " + run.glyphAdvances()[glyph]);
    }
    return glyphs;
  }

  /** What the shaper's own command says, where it is installed. */
  @ParameterizedTest
  @CsvSource({
    "EB Garamond, eb-garamond/EBGaramond_400Regular.ttf, office AVATAR To fjord, '', en, ltr",
    "EB Garamond, eb-garamond/EBGaramond_400Regular.ttf, Hours 1845, 'smcp,onum', en, ltr",
    "EB Garamond, eb-garamond/EBGaramond_400Regular.ttf, act strict, 'dlig=1,kern=0', en, ltr",
    "Caveat, caveat/Caveat_400Regular.ttf, wound every eight days, '', en, ltr",
    "Amiri, amiri/Amiri_400Regular.ttf, \u0633\u0627\u0639\u0629 \u0627\u0644\u0628\u0631\u062C, '', ar, rtl"
  })
  void glyphsAreThoseOfTheShapersOwnCommand(
      String family,
      String file,
      String text,
      String features,
      String language,
      String direction,
      @TempDir Path folder)
      throws Exception {
    assumeTrue(isThere("hb-shape"), "hb-shape is not installed");
    Path font = folder.resolve("font.ttf");
    try (InputStream stream =
        FontLibrary.class.getResourceAsStream("/dynamorph/typeset/fonts/" + file)) {
      Files.copy(stream, font, StandardCopyOption.REPLACE_EXISTING);
    }
    Process process =
        new ProcessBuilder(
                "hb-shape",
                "--no-glyph-names",
                "--no-clusters",
                "--direction=" + direction,
                "--language=" + language,
                "--features=" + features,
                font.toString(),
                text)
            .start();
    String said =
        new String(process.getInputStream().readAllBytes(), StandardCharsets.UTF_8).strip();
    process.waitFor(10, TimeUnit.SECONDS);
    ShapedParagraph shaped = shape(text, family, FeatureSettings.parse(features));
    List<String> expected = List.of(said.substring(1, said.length() - 1).split("\\|"));
    ShapedRun run = shaped.runs().getFirst();
    assertThat(shaped.runs()).hasSize(1);
    assertThat(run.glyphs()).hasSameSizeAs(expected);
    for (int glyph = 0; glyph < expected.size(); glyph++) {
      String[] sides = expected.get(glyph).split("[@+]");
      assertThat(run.glyphs()[glyph] & 0xFFFF).isEqualTo(Integer.parseInt(sides[0]));
      assertThat((double) run.glyphAdvances()[glyph] * run.face().shaping().unitsPerEm())
          .isEqualTo(Double.parseDouble(sides[sides.length - 1]), within(0.01));
    }
  }

  private static boolean isThere(String command) throws InterruptedException {
    try {
      return new ProcessBuilder(command, "--version").start().waitFor() == 0;
    } catch (IOException _) {
      return false;
    }
  }

  @Test
  void fontsSayWhatTheyHave() {
    FontFace garamond = fonts.match("EB Garamond", 400, Slant.UPRIGHT).face();
    assertThat(garamond.features()).containsKeys("smcp", "onum", "dlig", "ss01");
    assertThat(garamond.isKerned()).isTrue();
    assertThat(garamond.substitutes("sups", "123")).isTrue();
    assertThat(fonts.match("Caveat", 400, Slant.UPRIGHT).face().substitutes("sups", "x")).isFalse();
    assertThat(garamond.axes()).isEmpty();
    assertThat(garamond.lines().capHeight()).isEqualTo(0.65, within(0.05));
  }
}
