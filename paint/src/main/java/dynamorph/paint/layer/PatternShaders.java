package dynamorph.paint.layer;

import static java.util.Objects.requireNonNull;

import com.github.benmanes.caffeine.cache.Cache;
import com.github.benmanes.caffeine.cache.Caffeine;
import dynamorph.model.Asset;
import dynamorph.model.cascade.Coat;
import dynamorph.model.cascade.Paint.Pattern;
import dynamorph.model.value.PatternTile;
import dynamorph.model.value.Rgba;
import dynamorph.model.value.StrokeCap;
import dynamorph.model.value.StrokeJoin;
import dynamorph.paint.artwork.AreaPaint;
import dynamorph.paint.geometry.Edges;
import dynamorph.typeset.layout.Box;
import io.github.humbleui.skija.Data;
import io.github.humbleui.skija.FilterMipmap;
import io.github.humbleui.skija.FilterMode;
import io.github.humbleui.skija.FilterTileMode;
import io.github.humbleui.skija.Image;
import io.github.humbleui.skija.Matrix33;
import io.github.humbleui.skija.MipmapMode;
import io.github.humbleui.skija.Path;
import io.github.humbleui.skija.PathBuilder;
import io.github.humbleui.skija.RuntimeEffect;
import io.github.humbleui.skija.Shader;
import io.github.humbleui.types.Rect;
import java.nio.ByteBuffer;
import java.nio.ByteOrder;
import java.util.EnumMap;
import java.util.Map;
import java.util.Optional;

/**
 * Patterns as formulas over the plane, so that they are sharp at any size: each gives the distance
 * to the edge of the nearest mark, of which a pixel shows as much as lies within it. One tile is
 * one unit wide.
 */
final class PatternShaders {
  private static final String HEAD =
      "uniform half4 marks; uniform half4 ground; uniform float weight; uniform float pixel;"
          // the share of a pixel within an edge that is so far outside of its middle
          + "float within(float d) { return clamp(0.5 - d / pixel, 0.0, 1.0); }"
          + "half4 shown(float share) { half4 m = half4(marks.rgb * marks.a, marks.a);"
          + " half4 g = half4(ground.rgb * ground.a, ground.a);"
          + " return mix(g, m, half(share)); }";

  private static final Map<PatternTile, RuntimeEffect> EFFECTS = effects();

  /** Images decoded once; gone when the project's file is. */
  private static final Cache<Asset, Optional<Image>> IMAGES =
      Caffeine.newBuilder().weakKeys().build();

  private PatternShaders() {}

  private static Map<PatternTile, RuntimeEffect> effects() {
    Map<PatternTile, RuntimeEffect> effects = new EnumMap<>(PatternTile.class);
    effects.put(
        PatternTile.DOTS,
        effect(
            "float2 cell = float2(1.0, sqrt(3.0));"
                + "float2 a = mod(p, cell) - cell / 2; float2 b = mod(p + cell / 2, cell) - cell / 2;"
                + "float d = min(length(a), length(b)) - weight / 2;"
                + "return shown(weight > 0 ? within(d) : 0);"));
    effects.put(
        PatternTile.STRIPES,
        effect("float d = abs(fract(p.x) - 0.5); return shown(bar(d, weight));"));
    effects.put(
        PatternTile.CHECKS,
        effect(
            "float2 a = abs(fract(p) - 0.25); float2 b = abs(fract(p) - 0.75);"
                + "a = min(a, 1.0 - a); b = min(b, 1.0 - b);"
                + "float d = min(max(a.x, a.y), max(b.x, b.y)) - weight / 2;"
                + "return shown(weight > 0 ? within(d) : 0);"));
    effects.put(
        PatternTile.HATCH,
        effect(
            "float2 d = abs(fract(p) - 0.5); float x = bar(d.x, weight / 2);"
                + " float y = bar(d.y, weight / 2); return shown(x + y - x * y);"));
    effects.put(
        PatternTile.WAVES,
        effect(
            "float swing = 0.25; float turn = 6.2831853;"
                + "float y = fract(p.y - swing * sin(turn * p.x / 2) + 0.5) - 0.5;"
                + "float slope = swing * turn / 2 * cos(turn * p.x / 2);"
                + "return shown(bar(abs(y) / sqrt(1 + slope * slope), weight * 0.7));"));
    effects.put(
        PatternTile.GRAIN,
        effect(
            "float share = 0; for (int row = -1; row <= 1; row++)"
                + " for (int column = -1; column <= 1; column++) {"
                + " float2 cell = floor(p * 3) + float2(float(column), float(row));"
                + " float3 r = chance(cell);"
                + " float2 at = (cell + 0.2 + 0.6 * r.xy) / 3;"
                + " if (r.z < weight) {"
                + " float d = length(p - at) - (0.05 + 0.12 * fract(r.z * 97));"
                + " share = max(share, within(d)); } }"
                + "return shown(share);"));
    return effects;
  }

  /**
   * @param colour statements that return the colour at a place p, in tiles
   */
  private static RuntimeEffect effect(String colour) {
    String bar =
        "float bar(float d, float width) {"
            // a bar thinner than a pixel is as faint as it is thin
            + " return min(within(d - width / 2), width / min(pixel, 1.0)); }";
    String chance =
        // D. Hoskins, Hash without sine (2014): three numbers from 0 to 1 for a cell
        "float3 chance(float2 cell) {"
            + " float3 q = fract(float3(cell.xyx) * float3(0.1031, 0.1030, 0.0973));"
            + " q += dot(q, q.yxz + 33.33);"
            + " return fract((q.xxy + q.yzz) * q.zyx); }";
    return RuntimeEffect.makeForShader(
        HEAD + bar + chance + "half4 main(float2 p) {" + colour + "}");
  }

  /**
   * The shader of a pattern that begins at a box; the caller closes it.
   *
   * @param scale pixels per point
   */
  static Shader of(Pattern pattern, Box box, double scale) {
    if (pattern.tile() == PatternTile.IMAGE) {
      return pattern
          .image()
          .flatMap(PatternShaders::image)
          .map(image -> tiled(image, pattern, box))
          .orElseGet(() -> Shader.makeColor(pattern.background().argb()));
    }
    ByteBuffer uniforms = ByteBuffer.allocate(10 * Float.BYTES).order(ByteOrder.nativeOrder());
    put(uniforms, pattern.marks());
    put(uniforms, pattern.background());
    uniforms.putFloat((float) pattern.weight());
    uniforms.putFloat((float) Math.max(1e-6, 1 / (scale * pattern.size())));
    try (Data data = Data.makeFromBytes(uniforms.array())) {
      return requireNonNull(EFFECTS.get(pattern.tile()))
          .makeShader(data, null, matrix(pattern, box, pattern.size()));
    }
  }

  private static void put(ByteBuffer uniforms, Rgba colour) {
    uniforms
        .putFloat(colour.red() / 255f)
        .putFloat(colour.green() / 255f)
        .putFloat(colour.blue() / 255f)
        .putFloat(colour.alpha() / 255f);
  }

  /**
   * From tiles to points.
   *
   * @param unit how many points a unit of the tiles is long
   */
  static Matrix33 matrix(Pattern pattern, Box box, double unit) {
    return Matrix33.makeTranslate((float) (box.x() + pattern.x()), (float) (box.y() + pattern.y()))
        .makeConcat(Matrix33.makeRotate((float) pattern.angle()))
        .makeConcat(Matrix33.makeScale((float) unit));
  }

  /**
   * A pattern as a form that is repeated.
   *
   * @return empty where there is no such form: grain has no order
   */
  static Optional<AreaPaint> repeated(Pattern pattern, Box box) {
    if (pattern.tile() == PatternTile.GRAIN) {
      return Optional.empty();
    }
    if (pattern.tile() == PatternTile.IMAGE) {
      return Optional.of(
          pattern
              .image()
              .flatMap(asset ->
                  image(asset)
                      .map(image ->
                          (AreaPaint)
                              new AreaPaint.TiledImage(
                                  asset,
                                  image.getWidth(),
                                  image.getHeight(),
                                  matrix(pattern, box, pattern.size() / image.getWidth()))))
              .orElseGet(() -> new AreaPaint.Plain(pattern.background())));
    }
    double width = pattern.tile() == PatternTile.WAVES ? 2 : 1;
    double height = pattern.tile() == PatternTile.DOTS ? Math.sqrt(3) : 1;
    return Optional.of(
        new AreaPaint.Tiled(
            form(pattern.tile(), (float) pattern.weight()),
            width,
            height,
            pattern.marks(),
            pattern.background(),
            matrix(pattern, box, pattern.size())));
  }

  /** What the formulas show, as outlines on one tile. */
  private static Path form(PatternTile tile, float weight) {
    try (PathBuilder form = new PathBuilder()) {
      switch (tile) {
        case DOTS -> {
          float row = (float) Math.sqrt(3);
          for (float[] at : new float[][] {{0, 0}, {1, 0}, {0.5f, row / 2}, {0, row}, {1, row}}) {
            form.addCircle(at[0], at[1], weight / 2);
          }
        }
        case STRIPES -> form.addRect(Rect.makeXYWH(0.5f - weight / 2, 0, weight, 1));
        case CHECKS -> {
          // those beyond the tile reach into it when they are large
          for (int column = -1; column <= 2; column++) {
            for (int row = -1; row <= 2; row++) {
              if ((column + row) % 2 == 0) {
                float x = column / 2f + 0.25f;
                float y = row / 2f + 0.25f;
                form.addRect(Rect.makeXYWH(x - weight / 2, y - weight / 2, weight, weight));
              }
            }
          }
        }
        case HATCH -> {
          form.addRect(Rect.makeXYWH(0.5f - weight / 4, 0, weight / 2, 1));
          form.addRect(Rect.makeXYWH(0, 0.5f - weight / 4, 1, weight / 2));
        }
        case WAVES -> {
          for (int row = -1; row <= 1; row++) {
            form.addPath(wave(row, weight * 0.7f));
          }
        }
        case GRAIN, IMAGE -> throw new IllegalArgumentException(tile + " has no form");
      }
      return form.detach();
    }
  }

  private static Path wave(int row, float width) {
    try (PathBuilder line = new PathBuilder()) {
      int pieces = 96;
      for (int piece = -2; piece <= pieces + 2; piece++) {
        float x = 2f * piece / pieces;
        float y = row + 0.25f * (float) Math.sin(Math.PI * x);
        if (piece == -2) {
          line.moveTo(x, y);
        } else {
          line.lineTo(x, y);
        }
      }
      try (Path middle = line.detach()) {
        return Edges.stroked(middle, width, new Coat.Corner(StrokeJoin.ROUND, 4), StrokeCap.BUTT);
      }
    }
  }

  private static Shader tiled(Image image, Pattern pattern, Box box) {
    Matrix33 matrix = matrix(pattern, box, pattern.size() / image.getWidth());
    return image.makeShader(
        FilterTileMode.REPEAT,
        FilterTileMode.REPEAT,
        new FilterMipmap(FilterMode.LINEAR, MipmapMode.LINEAR),
        matrix);
  }

  /** The image in a file of the project, if it is one that can be read. */
  static Optional<Image> image(Asset asset) {
    return IMAGES.get(asset, PatternShaders::decoded);
  }

  private static Optional<Image> decoded(Asset asset) {
    try {
      Image image = DecodedImage.of(asset.bytes());
      if (new ImageSize(image.getWidth(), image.getHeight()).fits()) {
        return Optional.of(image);
      }
      image.close();
      return Optional.empty();
    } catch (RuntimeException unreadable) {
      return Optional.empty();
    }
  }
}
