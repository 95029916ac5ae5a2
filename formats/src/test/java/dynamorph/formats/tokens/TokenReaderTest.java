package dynamorph.formats.tokens;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import dynamorph.model.value.Rgba;
import dynamorph.model.value.StrokeCap;
import java.util.List;
import org.junit.jupiter.api.Nested;
import org.junit.jupiter.api.Test;
import tools.jackson.databind.json.JsonMapper;
import tools.jackson.databind.node.ObjectNode;

/** Documents after the samples of the Format Module 2025.10, read as its text says. */
class TokenReaderTest {
  private static Tokens read(String json) {
    return TokenReader.read((ObjectNode) JsonMapper.builder().build().readTree(json));
  }

  private static TokenValue value(Tokens tokens, String name) {
    return tokens.tokens().stream()
        .filter(token -> token.name().equals(name))
        .findFirst()
        .orElseThrow(() -> new AssertionError(name + " is not there: " + tokens.problems()))
        .value();
  }

  private static List<String> problems(String json) {
    return read(json).problems().stream().map(Tokens.Problem::toString).toList();
  }

  private static Rgba colour(Tokens tokens, String name) {
    return ((TokenValue.OfColour) value(tokens, name)).rgba();
  }

  @Nested
  class Types {
    @Test
    void comeFromTheTokenElseFromWhatItNamesElseFromTheNearestGroup() {
      Tokens tokens =
          read(
              """
              { "size": { "$type": "dimension",
                  "small": { "$value": { "value": 4, "unit": "px" } },
                  "inner": { "half": { "$value": { "value": 0.5, "unit": "rem" } },
                             "factor": { "$type": "number", "$value": 1.5 } } },
                "gap": { "$value": "{size.small}" } }
              """);
      assertThat(value(tokens, "size.small")).isEqualTo(new TokenValue.Dimension(4));
      assertThat(value(tokens, "size.inner.half")).isEqualTo(new TokenValue.Dimension(8));
      assertThat(value(tokens, "size.inner.factor")).isEqualTo(new TokenValue.Number(1.5));
      assertThat(value(tokens, "gap")).isEqualTo(new TokenValue.Dimension(4));
      assertThat(tokens.problems()).isEmpty();
    }

    @Test
    void mustBeSaidAndKnownAndTheSameAsWhatIsNamed() {
      assertThat(
              problems(
                  """
                  { "a": { "$value": 3 },
                    "b": { "$type": "loudness", "$value": 3 },
                    "c": { "$type": "color", "$value": "{d}" },
                    "d": { "$type": "number", "$value": 3 } }
                  """))
          .containsExactly(
              "a: has no $type, and neither has its group or what it names",
              "b: \"loudness\" is not a type of the format",
              "c: says it is a color but names a number");
    }
  }

  @Nested
  class Values {
    @Test
    void ofAllSimpleTypes() {
      Tokens tokens =
          read(
              """
              { "coral": { "$type": "color", "$value": { "colorSpace": "srgb",
                    "components": [1, 0.5, "none"], "alpha": 0.5, "hex": "#ff8000" } },
                "face": { "$type": "fontFamily", "$value": ["Helvetica", "Arial", "sans-serif"] },
                "one": { "$type": "fontFamily", "$value": "Comic Sans MS" },
                "thick": { "$type": "fontWeight", "$value": "extra-bold" },
                "thin": { "$type": "fontWeight", "$value": 350 },
                "quick": { "$type": "duration", "$value": { "value": 100, "unit": "ms" } },
                "long": { "$type": "duration", "$value": { "value": 1.5, "unit": "s" } },
                "ease": { "$type": "cubicBezier", "$value": [0.5, 0, 1, 1] } }
              """);
      assertThat(colour(tokens, "coral")).isEqualTo(new Rgba(0x80ff8000));
      assertThat(value(tokens, "face"))
          .isEqualTo(new TokenValue.FontFamily(List.of("Helvetica", "Arial", "sans-serif")));
      assertThat(value(tokens, "one"))
          .isEqualTo(new TokenValue.FontFamily(List.of("Comic Sans MS")));
      assertThat(value(tokens, "thick")).isEqualTo(new TokenValue.FontWeight(800));
      assertThat(value(tokens, "thin")).isEqualTo(new TokenValue.FontWeight(350));
      assertThat(value(tokens, "quick")).isEqualTo(new TokenValue.Duration(0.1));
      assertThat(value(tokens, "long")).isEqualTo(new TokenValue.Duration(1.5));
      assertThat(value(tokens, "ease")).isEqualTo(new TokenValue.CubicBezier(0.5, 0, 1, 1));
    }

    @Test
    void ofAllCompositeTypesWithPartsThatNameOtherTokens() {
      Tokens tokens =
          read(
              """
              { "ink": { "$type": "color",
                    "$value": { "colorSpace": "srgb", "components": [0, 0, 0] } },
                "tiny": { "$type": "dimension", "$value": { "value": 2, "unit": "px" } },
                "dash": { "$type": "strokeStyle", "$value": { "lineCap": "round",
                    "dashArray": [{ "value": 8, "unit": "px" }, "{tiny}"] } },
                "focus": { "$type": "border",
                    "$value": { "color": "{ink}", "width": "{tiny}", "style": "{dash}" } },
                "plain": { "$type": "border",
                    "$value": { "color": "{ink}", "width": "{tiny}", "style": "dotted" } },
                "low": { "$type": "shadow", "$value": { "color": "{ink}", "offsetX": "{tiny}",
                    "offsetY": "{tiny}", "blur": { "value": 1, "unit": "rem" },
                    "spread": { "value": 0, "unit": "px" } } },
                "both": { "$type": "shadow", "$value": [ "{low}", { "color": "{ink}",
                    "offsetX": "{tiny}", "offsetY": "{tiny}", "blur": "{tiny}",
                    "spread": "{tiny}", "inset": true } ] },
                "fade": { "$type": "gradient", "$value": [
                    { "color": "{ink}", "position": -99 }, { "color": "{ink}", "position": 42 } ] },
                "move": { "$type": "transition", "$value": {
                    "duration": { "value": 200, "unit": "ms" },
                    "delay": { "value": 0, "unit": "ms" }, "timingFunction": [0.5, 0, 1, 1] } },
                "heading": { "$type": "typography", "$value": { "fontFamily": "Roboto",
                    "fontSize": { "value": 42, "unit": "px" }, "fontWeight": 700,
                    "letterSpacing": { "value": 0.1, "unit": "px" }, "lineHeight": 1.2 } } }
              """);
      assertThat(tokens.problems()).isEmpty();
      TokenValue.Border focus = (TokenValue.Border) value(tokens, "focus");
      assertThat(focus.colour().token()).contains("ink");
      assertThat(focus.style())
          .isEqualTo(
              new TokenValue.StrokeStyle(
                  "",
                  List.of(new TokenValue.Dimension(8), new TokenValue.Dimension(2)),
                  StrokeCap.ROUND));
      TokenValue.Shadow both = (TokenValue.Shadow) value(tokens, "both");
      assertThat(both.layers())
          .extracting(TokenValue.Shadow.Layer::inset)
          .containsExactly(false, true);
      assertThat(both.layers().getFirst().blur()).isEqualTo(new TokenValue.Dimension(16));
      // positions outside are the nearer end
      assertThat(((TokenValue.Gradient) value(tokens, "fade")).stops())
          .extracting(TokenValue.Gradient.Stop::position)
          .containsExactly(0.0, 1.0);
      TokenValue.Typography heading = (TokenValue.Typography) value(tokens, "heading");
      assertThat(heading.size()).isEqualTo(new TokenValue.Dimension(42));
      assertThat(heading.lineHeight()).isEqualTo(new TokenValue.Number(1.2));
    }

    @Test
    void thatAreWrongAreRefusedWithTheirPlaceAndTheOthersStay() {
      Tokens tokens =
          read(
              """
              { "unit": { "$type": "dimension", "$value": { "value": 3, "unit": "cm" } },
                "half": { "$type": "dimension", "$value": { "value": "3", "unit": "px" } },
                "space": { "$type": "color", "$value": { "colorSpace": "cmyk", "components": [0, 0, 0] } },
                "few": { "$type": "color", "$value": { "colorSpace": "srgb", "components": [0, 0] } },
                "weight": { "$type": "fontWeight", "$value": 1001 },
                "heavy": { "$type": "fontWeight", "$value": "Heavy" },
                "curve": { "$type": "cubicBezier", "$value": [1.5, 0, 1, 1] },
                "cap": { "$type": "strokeStyle", "$value": { "dashArray": [], "lineCap": "flat" } },
                "part": { "$type": "typography", "$value": { "fontFamily": "A",
                    "fontSize": { "value": 1, "unit": "em" }, "fontWeight": 400,
                    "letterSpacing": { "value": 0, "unit": "px" }, "lineHeight": 1 } },
                "good": { "$type": "number", "$value": 2 } }
              """);
      assertThat(tokens.tokens()).extracting(Tokens.Token::name).containsExactly("good");
      assertThat(tokens.problems())
          .extracting(Tokens.Problem::place)
          .containsExactly(
              "unit",
              "half/value",
              "space/colorSpace",
              "few/components",
              "weight",
              "heavy",
              "curve/0",
              "cap/lineCap",
              "part/fontSize");
      assertThat(tokens.problems().getFirst())
          .hasToString("unit: a dimension is in px or rem, not in \"cm\"");
    }

    @Test
    void ofEarlierDraftsAreUnderstoodAndTold() {
      Tokens tokens =
          read(
              """
              { "ink": { "$type": "color", "$value": "#1f4d3a" },
                "gap": { "$type": "dimension", "$value": "1.5rem" },
                "time": { "$type": "duration", "$value": "150ms" } }
              """);
      assertThat(colour(tokens, "ink")).hasToString("#1f4d3a");
      assertThat(value(tokens, "gap")).isEqualTo(new TokenValue.Dimension(24));
      assertThat(value(tokens, "time")).isEqualTo(new TokenValue.Duration(0.15));
      assertThat(tokens.problems()).hasSize(3);
    }

    @Test
    void outsideTheScreenTakeTheColourThatTheFileOffers() {
      Tokens tokens =
          read(
              """
              { "wide": { "$type": "color", "$value": { "colorSpace": "display-p3",
                    "components": [1, 0, 0], "hex": "#fa1234" } } }
              """);
      assertThat(colour(tokens, "wide")).hasToString("#fa1234");
      assertThat(tokens.problems()).hasSize(1);
    }
  }

  @Nested
  class References {
    @Test
    void goThroughOthersAndIntoValues() {
      Tokens tokens =
          read(
              """
              { "base": { "$type": "color",
                  "blue": { "$value": { "colorSpace": "srgb", "components": [0.2, 0.4, 0.8] } } },
                "link": { "$value": "{base.blue}" },
                "hover": { "$value": "{link}" },
                "by-pointer": { "$type": "color", "$value": { "$ref": "#/base/blue/$value" } },
                "mixed": { "$type": "color", "$value": { "colorSpace": "srgb",
                    "components": [ { "$ref": "#/base/blue/$value/components/2" },
                                    { "$ref": "#/hover/$value/components/0" }, 0 ] } } }
              """);
      assertThat(tokens.problems()).isEmpty();
      assertThat(colour(tokens, "hover")).hasToString("#3366cc");
      assertThat(((TokenValue.OfColour) value(tokens, "hover")).token()).contains("link");
      assertThat(colour(tokens, "by-pointer")).hasToString("#3366cc");
      assertThat(colour(tokens, "mixed")).hasToString("#cc3300");
    }

    /** Small files that would fill any memory, or go deeper than any stack. */
    @Test
    void thatGrowWithoutEndAreRefused() {
      StringBuilder row = new StringBuilder("{");
      StringBuilder lists =
          new StringBuilder("{ \"s0\": { \"$type\": \"shadow\", \"$value\": [] }");
      StringBuilder groups = new StringBuilder("{ \"g0\": { \"a\": {}, \"b\": {} }");
      for (int index = 1; index < 20_000; index++) {
        row.append("\"t%d\": { \"$value\": \"{t%d}\" },".formatted(index, index + 1));
      }
      for (int index = 1; index < 60; index++) {
        lists.append(
            ", \"s%d\": { \"$type\": \"shadow\", \"$value\": [\"{s%d}\", \"{s%d}\"] }"
                .formatted(index, index - 1, index - 1));
        groups.append(
            ", \"g%d\": { \"a\": { \"$extends\": \"{g%d}\" }, \"b\": { \"$extends\": \"{g%d}\" } }"
                .formatted(index, index - 1, index - 1));
      }
      row.append("\"t20000\": { \"$type\": \"number\", \"$value\": 1 } }");
      assertThat(read(row.toString()).problems()).isNotEmpty();
      assertThat(problems(lists + "}")).anyMatch(words -> words.contains("more than 1000 items"));
      assertThatThrownBy(() -> read(groups + "}"))
          .isInstanceOf(Refused.class)
          .hasMessageContaining("more than");
    }

    @Test
    void inACircleOrToNothingAreRefused() {
      assertThat(
              problems(
                  """
                  { "a": { "$type": "number", "$value": "{b}" }, "b": { "$value": "{a}" },
                    "c": { "$type": "number", "$value": "{nowhere}" },
                    "d": { "$type": "number", "$value": { "$ref": "#/a/b/c" } },
                    "e": { "$type": "shadow", "$value": ["{e}"] } }
                  """))
          .containsExactly(
              "a: the aliases go round in a circle: a \u2192 b",
              "b: the aliases go round in a circle: b \u2192 a",
              "c: there is no token \"nowhere\"",
              "d: \"#/a/b/c\" leads to nothing",
              "e/0/0: the aliases go round in a circle: e");
    }
  }

  @Nested
  class Groups {
    @Test
    void haveATokenOfTheirOwn() {
      Tokens tokens =
          read(
              """
              { "accent": { "$type": "color",
                  "$root": { "$value": { "colorSpace": "srgb", "components": [1, 0, 0] } },
                  "light": { "$value": "{accent.$root}" } } }
              """);
      assertThat(colour(tokens, "accent.light")).hasToString("#ff0000");
    }

    @Test
    void extendOthersAndReplaceTheirTokensWhole() {
      Tokens tokens =
          read(
              """
              { "button": { "$type": "color",
                  "text": { "$value": { "colorSpace": "srgb", "components": [1, 1, 1] } },
                  "ground": { "$value": { "colorSpace": "srgb", "components": [0, 0, 1] } } },
                "primary": { "$extends": "{button}",
                  "ground": { "$value": { "colorSpace": "srgb", "components": [1, 0, 0] } } },
                "last": { "$extends": { "$ref": "#/primary" } } }
              """);
      assertThat(tokens.problems()).isEmpty();
      assertThat(colour(tokens, "primary.text")).hasToString("#ffffff");
      assertThat(colour(tokens, "last.ground")).hasToString("#ff0000");
    }

    @Test
    void thatTheFormatDoesNotAllowStopTheReading() {
      assertThatThrownBy(
              () -> read("{ \"a\": { \"$extends\": \"{b}\" }, \"b\": { \"$extends\": \"{a}\" } }"))
          .isInstanceOf(Refused.class)
          .hasMessageContaining("leads back to it");
      assertThatThrownBy(() -> read("{ \"a\": { \"b\": { \"$extends\": \"{a}\" } } }"))
          .isInstanceOf(Refused.class);
      assertThatThrownBy(() -> read("{ \"a.b\": { \"$type\": \"number\", \"$value\": 1 } }"))
          .isInstanceOf(Refused.class)
          .hasMessageContaining("dot or a brace");
      assertThatThrownBy(() -> read("{ \"a\": { \"$value\": 1, \"b\": { \"$value\": 2 } } }"))
          .isInstanceOf(Refused.class)
          .hasMessageContaining("cannot hold");
      assertThatThrownBy(() -> read("{\"a\":".repeat(80) + "{}" + "}".repeat(80)))
          .isInstanceOf(Refused.class);
    }
  }
}
