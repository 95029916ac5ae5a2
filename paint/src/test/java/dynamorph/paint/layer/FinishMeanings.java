package dynamorph.paint.layer;

import static dynamorph.paint.layer.InkChanges.height;
import static dynamorph.paint.layer.InkChanges.leftShare;
import static dynamorph.paint.layer.InkChanges.redMoves;
import static dynamorph.paint.layer.InkChanges.stem;
import static dynamorph.paint.layer.InkChanges.stripes;
import static dynamorph.paint.layer.InkChanges.turned;
import static dynamorph.paint.layer.PropertyMeaning.appears;
import static dynamorph.paint.layer.PropertyMeaning.differs;
import static dynamorph.paint.layer.PropertyMeaning.grows;
import static dynamorph.paint.layer.PropertyMeaning.hasLess;
import static dynamorph.paint.layer.PropertyMeaning.hasMore;
import static dynamorph.paint.layer.PropertyMeaning.isLighter;
import static dynamorph.paint.layer.PropertyMeaning.of;
import static dynamorph.paint.layer.PropertyMeaning.recolours;
import static dynamorph.paint.layer.PropertyMeaning.staysAsItWas;
import static dynamorph.paint.layer.PropertyMeaning.vanishes;
import static dynamorph.paint.layer.PropertyMeaning.widens;
import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.List;
import java.util.function.BiConsumer;

/** What the properties of plates, coats and effects do in pictures. */
final class FinishMeanings {
  private static final String RED = "#ff0000";
  private static final String GREEN = "#00ff00";
  private static final String BLUE = "#0000ff";
  private static final String BLACK = "#000000";

  private FinishMeanings() {}

  static List<PropertyMeaning> plates() {
    String[] plate = {"plate/ground/kind", "fill", "plate/ground/colour", RED};
    return List.of(
        of("plate-extent", "layer", "line", hasLess(RED, 1.1)).words("Hour hour\na").given(plate),
        of("plate-padding", "0 pt", "5 pt", grows(5, 5, 5, 5)).given(plate),
        of("plate-radius", "0 pt", "8 pt", hasLess(RED, 1.02)).given(plate),
        of(
                "plate-minimum-width",
                "0 pt",
                "120 pt",
                (_, after) -> assertThat(after.width()).isCloseTo(120, within(1.0)))
            .given(plate));
  }

  /** A red stroke of 2 points around black letters of 60 points. */
  private static PropertyMeaning stroke(
      String id, String from, String to, BiConsumer<Ink, Ink> expected) {
    return of("finish/rim/" + id, from, to, expected)
        .words("H")
        .given(
            "size", "60 pt",
            "position-y", "15",
            "position-x", "70",
            "finish/rim/kind", "stroke",
            "finish/rim/order", "1",
            "finish/rim/width", "2 pt",
            "finish/rim/colour", RED);
  }

  /** A second fill over the black one. */
  private static PropertyMeaning fill(
      String id, String from, String to, BiConsumer<Ink, Ink> expected) {
    return stroke(id, from, to, expected).given("finish/rim/kind", "fill");
  }

  /** A gradient from red to blue. */
  private static PropertyMeaning gradient(
      String kind, String id, String from, String to, BiConsumer<Ink, Ink> expected) {
    return fill(id, from, to, expected)
        .given(
            "finish/rim/paint",
            kind,
            "finish/rim/stops",
            "#ff0000 0%, #0000ff 100%",
            "finish/rim/gradient-scale",
            "40");
  }

  /** A radial gradient with an edge, over stems, one of them in the middle. */
  private static PropertyMeaning radial(
      String id, String from, String to, BiConsumer<Ink, Ink> expected) {
    return gradient("radial", id, from, to, expected)
        .words("IIIIIIIII")
        .given(
            "font-family",
            "Anton",
            "finish/rim/stops",
            "#ff0000 30%, #0000ff 30%",
            "finish/rim/gradient-scale",
            "100");
  }

  private static PropertyMeaning pattern(
      String id, String from, String to, BiConsumer<Ink, Ink> expected) {
    return fill(id, from, to, expected)
        .words("I")
        .given(
            "finish/rim/paint",
            "pattern",
            "finish/rim/tile",
            "stripes",
            "finish/rim/tile-size",
            "8 pt",
            "finish/fill/shown",
            "false");
  }

  private static PropertyMeaning copied(
      String id, String from, String to, BiConsumer<Ink, Ink> expected) {
    return fill(id, from, to, expected)
        .given("finish/rim/copies", "3", "finish/rim/step-x", "8 pt", "finish/rim/step-y", "0 pt");
  }

  static List<PropertyMeaning> coats() {
    return List.of(
        stroke("kind", "stroke", "fill", vanishes(BLACK)),
        stroke("name", "", "Copper rim", staysAsItWas()),
        fill(
            "order",
            "1",
            "-1",
            (before, after) -> {
              vanishes(RED).accept(before, after);
              appears(BLACK).accept(before, after);
            }),
        stroke("shown", "true", "false", vanishes(RED)),
        stroke("removed", "false", "true", vanishes(RED)),
        stroke("opacity", "1", "0", vanishes(RED)),
        fill("blend", "normal", "multiply", recolours(RED, BLACK)),
        fill("paint", "solid", "linear", hasLess(RED, 1.5)),
        fill("colour", RED, GREEN, recolours(RED, GREEN)),
        gradient(
            "linear",
            "stops",
            "#ff0000 0%, #00ff00 100%",
            "#ff0000 0%, #0000ff 100%",
            appears(BLUE)),
        gradient(
            "linear",
            "angle",
            "0",
            "90",
            (before, after) -> assertThat(turned(before)).isNotCloseTo(turned(after), within(0.5))),
        gradient(
                "radial",
                "centre-x",
                "30",
                "70",
                (before, after) ->
                    assertThat(after.middleX(RED)).isGreaterThan(before.middleX(RED) + 10))
            .given("finish/rim/gradient-scale", "300"),
        gradient(
                "radial",
                "centre-y",
                "30",
                "70",
                (before, after) ->
                    assertThat(after.middleY(RED)).isGreaterThan(before.middleY(RED) + 5))
            .given("finish/rim/gradient-scale", "120", "finish/rim/centre-x", "20"),
        of("finish/whole/mask", "none", "linear", hasLess(BLACK, 1.3))
            .given("finish/whole/interpolation", "srgb"),
        radial("radial-shape", "ellipse", "circle", hasMore(RED, 1.15)),
        radial("aspect", "100", "400", hasMore(RED, 1.3)),
        radial(
                "gradient-rotation",
                "0",
                "90",
                (before, after) ->
                    // a level band, and one from top to bottom
                    assertThat(height(after, RED)).isGreaterThan(height(before, RED) * 2))
            .given("finish/rim/radial-shape", "circle", "finish/rim/aspect", "10"),
        radial(
            "focal-x",
            "-80",
            "80",
            (before, after) ->
                assertThat(after.middleX(RED)).isGreaterThan(before.middleX(RED) + 20)),
        radial(
            "focal-y",
            "-80",
            "80",
            (before, after) ->
                assertThat(after.middleY(RED)).isGreaterThan(before.middleY(RED) + 4)),
        gradient("linear", "gradient-scale", "100", "10", hasMore(BLUE, 1.5)),
        gradient("linear", "gradient-offset", "0", "50", hasMore(RED, 1.5)),
        gradient(
                "linear",
                "repeat",
                "pad",
                "repeat",
                (before, after) ->
                    assertThat(after.lines().getFirst().area(BLUE))
                        .isNotCloseTo(before.area(BLUE), within(5.0)))
            .given("finish/rim/gradient-scale", "20"),
        gradient(
                "linear",
                "fit",
                "layer",
                "glyph",
                (before, after) ->
                    // each letter now holds both ends
                    assertThat(after.pieces().getFirst().area(BLUE))
                        .isGreaterThan(before.pieces().getFirst().area(BLUE) + 1))
            .words("II")
            .given("finish/rim/angle", "0", "tracking", "500"),
        gradient(
            "linear",
            "interpolation",
            "srgb",
            "oklab",
            (before, after) ->
                // halfway between red and blue, sRGB has a darker purple
                assertThat(before.area("#800080")).isGreaterThan(after.area("#800080") * 1.1)),
        pattern("tile", "stripes", "checks", differs()),
        pattern(
                "tile-size",
                "4 pt",
                "12 pt",
                (before, after) -> assertThat(stripes(after)).isLessThan(stripes(before)))
            .given("finish/rim/tile-angle", "90"),
        pattern("tile-weight", "20", "80", hasMore(RED, 2)),
        pattern(
            "tile-angle",
            "0",
            "90",
            (before, after) -> assertThat(stripes(after)).isNotEqualTo(stripes(before))),
        pattern("tile-x", "0 pt", "4 pt", differs()).given("finish/rim/tile", "checks"),
        pattern("tile-y", "0 pt", "4 pt", differs()).given("finish/rim/tile", "checks"),
        pattern("tile-background", "#00000000", GREEN, appears(GREEN)),
        fill("offset", "0 pt", "3 pt", grows(3, 3, 3, 3)),
        stroke("width", "2 pt", "6 pt", grows(2, 2, 2, 2)),
        stroke("position", "centre", "outside", grows(1, 1, 1, 1)),
        stroke("join", "miter", "bevel", hasLess(RED, 1.005))
            .given("finish/rim/width", "6 pt", "font-family", "Source Sans 3"),
        stroke("miter-limit", "20", "1", hasLess(RED, 1.005))
            .given("finish/rim/width", "6 pt", "font-family", "Source Sans 3"),
        stroke("cap", "butt", "square", hasMore(RED, 1.3)).given("finish/rim/dashes", "3 pt, 3 pt"),
        stroke("dashes", "none", "3 pt, 3 pt", hasLess(RED, 1.5)),
        stroke(
                "dash-offset",
                "0 pt",
                "3 pt",
                (before, after) -> {
                  differs().accept(before, after);
                  assertThat(after.area(RED))
                      .isCloseTo(before.area(RED), within(before.area(RED) / 8));
                })
            .given("finish/rim/dashes", "3 pt, 3 pt"),
        stroke("dash-fit", "exact", "corners", differs())
            .given("finish/rim/dashes", "3.3 pt, 2.1 pt"),
        fill("translate-x", "0 pt", "9 pt", redMoves(9, 0)),
        fill("translate-y", "0 pt", "9 pt", redMoves(0, 9)),
        fill("scale-x", "100", "50", hasLess(RED, 1.8)),
        fill("scale-y", "100", "50", hasLess(RED, 1.8)),
        fill("rotation", "0", "90", appears(BLACK)),
        fill(
                "transform-origin",
                "layer",
                "glyph",
                (before, after) -> assertThat(after.height()).isLessThan(before.height() - 5))
            .words("II")
            .given("finish/rim/rotation", "40"),
        copied("copies", "0", "3", widens(24)),
        copied("step-x", "8 pt", "12 pt", widens(12)),
        copied(
            "step-y",
            "0 pt",
            "5 pt",
            (before, after) ->
                assertThat(after.height() - before.height()).isCloseTo(15, within(0.7))),
        copied(
            "step-scale",
            "100",
            "120",
            (before, after) -> assertThat(after.height()).isGreaterThan(before.height() * 1.3)),
        copied(
            "step-rotation",
            "0",
            "30",
            (before, after) -> assertThat(after.height()).isGreaterThan(before.height() + 10)),
        copied("colours-stepped", "false", "true", hasMore(GREEN, 1))
            .given("finish/rim/end-colour", GREEN, "finish/rim/step-x", "25 pt"),
        copied("end-colour", GREEN, BLUE, recolours(GREEN, BLUE))
            .given("finish/rim/colours-stepped", "true", "finish/rim/step-x", "40 pt"),
        copied("end-opacity", "1", "0", hasLess(RED, 1.2)).given("finish/rim/step-x", "40 pt"));
  }

  /** A hard red shadow, 6 points to the right and below a black letter. */
  private static PropertyMeaning shadow(
      String id, String from, String to, BiConsumer<Ink, Ink> expected) {
    return of("finish/fill/shadow/" + id, from, to, expected)
        .words("H")
        .given(
            "size", "60 pt",
            "position-y", "15",
            "position-x", "70",
            "finish/fill/shadow/kind", "drop-shadow",
            "finish/fill/shadow/x", "6 pt",
            "finish/fill/shadow/y", "6 pt",
            "finish/fill/shadow/blur", "0 pt",
            "finish/fill/shadow/opacity", "1",
            "finish/fill/shadow/colour", RED);
  }

  /** A bevel on a mid-grey letter, its light from above on the left. */
  private static PropertyMeaning bevel(
      String id, String from, String to, BiConsumer<Ink, Ink> expected) {
    return shadow(id, from, to, expected)
        .given(
            "finish/fill/colour", "#808080",
            "finish/fill/shadow/kind", "bevel",
            "finish/fill/shadow/bevel-width", "3 pt");
  }

  static List<PropertyMeaning> effects() {
    return List.of(
        shadow("kind", "drop-shadow", "inner-shadow", grows(0, 0, -6, -6)),
        shadow("name", "", "Copper", staysAsItWas()),
        shadow("order", "0", "2", hasMore(RED, 1.2))
            .given(
                "finish/fill/glow/kind", "drop-shadow",
                "finish/fill/glow/order", "1",
                "finish/fill/glow/colour", GREEN,
                "finish/fill/glow/opacity", "1",
                "finish/fill/glow/blur", "0 pt",
                "finish/fill/glow/x", "4 pt",
                "finish/fill/glow/y", "4 pt"),
        shadow("shown", "true", "false", vanishes(RED)),
        shadow("removed", "false", "true", vanishes(RED)),
        shadow("colour", RED, GREEN, recolours(RED, GREEN)),
        shadow("opacity", "1", "0", vanishes(RED)),
        shadow(
                "blend",
                "normal",
                "multiply",
                (before, after) -> {
                  double both = before.area(BLACK) + before.area(RED);
                  assertThat(before.area(RED)).isGreaterThan(100);
                  assertThat(after.area(BLACK)).isCloseTo(both, within(both * 0.05));
                })
            .given(
                "plate/ground/kind", "fill", "plate/ground/colour", BLUE, "plate-padding", "8 pt"),
        shadow("x", "6 pt", "12 pt", grows(0, 0, 6, 0)),
        shadow("y", "6 pt", "12 pt", grows(0, 0, 0, 6)),
        shadow("blur", "0 pt", "6 pt", hasLess(RED, 1.3)),
        shadow("blur-aspect", "100", "0", hasMore(RED, 1.05))
            .given("finish/fill/shadow/blur", "8 pt"),
        // along the light's own direction letters are left as bars
        shadow(
                "blur-angle",
                "0",
                "90",
                (before, after) -> assertThat(after.height() - before.height()).isGreaterThan(6))
            .given(
                "finish/fill/shadow/blur", "12 pt",
                "finish/fill/shadow/blur-aspect", "0"),
        shadow("spread", "0 pt", "2 pt", hasMore(RED, 1.2)),
        shadow("knockout", "false", "true", isLighter()).given("finish/fill/opacity", "0.5"),
        shadow(
                "source",
                "edge",
                "centre",
                (before, after) ->
                    // red is lighter than black: in the middle of the stem it comes from the centre
                    assertThat(stem(after).amount()).isLessThan(stem(before).amount() * 0.95))
            .words("I")
            .given("finish/fill/shadow/kind", "inner-glow", "finish/fill/shadow/blur", "4 pt"),
        bevel(
                "azimuth",
                "235",
                "55",
                (before, after) ->
                    assertThat(leftShare(before)).isLessThan(leftShare(after) - 0.02))
            .words("I"),
        bevel("elevation", "20", "80", differs()),
        bevel("bevel-width", "1 pt", "5 pt", hasLess("#808080", 1.1)),
        bevel("depth", "1", "0", hasMore("#808080", 1.1)),
        bevel("highlight-colour", RED, GREEN, appears("#80ff80")),
        bevel("highlight-blend", "screen", "normal", differs())
            .given("finish/fill/shadow/highlight-colour", RED),
        bevel("shade-colour", BLACK, RED, hasMore("#800000", 1)),
        bevel("shade-blend", "multiply", "normal", differs())
            .given("finish/fill/shadow/shade-colour", RED));
  }
}
