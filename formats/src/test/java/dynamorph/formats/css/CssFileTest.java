package dynamorph.formats.css;

import static org.assertj.core.api.Assertions.assertThat;

import dynamorph.model.edit.importing.StyleBundle;
import dynamorph.model.property.PropertySet;
import dynamorph.model.style.Style;
import dynamorph.model.style.StyleId;
import dynamorph.model.style.StyleLevel;
import dynamorph.model.style.Swatch;
import dynamorph.model.value.Rgba;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class CssFileTest {
  @TempDir Path folder;

  private static Style style(String id, Optional<String> base, Map<String, String> values) {
    return new Style(
        new StyleId(id),
        id,
        "",
        StyleLevel.TEXT,
        base.map(StyleId::new),
        PropertySet.parse(values),
        "");
  }

  private String sheet(List<String> remarks, Style... styles) throws IOException {
    Swatch orange = new Swatch("orange", "Museum orange", Rgba.parse("#d9622b"));
    Path file = folder.resolve("a.css");
    StyleBundle bundle = new StyleBundle(List.of(styles), List.of(orange), List.of());
    remarks.addAll(CssFile.write("A", bundle, Optional.empty(), file));
    return Files.readString(file);
  }

  /** The declarations of a class. */
  private static String rule(String sheet, String name) {
    int from = sheet.indexOf("." + name + " {");
    return sheet.substring(from, sheet.indexOf("}", from));
  }

  @Test
  void aClassHasWhatTheStyleAndItsBasesSet() throws IOException {
    List<String> remarks = new java.util.ArrayList<>();
    String sheet =
        sheet(
            remarks,
            style(
                "body",
                Optional.empty(),
                Map.of(
                    "font-family", "Alegreya \"Sans\"",
                    "size", "20 pt",
                    "leading", "140 %",
                    "finish/fill/colour", "swatch:orange")),
            style(
                "2-loud",
                Optional.of("body"),
                Map.ofEntries(
                    Map.entry("size", "\u00d71.5"),
                    Map.entry("slant", "italic"),
                    Map.entry("tracking", "-20"),
                    Map.entry("case", "all-small-capitals"),
                    Map.entry("figure-style", "old-style"),
                    Map.entry("ligatures", "false"),
                    Map.entry("stylistic-sets", "1, 12"),
                    Map.entry("underline", "true"),
                    Map.entry("alignment", "centre"),
                    Map.entry("drop-lines", "3"),
                    Map.entry("finish/outline/kind", "stroke"),
                    Map.entry("finish/outline/width", "0.1 em"),
                    Map.entry("finish/outline/position", "outside"),
                    Map.entry("finish/outline/order", "-1"))));
    assertThat(sheet).contains("--museum-orange: #d9622b;");
    assertThat(rule(sheet, "body"))
        .contains(
            "font-family: \"Alegreya \\\"Sans\\\"\";",
            "font-size: 20px;",
            "line-height: 1.4;",
            "color: var(--museum-orange);");
    assertThat(rule(sheet, "s-2-loud"))
        .contains(
            "font-size: 30px;",
            "font-style: italic;",
            "letter-spacing: -0.02em;",
            "font-variant-caps: all-small-caps;",
            "font-variant-numeric: oldstyle-nums;",
            "font-variant-ligatures: no-common-ligatures;",
            "font-feature-settings: \"ss01\" 1, \"ss12\" 1;",
            "text-decoration-line: underline;",
            "text-align: center;",
            "line-height: 1.4;",
            "-webkit-text-stroke-width: 0.2em;",
            "paint-order: stroke fill;");
    assertThat(remarks.getLast()).endsWith(": Drop capital lines (1 style)");
  }

  /** How gradients lie, against what CSS Images 3 says of their lengths. */
  @ParameterizedTest
  @CsvSource(
      delimiter = '|',
      value = {
        "radial | | radial-gradient(50% 50% at 50% 50%, #ff0000 0%, #0000ff 100%)",
        "radial | gradient-scale=80;aspect=50;centre-x=20;gradient-offset=10"
            + "| radial-gradient(40% 20% at 20% 50%, #ff0000 10%, #0000ff 110%)",
        "radial | radial-shape=circle;gradient-scale=80;repeat=repeat"
            + "| repeating-radial-gradient(circle farthest-side at 50% 50%, #ff0000 0%, #0000ff 80%)",
        "linear | angle=0;gradient-scale=50" + "| linear-gradient(90deg, #ff0000 25%, #0000ff 75%)",
        "linear | angle=0;gradient-offset=10;gradient-scale=200"
            + "| linear-gradient(90deg, #ff0000 -30%, #0000ff 170%)",
        "conic | angle=0;gradient-offset=25;gradient-scale=50"
            + "| conic-gradient(from 180deg at 50% 50%, #ff0000 0%, #0000ff 50%)"
      })
  void gradientsLieWhereTheyDo(String paint, String more, String expected) throws IOException {
    Map<String, String> values = new HashMap<>();
    values.put("finish/fill/paint", paint);
    values.put("finish/fill/interpolation", "srgb");
    values.put("finish/fill/stops", "#ff0000 0%, #0000ff 100%");
    for (String setting : more == null ? new String[0] : more.split(";")) {
      values.put("finish/fill/" + setting.split("=")[0], setting.split("=")[1]);
    }
    List<String> remarks = new ArrayList<>();
    assertThat(rule(sheet(remarks, style("glow", Optional.empty(), values)), "glow"))
        .contains("background: " + expected + ";");
    assertThat(remarks).noneMatch(remark -> remark.contains("Fill"));
  }

  @Test
  void allCoatsTogetherAreTheElement() throws IOException {
    Map<String, String> values =
        Map.of("finish/whole/opacity", "0.5", "finish/whole/blend", "colour-burn");
    assertThat(rule(sheet(new ArrayList<>(), style("faint", Optional.empty(), values)), "faint"))
        .contains("opacity: 0.5;", "mix-blend-mode: color-burn;");
    Map<String, String> plated = new HashMap<>(values);
    plated.put("plate/ground/kind", "fill");
    List<String> remarks = new ArrayList<>();
    assertThat(rule(sheet(remarks, style("faint", Optional.empty(), plated)), "faint"))
        .doesNotContain("opacity:");
    assertThat(String.join("\n", remarks)).contains("pacity");
  }

  @Test
  void whatAGradientOfTheWebCannotIsTold() throws IOException {
    List<String> remarks = new ArrayList<>();
    sheet(
        remarks,
        style(
            "glow",
            Optional.empty(),
            Map.of(
                "finish/fill/paint", "radial",
                "finish/fill/focal-x", "30",
                "finish/fill/gradient-rotation", "45",
                "finish/fill/repeat", "reflect")));
    assertThat(String.join("\n", remarks)).contains("ocal point X", "otation", "epeat");
  }

  @Test
  void finishesArePaintedAsFarAsTheWebPaints() throws IOException {
    String sheet =
        sheet(
            new java.util.ArrayList<>(),
            style(
                "gold",
                Optional.empty(),
                Map.of(
                    "finish/fill/paint", "linear",
                    "finish/fill/angle", "90",
                    "finish/fill/interpolation", "srgb",
                    "finish/fill/stops", "#fbe6a2 0%, swatch:orange 100% / 50%",
                    "finish/whole/soft/kind", "drop-shadow",
                    "finish/whole/soft/x", "1 pt",
                    "finish/whole/soft/y", "2 pt",
                    "finish/whole/soft/blur", "0.1 em",
                    "finish/whole/soft/opacity", "1")),
            style(
                "label",
                Optional.empty(),
                Map.of(
                    "plate/ground/kind", "fill",
                    "plate/ground/colour", "#ffffff",
                    "plate/edge/kind", "stroke",
                    "plate/edge/width", "2 pt",
                    "plate-padding", "3 pt, 0.5 em",
                    "plate-radius", "4 pt")));
    // an angle of CSS begins at the top: downwards is 180 degrees
    assertThat(rule(sheet, "gold"))
        .contains(
            "linear-gradient(180deg, #fbe6a2 0%, rgb(from var(--museum-orange) r g b / calc(alpha *"
                + " 0.5)) 100%)",
            "background-clip: text;", "color: transparent;", "text-shadow: 1px 2px 0.1em #000000;");
    assertThat(rule(sheet, "label"))
        .contains(
            "background: #ffffff;",
            "border: 2px solid #000000;",
            "padding: 3px 0.5em 3px 0.5em;",
            "border-radius: 4px 4px 4px 4px;");
  }

  @Test
  void whatIsNotPaintedIsNotSaidAndWhatCannotBeSaidIsTold() throws IOException {
    List<String> remarks = new java.util.ArrayList<>();
    String sheet =
        sheet(
            remarks,
            style("hidden", Optional.empty(), Map.of("finish/fill/shown", "false")),
            style(
                "inner",
                Optional.empty(),
                Map.of(
                    "finish/line/kind", "stroke",
                    "finish/line/position", "inside",
                    "finish/line/join", "round")),
            style(
                "lines",
                Optional.empty(),
                Map.of("plate/ground/kind", "fill", "plate-extent", "line")));
    assertThat(rule(sheet, "hidden")).contains("color: transparent;");
    assertThat(rule(sheet, "lines")).contains("box-decoration-break: clone;", "display: inline;");
    assertThat(remarks).singleElement().asString().contains("Position (1 style)", "Join (1 style)");
  }

  /** CSS Writing Modes 4, Text 4, Text Decoration 3, Fragmentation 4. */
  @Test
  void verticalTextAndBreaksAreSaidInTheTermsOfCss() throws IOException {
    Style banner =
        style(
            "banner",
            Optional.empty(),
            Map.of(
                "writing-mode", "vertical-right-to-left",
                "text-orientation", "upright",
                "tate-chu-yoko", "three-digits",
                "emphasis-mark", "open-circle",
                "punctuation-spacing", "trim-line-edges",
                "overlong-words", "break",
                "keep-with-next", "true",
                "keep-lines-together", "true",
                "column-break-before", "true"));
    List<String> remarks = new java.util.ArrayList<>();
    String sheet = sheet(remarks, banner);
    assertThat(rule(sheet, "banner"))
        .contains(
            "writing-mode: vertical-rl;",
            "text-orientation: upright;",
            "text-combine-upright: digits 3;",
            "text-emphasis-style: open circle;",
            "text-spacing-trim: trim-both;",
            "overflow-wrap: break-word;",
            "break-after: avoid-column;",
            "break-inside: avoid-column;",
            "break-before: column;");
    assertThat(remarks).isEmpty();
  }

  @Test
  void aSizeWithoutABaseIsRelativeThereToo() throws IOException {
    String sheet =
        sheet(
            new java.util.ArrayList<>(),
            style("more", Optional.empty(), Map.of("size", "+2 pt")),
            style("most", Optional.of("more"), Map.of("size", "\u00d72")));
    assertThat(rule(sheet, "more")).contains("font-size: calc(1em + 2px);");
    assertThat(rule(sheet, "most")).contains("font-size: calc(2em + 4px);");
  }

  @Test
  void theFontsThatTheProgramBringsGoAlong() throws IOException {
    List<String> remarks = new java.util.ArrayList<>();
    String sheet =
        sheet(
            remarks,
            style(
                "a", Optional.empty(), Map.of("font-family", "EB Garamond", "font-weight", "680")),
            style("b", Optional.empty(), Map.of("font-family", "Fraunces")),
            style("c", Optional.empty(), Map.of("font-family", "Nobody's Sans")));
    assertThat(sheet)
        .contains(
            "font-family: \"EB Garamond\";\n  src: url(\"fonts/eb-garamond-700.ttf\")"
                + " format(\"truetype\");\n  font-weight: 700;",
            // a variable font serves all weights between
            "src: url(\"fonts/fraunces.ttf\") format(\"truetype\");\n  font-weight: 100 900;");
    assertThat(folder.resolve("fonts/eb-garamond-700.ttf")).isNotEmptyFile();
    assertThat(remarks).singleElement().asString().contains("Nobody's Sans");
  }
}
