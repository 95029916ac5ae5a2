package dynamorph.formats.tokens;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import dynamorph.formats.project.ProjectReadException;
import dynamorph.model.Asset;
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
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

class TokenFileTest {
  @TempDir Path folder;

  private static final Swatch ORANGE = new Swatch("orange", "Museum orange", Rgba.parse("#d9622b"));

  private static Style style(
      String id, String group, Optional<String> base, Map<String, String> values) {
    return new Style(
            new StyleId(id),
            "Style " + id,
            group,
            StyleLevel.TEXT,
            base.map(StyleId::new),
            PropertySet.parse(values),
            "Sample")
        .withNote("for " + id);
  }

  private static StyleBundle bundle() {
    Style body =
        style(
            "body",
            "Museum/Walls",
            Optional.empty(),
            Map.of(
                "font-family", "Alegreya",
                "size", "20 pt",
                "leading", "28 pt",
                "tracking", "10",
                "alignment", "justified",
                "finish/fill/colour", "swatch:orange"));
    Style large =
        style(
            "large",
            "Museum/Walls",
            Optional.of("body"),
            Map.of(
                "size", "\u00d71.5",
                "font-weight", "650",
                "finish/outline/kind", "stroke",
                "finish/outline/width", "0.1 em",
                "finish/outline/dashes", "0.2 em, 0.1 em",
                "finish/outline/colour", "#11223380"));
    Style gold =
        style(
            "gold",
            "",
            Optional.empty(),
            Map.of(
                "finish/fill/paint", "linear",
                "finish/fill/stops", "#fbe6a2 0%, swatch:orange 60% / 80%, #000000 100%",
                "finish/fill/soft/kind", "drop-shadow",
                "finish/fill/soft/blur", "3 pt",
                "finish/whole/edge/kind", "bevel",
                "plate/ground/kind", "fill",
                "plate/ground/colour", "#ffffff"));
    Asset tile = new Asset("images/tile.png", new byte[] {1, 2, 3});
    return new StyleBundle(List.of(body, large, gold), List.of(ORANGE), List.of(tile));
  }

  private Path file(String name, String json) throws IOException {
    return Files.writeString(folder.resolve(name), json);
  }

  private TokenFile.Read read(Path file) throws IOException {
    return TokenFile.read(file, Map.of());
  }

  @Test
  void whatIsWrittenComesBackWhole() throws IOException {
    Path file = folder.resolve("museum.tokens.json");
    List<String> remarks = TokenFile.write("Museum", bundle(), Optional.empty(), file);
    TokenFile.Read read = read(file);
    assertThat(read.remarks()).isEmpty();
    assertThat(read.bundle()).isEqualTo(bundle());
    assertThat(remarks).singleElement().asString().contains("Alignment (1 style)");
  }

  @Test
  void anotherProgramReadsValuesAndAliases() throws IOException {
    Path file = folder.resolve("museum.tokens");
    TokenFile.write("Museum", bundle(), Optional.empty(), file);
    var tokens = TokenFile.json(file);
    var large = tokens.at("/styles/Museum/Walls/Style large");
    // twenty by one and a half
    assertThat(large.at("/size/$value/value").asDouble()).isEqualTo(30);
    assertThat(large.at("/typography/$value/fontFamily").asString())
        .isEqualTo("{styles.Museum.Walls.Style body.family}");
    assertThat(large.at("/typography/$value/fontSize").asString())
        .isEqualTo("{styles.Museum.Walls.Style large.size}");
    // ten thousandths of thirty
    assertThat(large.at("/letter-spacing/$value/value").asDouble()).isEqualTo(0.3);
    assertThat(large.at("/finish/outline/$value/width/value").asDouble()).isEqualTo(3);
    assertThat(large.at("/finish/outline/$value/color/alpha").asDouble()).isEqualTo(0.50196);
    // what the base paints is named, not said again
    assertThat(large.at("/finish/fill/$value").asString())
        .isEqualTo("{styles.Museum.Walls.Style body.finish.fill}");
    assertThat(tokens.at("/styles/Museum/Walls/Style body/finish/fill/$value").asString())
        .isEqualTo("{swatches.Museum orange}");
    assertThat(tokens.at("/styles/Museum/Walls/Style body/line-height/$value").asDouble())
        .isEqualTo(1.4);
    assertThat(
            tokens.at("/styles/Style gold/shadows/finish/fill/soft/$value/blur/value").asDouble())
        .isEqualTo(3);
  }

  @Test
  void whatSomebodyChangedInTheTokensIsTaken() throws IOException {
    Path file = folder.resolve("museum.tokens.json");
    TokenFile.write("Museum", bundle(), Optional.empty(), file);
    var tokens = TokenFile.json(file);
    var body =
        (tools.jackson.databind.node.ObjectNode) tokens.at("/styles/Museum/Walls/Style body");
    ((tools.jackson.databind.node.ObjectNode) body.at("/size/$value")).put("value", 24);
    ((tools.jackson.databind.node.ObjectNode) tokens.at("/swatches/Museum orange/$value"))
        .putArray("components")
        .add(0)
        .add(1)
        .add(0);
    var outline = tokens.at("/styles/Museum/Walls/Style large/finish/outline/$value");
    ((tools.jackson.databind.node.ObjectNode) outline.get("width")).put("value", 5);
    Files.writeString(file, tokens.toString());

    StyleBundle changed = read(file).bundle();
    Map<String, Style> styles = new java.util.HashMap<>();
    changed.styles().forEach(style -> styles.put(style.id().value(), style));
    assertThat(changed.swatches().getFirst().colour()).hasToString("#00ff00");
    assertThat(styles.get("body").properties().toString())
        .contains("size=24 pt", "finish/fill/colour=swatch:orange")
        // nobody changed these, so they are what the style had
        .contains("leading=28 pt", "tracking=10");
    assertThat(styles.get("large").properties().toString())
        .contains("finish/outline/width=5 pt", "finish/outline/colour=#11223380")
        .contains("size=\u00d71.5", "finish/outline/dashes=0.2 em, 0.1 em")
        .doesNotContain("finish/fill");
    assertThat(styles.get("gold")).isEqualTo(bundle().styles().get(2));
  }

  @Test
  void tokensThatSomebodyPutIntoAStyleAreNotMistakenForIt() throws IOException {
    Path file = folder.resolve("museum.tokens.json");
    TokenFile.write("Museum", bundle(), Optional.empty(), file);
    var tokens = TokenFile.json(file);
    var body =
        (tools.jackson.databind.node.ObjectNode) tokens.at("/styles/Museum/Walls/Style body");
    body.putObject("notes")
        .putObject("mark")
        .put("$type", "color")
        .put("$value", "{swatches.Museum orange}");
    body.putObject("margin").put("$type", "number").put("$value", 3);
    Files.writeString(file, tokens.toString());
    assertThat(read(file).bundle()).isEqualTo(bundle());
  }

  @Test
  void theBaseStyleFillsInWhatOthersLeaveOpen() throws IOException {
    Style base =
        style("base", "", Optional.empty(), Map.of("font-family", "Alegreya", "size", "20 pt"));
    Style title = style("title", "", Optional.empty(), Map.of("size", "\u00d72"));
    StyleBundle bundle = new StyleBundle(List.of(base, title), List.of(), List.of());
    Path file = folder.resolve("based.tokens");
    TokenFile.write("Based", bundle, Optional.of(base.id()), file);
    var written = TokenFile.json(file).at("/styles/Style title");
    assertThat(written.at("/size/$value/value").asDouble()).isEqualTo(40);
    assertThat(written.at("/typography/$value/fontFamily").asString())
        .isEqualTo("{styles.Style base.family}");
    assertThat(read(file).bundle()).isEqualTo(bundle);
    // what the base style is based on does not stand on it again
    Style ground = style("ground", "", Optional.empty(), Map.of("font-family", "Anton"));
    Style based = base.withBasedOn(Optional.of(ground.id()));
    StyleBundle deeper = new StyleBundle(List.of(ground, based, title), List.of(), List.of());
    TokenFile.write("Deeper", deeper, Optional.of(base.id()), file);
    assertThat(read(file).bundle()).isEqualTo(deeper);
  }

  @Test
  void tokensOfOthersBecomeSwatchesAndStyles() throws IOException {
    Path file =
        file(
            "house.tokens.json",
            """
            { "color": { "$type": "color",
                "blue": { "$root": { "$value": { "colorSpace": "srgb", "components": [0, 0, 1] } },
                  "500": { "$value": { "colorSpace": "srgb", "components": [0, 0, 0.8] } } },
                "link": { "$value": "{color.blue.500}" } },
              "gap": { "$type": "dimension", "$value": { "value": 8, "unit": "px" } },
              "type": { "heading": { "large": { "$type": "typography",
                "$description": "Above the fold", "$value": {
                  "fontFamily": ["Fraunces", "serif"], "fontSize": { "value": 2, "unit": "rem" },
                  "fontWeight": "semi-bold", "letterSpacing": { "value": -0.32, "unit": "px" },
                  "lineHeight": 1.1 } } } },
              "raised": { "$type": "shadow", "$value": [
                { "color": "{color.link}", "offsetX": { "value": 1, "unit": "px" },
                  "offsetY": { "value": 2, "unit": "px" }, "blur": { "value": 3, "unit": "px" },
                  "spread": { "value": 0, "unit": "px" } } ] } }
            """);
    TokenFile.Read read = read(file);
    assertThat(read.bundle().swatches())
        .extracting(swatch -> swatch.name() + " " + swatch.colour())
        .containsExactly("blue #0000ff", "blue 500 #0000cc", "link #0000cc");
    Style large = read.bundle().styles().getFirst();
    assertThat(large.group() + "/" + large.name()).isEqualTo("type/heading/large");
    assertThat(large.note()).isEqualTo("Above the fold");
    // -0.32 of 32 pixels are ten thousandths
    assertThat(large.properties())
        .isEqualTo(
            PropertySet.parse(
                Map.of(
                    "font-family", "Fraunces",
                    "size", "32 pt",
                    "font-weight", "600",
                    "tracking", "-10",
                    "leading", "110 %")));
    assertThat(read.bundle().styles().getLast().properties().toString())
        .contains("finish/whole/shadow/colour=swatch:link", "finish/whole/shadow/blur=3 pt");
    assertThat(read.remarks())
        .containsExactly(
            "type.heading.large: of the families the first is taken, Fraunces",
            "1 token is a value that no style holds alone (dimensions, weights, durations and the"
                + " like), left out");
  }

  @Test
  void aResolverPutsSetsTogetherForTheContextsThatAreWanted() throws IOException {
    file(
        "base.tokens.json",
        """
        { "ink": { "$type": "color", "$value": { "colorSpace": "srgb", "components": [0, 0, 0] } },
          "paper": { "$type": "color", "$value": { "colorSpace": "srgb", "components": [1, 1, 1] } } }
        """);
    Path resolver =
        file(
            "house.resolver.json",
            """
            { "version": "2025.10",
              "sets": { "base": { "sources": [ { "$ref": "base.tokens.json" } ] },
                        "more": { "sources": [ { "$ref": "#/sets/base" } ] } },
              "modifiers": { "theme": { "default": "light", "contexts": {
                "light": [],
                "dark": [ { "ink": { "$type": "color",
                    "$value": { "colorSpace": "srgb", "components": [1, 1, 0] } } } ] } } },
              "resolutionOrder": [ { "$ref": "#/sets/more" }, { "$ref": "#/modifiers/theme" } ] }
            """);
    assertThat(TokenFile.read(resolver, Map.of()).bundle().swatches())
        .extracting(swatch -> swatch.colour().toString())
        .containsExactly("#000000", "#ffffff");
    TokenFile.Read dark = TokenFile.read(resolver, Map.of("theme", "dark"));
    assertThat(dark.bundle().swatches())
        .extracting(swatch -> swatch.colour().toString())
        .containsExactly("#ffff00", "#ffffff");
    assertThat(dark.remarks()).containsExactly("theme: \"dark\" is taken, of light, dark");
    assertThatThrownBy(() -> TokenFile.read(resolver, Map.of("theme", "sepia")))
        .hasMessage(
            "house.resolver.json: modifiers/theme: there is no context \"sepia\"; there is light,"
                + " dark");
    assertThatThrownBy(() -> TokenFile.read(resolver, Map.of("density", "low")))
        .hasMessageContaining("no modifier \"density\"");
  }

  @Test
  void filesThatAreNoTokensAreToldWithTheirPlace() throws IOException {
    assertThatThrownBy(() -> read(file("a.tokens", "{ \"a\": 1, }")))
        .isInstanceOf(ProjectReadException.class)
        .hasMessageContaining("a.tokens: line 1, column");
    assertThatThrownBy(() -> read(file("b.tokens", "{ \"a\": {}, \"a\": {} }")))
        .hasMessageContaining("Duplicate");
    assertThatThrownBy(() -> read(file("c.tokens", "[]"))).hasMessageContaining("is an object");
    assertThatThrownBy(() -> read(folder.resolve("none.tokens")))
        .hasMessageContaining("no such file");
    assertThatThrownBy(() ->
            read(
                file(
                    "d.resolver.json",
                    "{ \"resolutionOrder\": [ { \"name\": \"x\", \"sources\": [ { \"$ref\":"
                        + " \"/etc/passwd\" } ] } ] }")))
        .hasMessageContaining("not a file beside this one");
  }
}
