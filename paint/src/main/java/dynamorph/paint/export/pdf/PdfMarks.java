package dynamorph.paint.export.pdf;

import static java.util.Objects.requireNonNull;

import dynamorph.model.value.BlendMode;
import dynamorph.model.value.Rgba;
import dynamorph.paint.artwork.AreaPaint;
import dynamorph.paint.artwork.Contour;
import dynamorph.paint.artwork.Mark;
import dynamorph.paint.export.Pictures;
import dynamorph.typeset.layout.Box;
import io.github.humbleui.skija.Matrix33;
import io.github.humbleui.skija.Path;
import io.github.humbleui.types.Rect;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.util.IdentityHashMap;
import java.util.List;
import java.util.Map;
import org.apache.pdfbox.cos.COSDictionary;
import org.apache.pdfbox.cos.COSName;
import org.apache.pdfbox.pdmodel.PDDocument;
import org.apache.pdfbox.pdmodel.PDFormContentStream;
import org.apache.pdfbox.pdmodel.PDPatternContentStream;
import org.apache.pdfbox.pdmodel.PDResources;
import org.apache.pdfbox.pdmodel.common.PDRectangle;
import org.apache.pdfbox.pdmodel.graphics.color.PDColor;
import org.apache.pdfbox.pdmodel.graphics.color.PDDeviceRGB;
import org.apache.pdfbox.pdmodel.graphics.color.PDPattern;
import org.apache.pdfbox.pdmodel.graphics.form.PDFormXObject;
import org.apache.pdfbox.pdmodel.graphics.form.PDTransparencyGroupAttributes;
import org.apache.pdfbox.pdmodel.graphics.image.PDImageXObject;
import org.apache.pdfbox.pdmodel.graphics.pattern.PDAbstractPattern;
import org.apache.pdfbox.pdmodel.graphics.pattern.PDShadingPattern;
import org.apache.pdfbox.pdmodel.graphics.pattern.PDTilingPattern;
import org.apache.pdfbox.pdmodel.graphics.shading.PDShading;
import org.apache.pdfbox.pdmodel.graphics.state.PDExtendedGraphicsState;
import org.apache.pdfbox.util.Matrix;

/** Puts marks on content streams: areas with their paints and transparency, pictures. */
final class PdfMarks {
  private final PDDocument document;

  /** Where streams look up what they name. */
  private final Map<PDFormContentStream, PDResources> resources = new IdentityHashMap<>();

  PdfMarks(PDDocument document) {
    this.document = document;
  }

  /** Whether PDF knows the blend modes of an artwork. */
  static boolean canMix(Mark mark) {
    return switch (mark) {
      case Mark.Area area -> area.blend() != BlendMode.PLUS_LIGHTER;
      case Mark.Picture picture -> picture.blend() != BlendMode.PLUS_LIGHTER;
      case Mark.Hairline _, Mark.Text _ -> true;
      case Mark.Placed placed -> placed.marks().stream().allMatch(PdfMarks::canMix);
      case Mark.Group group ->
          group.blend() != BlendMode.PLUS_LIGHTER
              && group.marks().stream().allMatch(PdfMarks::canMix);
    };
  }

  /** Puts something on a stream; what goes wrong with the stream ends the writing. */
  interface Drawing {
    void on(PDFormContentStream content) throws IOException;
  }

  /** Marks as a drawing of its own that can be put in place. */
  PDFormXObject form(Box box, List<Mark> marks) throws IOException {
    return form(
        box,
        content -> {
          for (Mark mark : marks) {
            draw(content, mark, box);
          }
        });
  }

  /** A drawing of its own that can be put in place. */
  PDFormXObject form(Box box, Drawing drawing) throws IOException {
    PDFormXObject form = new PDFormXObject(document);
    form.setResources(new PDResources());
    form.setBBox(rectangle(box));
    try (PDFormContentStream content = new PDFormContentStream(form)) {
      resources.put(content, form.getResources());
      drawing.on(content);
    }
    return form;
  }

  /** A drawing that is mixed as one (ISO 32000-2, 11.6.6). */
  private PDFormXObject group(Box box, COSName colours, Drawing drawing) throws IOException {
    PDFormXObject form = form(box, drawing);
    COSDictionary group = new COSDictionary();
    group.setItem(COSName.TYPE, COSName.GROUP);
    group.setItem(COSName.S, COSName.TRANSPARENCY);
    group.setItem(COSName.CS, colours);
    group.setBoolean(COSName.I, true);
    form.getCOSObject().setItem(COSName.GROUP, new PDTransparencyGroupAttributes(group));
    return form;
  }

  private void draw(PDFormContentStream content, Mark mark, Box all) throws IOException {
    content.saveGraphicsState();
    switch (mark) {
      case Mark.Area area -> area(content, area);
      case Mark.Hairline line -> {
        content.setStrokingColor(colour(line.colour()));
        content.setLineWidth((float) line.width());
        trace(content, line.path());
        content.stroke();
      }
      case Mark.Picture picture -> {
        mix(content, picture.opacity(), picture.blend());
        image(content, picture.png(), picture.place());
      }
      case Mark.Placed _, Mark.Text _ ->
          throw new IllegalArgumentException("layers and their words are put on pages");
      case Mark.Group group -> {
        mix(content, group.opacity(), group.blend());
        content.drawForm(
            group(
                all,
                COSName.DEVICERGB,
                inner -> {
                  for (Mark own : group.marks()) {
                    draw(inner, own, all);
                  }
                }));
      }
    }
    content.restoreGraphicsState();
  }

  /** Images stand on their feet in PDF. */
  private void image(PDFormContentStream content, byte[] png, Box place) throws IOException {
    PDImageXObject image = PdfImage.of(document, png);
    content.drawImage(
        image,
        new Matrix(
            (float) place.width(),
            0,
            0,
            (float) -place.height(),
            (float) place.x(),
            (float) place.bottom()));
  }

  private void area(PDFormContentStream content, Mark.Area area) throws IOException {
    if (area.path().isEmpty()) {
      return;
    }
    content.transform(affine(area.matrix()));
    switch (area.paint()) {
      case AreaPaint.Plain(Rgba colour) -> {
        mix(content, area.opacity() * colour.alpha() / 255.0, area.blend());
        content.setNonStrokingColor(colour(colour));
        fill(content, area.path());
      }
      case AreaPaint.Ramp ramp -> {
        Box box = bounds(area.path());
        PDExtendedGraphicsState state = mixing(area.opacity(), area.blend());
        if (!ramp.isOpaque()) {
          state.getCOSObject().setItem(COSName.SMASK, softMask(ramp, box));
        }
        content.setGraphicsStateParameters(state);
        PDShadingPattern pattern = new PDShadingPattern();
        pattern.setShading(PdfShadings.colours(ramp, box));
        place(pattern, affine(area.matrix()), ellipse(ramp.course()));
        content.setNonStrokingColor(patterned(content, pattern));
        fill(content, area.path());
      }
      case AreaPaint.Tiled tiled -> {
        if (tiled.ground().alpha() > 0) {
          content.saveGraphicsState();
          mix(content, area.opacity() * tiled.ground().alpha() / 255.0, area.blend());
          content.setNonStrokingColor(colour(tiled.ground()));
          fill(content, area.path());
          content.restoreGraphicsState();
        }
        mix(content, area.opacity() * tiled.marks().alpha() / 255.0, area.blend());
        PDFormXObject tile =
            form(
                new Box(0, 0, tiled.width(), tiled.height()),
                inner -> {
                  inner.setNonStrokingColor(colour(tiled.marks()));
                  fill(inner, tiled.form());
                });
        tile(content, area, tile, tiled.matrix());
      }
      case AreaPaint.TiledImage tiled -> {
        mix(content, area.opacity(), area.blend());
        Box box = new Box(0, 0, tiled.width(), tiled.height());
        byte[] png = Pictures.png(tiled.image());
        tile(content, area, form(box, inner -> image(inner, png, box)), tiled.matrix());
      }
    }
  }

  private void tile(PDFormContentStream content, Mark.Area area, PDFormXObject tile, Matrix33 place)
      throws IOException {
    PDTilingPattern pattern = new PDTilingPattern();
    pattern.setPaintType(PDTilingPattern.PAINT_COLORED);
    pattern.setTilingType(PDTilingPattern.TILING_CONSTANT_SPACING);
    pattern.setResources(new PDResources());
    pattern.setBBox(tile.getBBox());
    pattern.setXStep(tile.getBBox().getWidth());
    pattern.setYStep(tile.getBBox().getHeight());
    place(pattern, affine(area.matrix()), affine(place));
    try (PDPatternContentStream once = new PDPatternContentStream(pattern)) {
      once.drawForm(tile);
    }
    content.setNonStrokingColor(patterned(content, pattern));
    fill(content, area.path());
  }

  /** Lets a pattern lie as its area does, and then in its own way. */
  private static void place(PDAbstractPattern pattern, Matrix area, Matrix own) {
    pattern.getCOSObject().setItem(COSName.MATRIX, own.multiply(area).toCOSArray());
  }

  private PDColor patterned(PDFormContentStream content, PDAbstractPattern pattern) {
    PDResources own = requireNonNull(resources.get(content));
    return new PDColor(own.add(pattern), new PDPattern(own));
  }

  /** The opacity of a gradient as the lightness of a group (ISO 32000-2, 11.6.5.3). */
  private COSDictionary softMask(AreaPaint.Ramp ramp, Box box) throws IOException {
    PDShading grey = PdfShadings.opacities(ramp, box);
    PDFormXObject mask =
        group(
            box.grown(1, 1),
            COSName.DEVICEGRAY,
            inner -> {
              inner.transform(ellipse(ramp.course()));
              inner.shadingFill(grey);
            });
    COSDictionary soft = new COSDictionary();
    soft.setItem(COSName.TYPE, COSName.MASK);
    soft.setItem(COSName.S, COSName.LUMINOSITY);
    soft.setItem(COSName.G, mask);
    return soft;
  }

  private static Matrix ellipse(AreaPaint.Course course) {
    return switch (course) {
      case AreaPaint.Along _ -> new Matrix();
      case AreaPaint.Outwards at ->
          new Matrix(
              (float) at.ellipse().a(),
              (float) at.ellipse().b(),
              (float) at.ellipse().c(),
              (float) at.ellipse().d(),
              (float) at.ellipse().e(),
              (float) at.ellipse().f());
    };
  }

  static void mix(PDFormContentStream content, double opacity, BlendMode blend) throws IOException {
    if (opacity < 1 || blend != BlendMode.NORMAL) {
      content.setGraphicsStateParameters(mixing(opacity, blend));
    }
  }

  private static PDExtendedGraphicsState mixing(double opacity, BlendMode blend) {
    PDExtendedGraphicsState state = new PDExtendedGraphicsState();
    state.setNonStrokingAlphaConstant((float) opacity);
    state.getCOSObject().setItem(COSName.BM, COSName.getPDFName(name(blend)));
    return state;
  }

  private static String name(BlendMode blend) {
    return switch (blend) {
      case NORMAL -> "Normal";
      case MULTIPLY -> "Multiply";
      case SCREEN -> "Screen";
      case OVERLAY -> "Overlay";
      case DARKEN -> "Darken";
      case LIGHTEN -> "Lighten";
      case COLOUR_DODGE -> "ColorDodge";
      case COLOUR_BURN -> "ColorBurn";
      case HARD_LIGHT -> "HardLight";
      case SOFT_LIGHT -> "SoftLight";
      case DIFFERENCE -> "Difference";
      case EXCLUSION -> "Exclusion";
      case HUE -> "Hue";
      case SATURATION -> "Saturation";
      case COLOUR -> "Color";
      case LUMINOSITY -> "Luminosity";
      case PLUS_LIGHTER ->
          throw new IllegalArgumentException("PDF has no blend mode \"plus-lighter\"");
    };
  }

  private static void fill(PDFormContentStream content, Path path) throws IOException {
    trace(content, path);
    if (Contour.isEvenOdd(path)) {
      content.fillEvenOdd();
    } else {
      content.fill();
    }
  }

  private static void trace(PDFormContentStream content, Path path) throws IOException {
    try {
      Contour.tell(path, new Tracer(content));
    } catch (UncheckedIOException failed) {
      throw failed.getCause();
    }
  }

  private record Tracer(PDFormContentStream content) implements Contour.Taker {
    private interface Step {
      void go() throws IOException;
    }

    private static void go(Step step) {
      try {
        step.go();
      } catch (IOException failed) {
        throw new UncheckedIOException(failed);
      }
    }

    @Override
    public void move(float x, float y) {
      go(() -> content.moveTo(x, y));
    }

    @Override
    public void line(float x, float y) {
      go(() -> content.lineTo(x, y));
    }

    @Override
    public void cubic(float x1, float y1, float x2, float y2, float x, float y) {
      go(() -> content.curveTo(x1, y1, x2, y2, x, y));
    }

    @Override
    public void close() {
      go(content::closePath);
    }
  }

  static PDColor colour(Rgba colour) {
    float[] parts = {colour.red() / 255f, colour.green() / 255f, colour.blue() / 255f};
    return new PDColor(parts, PDDeviceRGB.INSTANCE);
  }

  static Matrix affine(Matrix33 matrix) {
    float[] m = matrix.getMat();
    return new Matrix(m[0], m[3], m[1], m[4], m[2], m[5]);
  }

  static PDRectangle rectangle(Box box) {
    return new PDRectangle(
        (float) box.x(), (float) box.y(), (float) box.width(), (float) box.height());
  }

  private static Box bounds(Path path) {
    Rect rect = path.computeTightBounds();
    return new Box(rect.getLeft(), rect.getTop(), rect.getWidth(), rect.getHeight());
  }
}
