package dynamorph.paint.layer;

import static org.assertj.core.api.Assertions.assertThat;

import dynamorph.model.Layer;
import dynamorph.model.property.Address;
import dynamorph.model.property.Facet;
import dynamorph.model.property.Properties;
import dynamorph.model.property.Property;
import dynamorph.model.property.PropertyKey;
import dynamorph.model.property.PropertySet;
import dynamorph.model.property.ValueType;
import dynamorph.model.value.Alignment;
import dynamorph.model.value.BoxFit;
import dynamorph.model.value.CoatKind;
import dynamorph.model.value.Colour;
import dynamorph.model.value.Dashes;
import dynamorph.model.value.EffectKind;
import dynamorph.model.value.FontSize;
import dynamorph.model.value.Leading;
import dynamorph.model.value.Length;
import dynamorph.model.value.LineBreaking;
import dynamorph.model.value.ListKind;
import dynamorph.model.value.PaintKind;
import dynamorph.model.value.PatternTile;
import dynamorph.model.value.Rgba;
import dynamorph.paint.Painting;
import dynamorph.paint.Pixels;
import java.util.ArrayList;
import java.util.List;
import java.util.stream.Stream;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;

/** Every property is set and painted at its extremes: nothing throws, and each can be seen. */
class EveryPropertyTest {
  private static final Address RIM = Address.coat("rim");
  private static final Address GROUND = Address.plateCoat("ground");
  private static final Address SHADOW = RIM.effect("shadow");
  private static final String WORDS =
      "Quick fi ct 1/2 1st 0 1743 \u0633\u0627\u0639\u0629 \u6642\u8A08X\tz and extraordinary"
          + " clockwork restorations, \u201Cuninterrupted\u201D, going on and on.\n\u201CHour\u201D"
          + " e\u0301\u00ADtude";
  private static final String PROSE =
      "1. They say, who know, that the keeper's clock, wound twice, stops at a \u201Cquarter\u201D past"
          + " four: nobody, not one in seven, heard extraordinary restorations. Painstaking,"
          + " uninterrupted labour, hour by hour; until \u6642\u8A08X is mended.\nAnd\tso on.";

  static Stream<PropertyKey<?>> keys() {
    return Properties.all().stream()
        .map(property ->
            switch (property.part()) {
              case TEXT -> property.key();
              case COAT -> property.at(RIM);
              case EFFECT -> property.at(SHADOW);
            });
  }

  @ParameterizedTest
  @MethodSource("keys")
  <T> void isPaintedWhateverItIs(PropertyKey<T> key) {
    PropertySet company =
        switch (key.property().part()) {
          case TEXT -> company(key.property().id());
          case COAT -> coatCompany(key.property().id());
          case EFFECT -> effectCompany(key.property().id());
        };
    String words = key.property().facet() == Facet.PARAGRAPH ? PROSE : WORDS;
    Pixels plain = painted(words, company);
    boolean shows = false;
    for (T value : samples(key.property())) {
      Pixels pixels = painted(words, company.with(key, value));
      shows |= !pixels.bytes().equals(plain.bytes());
    }
    assertThat(shows || SHOWN_ELSEWHERE.contains(key.property().id()))
        .as("%s can be seen", key.path())
        .isTrue();
  }

  /** What shows only in texts made for it, or in fonts that are not shipped; tested elsewhere. */
  private static final List<String> SHOWN_ELSEWHERE =
      List.of(
          "font-width",
          "fallback-fonts",
          "contextual-alternates",
          "balance",
          "avoid-short-last-lines",
          "avoid-widows-orphans",
          "east-asian-breaks",
          "consecutive-hyphens",
          "hyphenate-last",
          "hyphen-penalty",
          "kind",
          "tile-image",
          "plate-minimum-width",
          "name");

  /** What a property of a coat needs beside it to be seen. */
  private static PropertySet coatCompany(String id) {
    PropertySet none = PropertySet.EMPTY;
    PropertySet linear = none.with(Properties.COAT_PAINT.at(RIM), PaintKind.LINEAR);
    return switch (id) {
      case "stops",
          "angle",
          "centre-y",
          "gradient-scale",
          "gradient-offset",
          "fit",
          "interpolation" ->
          linear;
      case "centre-x" -> none.with(Properties.COAT_PAINT.at(RIM), PaintKind.RADIAL);
      case "repeat" -> linear.with(Properties.GRADIENT_SCALE.at(RIM), 20.0);
      case String own when own.startsWith("tile") ->
          none.with(Properties.COAT_PAINT.at(RIM), PaintKind.PATTERN)
              .with(
                  Properties.TILE.at(RIM),
                  own.equals("tile-image") ? PatternTile.IMAGE : PatternTile.HATCH);
      case "transform-origin" -> none.with(Properties.COAT_ROTATION.at(RIM), 20.0);
      case "step-x", "step-y", "step-scale", "step-rotation", "end-opacity" ->
          none.with(Properties.COPIES.at(RIM), 3.0);
      case "colours-stepped" ->
          none.with(Properties.COPIES.at(RIM), 3.0)
              .with(Properties.END_COLOUR.at(RIM), Colour.hex("#00ff00"));
      case "end-colour" ->
          none.with(Properties.COPIES.at(RIM), 3.0).with(Properties.COLOURS_STEPPED.at(RIM), true);
      case "cap", "dash-offset", "dash-fit" ->
          none.with(Properties.DASHES.at(RIM), Dashes.parse("1.3 pt, 0.9 pt"));
      default -> none;
    };
  }

  /** What a property of an effect needs beside it to be seen. */
  private static PropertySet effectCompany(String id) {
    PropertySet none = PropertySet.EMPTY;
    return switch (id) {
      case "source" -> none.with(Properties.EFFECT_KIND.at(SHADOW), EffectKind.INNER_GLOW);
      case "azimuth",
          "elevation",
          "bevel-width",
          "depth",
          "highlight-colour",
          "highlight-blend",
          "shade-colour",
          "shade-blend" ->
          none.with(Properties.EFFECT_KIND.at(SHADOW), EffectKind.BEVEL);
      case "order" ->
          none.with(Properties.EFFECT_KIND.at(RIM.effect("glow")), EffectKind.OUTER_GLOW)
              .with(Properties.EFFECT_COLOUR.at(RIM.effect("glow")), Colour.hex("#ff0000"))
              .with(Properties.EFFECT_OPACITY.at(RIM.effect("glow")), 1.0);
      case "knockout" -> none.with(Properties.COAT_OPACITY.at(RIM), 0.5);
      default -> none;
    };
  }

  /** What a property of the text needs beside it to be seen. */
  private static PropertySet company(String id) {
    PropertySet none = PropertySet.EMPTY;
    PropertySet justified = none.with(Properties.ALIGNMENT, Alignment.JUSTIFIED);
    return switch (id) {
      case "font-axes" -> none.with(Properties.FONT_FAMILY, "Fraunces");
      case "decoration-offset",
          "decoration-thickness",
          "decoration-own-colour",
          "decoration-skip-ink" ->
          none.with(Properties.UNDERLINE, true);
      case "decoration-colour" ->
          none.with(Properties.UNDERLINE, true).with(Properties.DECORATION_OWN_COLOUR, true);
      case "slashed-zero" -> none.with(Properties.FONT_FAMILY, "Source Sans 3");
      case "last-line", "line-breaking" -> justified;
      case "word-spacing-maximum" -> justified.with(Properties.LETTER_SPACING_MAXIMUM, 5.0);
      case String own when own.startsWith("plate-") ->
          none.with(Properties.COAT_KIND.at(GROUND), CoatKind.FILL)
              .with(Properties.COAT_COLOUR.at(GROUND), Colour.hex("#ddccaa"));
      case "shrink-to" ->
          none.with(Properties.BOX, BoxFit.SHRINK).with(Properties.BOX_HEIGHT, 30.0);
      case "gutter" -> none.with(Properties.COLUMNS, 2.0);
      case "hyphenate-zone" -> none.with(Properties.HYPHENATE, true);
      case "drop-letters", "drop-gap" -> none.with(Properties.DROP_LINES, 2.0);
      case "list-mark" -> none.with(Properties.LIST, ListKind.BULLETS);
      case "list-numbers", "list-after", "list-start", "list-gap" ->
          none.with(Properties.LIST, ListKind.NUMBERS);
      case String own
          when own.startsWith("word-spacing-")
              || own.startsWith("letter-spacing-")
              || own.startsWith("glyph-scaling-")
              || own.startsWith("hang-") ->
          justified.with(Properties.LINE_BREAKING, LineBreaking.WHOLE_PARAGRAPH);
      case String own when own.startsWith("hyphen") ->
          justified
              .with(Properties.LINE_BREAKING, LineBreaking.WHOLE_PARAGRAPH)
              .with(Properties.HYPHENATE, true);
      default -> none;
    };
  }

  private static Pixels painted(String words, PropertySet over) {
    PropertySet look =
        PropertySet.EMPTY
            .with(Properties.FONT_FAMILY, "EB Garamond")
            .with(Properties.SIZE, FontSize.points(7))
            .with(Properties.COAT_COLOUR.at(Painting.FILL), Colour.of(Rgba.BLACK))
            .with(Properties.COAT_KIND.at(RIM), CoatKind.STROKE)
            .with(Properties.COAT_COLOUR.at(RIM), Colour.hex("#b0562a"))
            .with(Properties.EFFECT_KIND.at(SHADOW), EffectKind.DROP_SHADOW);
    PropertySet frame =
        PropertySet.EMPTY
            .with(Properties.BOX, BoxFit.FIXED)
            .with(Properties.BOX_WIDTH, 97.0)
            .with(Properties.BOX_HEIGHT, 90.0)
            .with(Properties.POSITION_X, 6.0)
            .with(Properties.POSITION_Y, 6.0);
    PropertySet placement = over.where(EveryPropertyTest::isPlacement);
    Layer layer =
        Layer.of("t", "t", words)
            .withFrame(frame.overlaidBy(placement))
            .withLocal(look.overlaidBy(over.where(key -> !isPlacement(key))));
    return Painting.stage(Painting.project(layer), 4);
  }

  private static boolean isPlacement(PropertyKey<?> key) {
    return key.property().facet() == Facet.PLACEMENT;
  }

  @SuppressWarnings("unchecked") // each type's samples are its own
  private static <T> List<T> samples(Property<T> property) {
    List<Object> samples = new ArrayList<>();
    switch (property.type()) {
      case ValueType.Flag() -> samples.addAll(List.of(true, false));
      case ValueType.Number(double least, double most, String _) ->
          samples.addAll(List.of(Math.max(least, -500), Math.min(most, 900), middle(least, most)));
      case ValueType.Choice<?>(var type) -> samples.addAll(List.of(type.getEnumConstants()));
      case ValueType.Lengths(double least, double most) -> {
        samples.add(Length.points(Math.max(least, -50)));
        samples.add(Length.points(Math.min(most, 50)));
        samples.add(Length.em(0.25));
      }
      case ValueType.Sizes() ->
          samples.addAll(List.of(FontSize.points(0.1), FontSize.points(400), FontSize.points(9)));
      case ValueType.Leadings() -> {
        samples.add(Leading.AUTOMATIC);
        for (String written : List.of("0 pt", "300 pt", "80 %")) {
          samples.add(property.type().decode(written));
        }
      }
      case ValueType.Colours() ->
          samples.addAll(List.of(Colour.hex("#00000000"), Colour.hex("#3366cc")));
      case ValueType.Words(String _) -> samples.addAll(words(property.id()));
      case ValueType.Written<?> written ->
          written(property.id()).forEach(text -> samples.add(written.decode(text)));
    }
    return (List<T>) samples;
  }

  private static double middle(double least, double most) {
    return (Math.max(least, -20) + Math.min(most, 40)) / 2;
  }

  private static List<String> words(String id) {
    return switch (id) {
      case "font-family" -> List.of("Anton", "No Such Family");
      case "language" -> List.of("tr", "ar", "zz");
      default -> List.of("\u2022", "*.", "\u6642");
    };
  }

  private static List<String> written(String id) {
    return switch (id) {
      case "font-axes" -> List.of("wght=900", "SOFT=40, zzzz=3");
      case "font-features" -> List.of("smcp, onum=1", "zzzz=7");
      case "stylistic-sets", "character-variants" -> List.of("1, 2, 20");
      case "tab-stops" -> List.of("90 end '.'", "80, 95 decimal");
      case "name" -> List.of("", "Copper rim");
      case "stops" -> List.of("#fbe6a2 0%, #7a4a1e 100%", "#0000ff 50% / 20%");
      case "plate-padding", "plate-radius" -> List.of("3 pt", "0 pt, 0.4 em, 90 pt, 2 pt");
      case "tile-image" -> List.of("", "no-such.png");
      case "dashes" -> List.of("1 pt, 1 pt", "0 pt, 0.2 em, 3 pt", "0.0001 pt");
      case "fallback-fonts" -> List.of("Arab: Source Sans 3, Amiri");
      default -> throw new AssertionError("no sample for " + id);
    };
  }
}
