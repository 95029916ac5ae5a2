package dynamorph.bench;

import dynamorph.model.value.Rgba;
import dynamorph.paint.Pixels;
import dynamorph.paint.artwork.Mark;
import dynamorph.paint.export.SvgWriter;
import dynamorph.paint.layer.LayerOutlines;
import dynamorph.paint.scene.PlacedLayer;
import io.github.humbleui.skija.Path;
import io.github.humbleui.types.Rect;
import java.awt.image.BufferedImage;
import java.io.IOException;
import java.nio.file.Files;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import javax.imageio.ImageIO;

/**
 * Writes what {@link FinishBench} draws, as pixels and as an SVG that makes browsers draw the same:
 * the same coats and effects in the same order, the letters and their moved edges ready-made, each
 * effect a filter in a box no larger than it needs. Only that the dots are not fitted to their
 * contours, which SVG cannot say.
 */
public final class RivetedPicture {
  private static final int WIDTH = 1280;
  private static final int HEIGHT = 800;

  /**
   * Where letters and edges lie.
   *
   * @param box around the letters
   */
  private record Edges(String letters, String inner, String middle, String outer, Rect box) {}

  private RivetedPicture() {}

  public static void main(String[] arguments) throws IOException {
    java.nio.file.Path folder = java.nio.file.Path.of(arguments[0]);
    FinishBench bench = new FinishBench();
    bench.nudged = "finish/rim/width";
    bench.open();
    BufferedImage image = new BufferedImage(WIDTH, HEIGHT, BufferedImage.TYPE_INT_RGB);
    Pixels drawn = bench.drawn();
    for (int at = 0; at < WIDTH * HEIGHT; at++) {
      image.setRGB(at % WIDTH, at / WIDTH, drawn.argb(at % WIDTH, at / WIDTH));
    }
    ImageIO.write(image, "png", folder.resolve("riveted.png").toFile());
    Files.writeString(folder.resolve("riveted.svg"), svg(bench.placed()));
    bench.close();
  }

  private static Edges edges(PlacedLayer title) {
    List<Path> paths = new ArrayList<>();
    LayerOutlines.Colours colours = LayerOutlines.Colours.on(Rgba.parse("#ffffff"));
    String middle = "";
    for (Mark mark : LayerOutlines.marks(title.layout(), title.look(), colours, 1)) {
      if (mark instanceof Mark.Hairline line && line.colour().equals(colours.dash())) {
        middle = SvgWriter.data(line.path());
      } else if (mark instanceof Mark.Hairline line) {
        paths.add(line.path());
      }
    }
    // the contour, then the sides of the first stroke
    return new Edges(
        SvgWriter.data(paths.get(0)),
        SvgWriter.data(paths.get(2)),
        middle,
        SvgWriter.data(paths.get(1)),
        paths.get(0).getBounds());
  }

  private static String svg(PlacedLayer title) {
    Edges edges = edges(title);
    var corner = title.toArtboard(0, 0);
    String filters =
        filter("far", edges.box, 6 + 30, "<feGaussianBlur stdDeviation='10'/>")
            + filter("glow", edges.box, 6 + 15, "<feGaussianBlur stdDeviation='5'/>")
            + filter("shine", edges.box, 6 + 3, inner("#ffe9c4", 1, 1))
            + filter("deep", edges.box, 12, inner("#000000", 0.75, 4));
    return """
    <svg xmlns='http://www.w3.org/2000/svg' width='%d' height='%d'><defs>%s</defs>
    <rect width='%d' height='%d' fill='#efe9dc'/>
    <g transform='translate(%.2f %.2f)'>
    <path transform='translate(16 16)' fill='#c9bfa8' d='%s'/>
    <path fill='#1f4d3a' d='%s'/><path filter='url(#deep)' d='%s'/>
    <g fill='none'>
    <path stroke='#8c4a2f' stroke-width='6' d='%s'/>
    <path stroke='#d9906a' d='%s'/><path stroke='#d9906a' d='%s'/>
    <g stroke-width='4' stroke-linecap='round' stroke-linejoin='round' stroke-dasharray='.01 12'>
    <path filter='url(#far)' stroke='#ffb347' stroke-opacity='0.5' d='%s'/>
    <path filter='url(#glow)' stroke='#ffd9a0' d='%s'/>
    <path stroke='#ffffff' d='%s'/>
    <path filter='url(#shine)' stroke='#ffffff' d='%s'/>
    </g></g></g></svg>
    """
        .formatted(
            WIDTH,
            HEIGHT,
            filters,
            WIDTH,
            HEIGHT,
            corner.x(),
            corner.y(),
            edges.letters,
            edges.letters,
            edges.letters,
            edges.middle,
            edges.inner,
            edges.outer,
            edges.middle,
            edges.middle,
            edges.middle,
            edges.middle);
  }

  private static String filter(String id, Rect box, int margin, String steps) {
    return String.format(
        Locale.ROOT,
        "<filter id='%s' x='%.0f' y='%.0f' width='%.0f' height='%.0f' filterUnits='userSpaceOnUse'"
            + " color-interpolation-filters='sRGB'>%s</filter>",
        id,
        box.getLeft() - margin,
        box.getTop() - margin,
        box.getWidth() + 2 * margin,
        box.getHeight() + 2 * margin,
        steps);
  }

  /** A glow from the edge inwards: what is outside, blurred, where the shape is. */
  private static String inner(String colour, double opacity, double deviation) {
    return """
    <feFlood flood-color='%s' flood-opacity='%s'/><feComposite in2='SourceAlpha' operator='out'/>\
    <feGaussianBlur stdDeviation='%s'/><feComposite in2='SourceAlpha' operator='in'/>\
    """
        .formatted(colour, opacity, deviation);
  }
}
