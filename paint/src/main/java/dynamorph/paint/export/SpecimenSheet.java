package dynamorph.paint.export;

import static java.util.Objects.requireNonNull;

import dynamorph.model.cascade.ResolvedLayer;
import dynamorph.model.value.BlendMode;
import dynamorph.model.value.Rgba;
import dynamorph.paint.artwork.Artwork;
import dynamorph.paint.artwork.Mark;
import dynamorph.paint.layer.LayerArtwork;
import dynamorph.paint.layer.LayerOutlines;
import dynamorph.paint.layer.LayerPainter;
import dynamorph.paint.message.Messages;
import dynamorph.typeset.layout.Box;
import dynamorph.typeset.layout.TextLayout;
import io.github.humbleui.skija.Canvas;
import io.github.humbleui.skija.Data;
import io.github.humbleui.skija.EncoderPNG;
import io.github.humbleui.skija.Image;
import io.github.humbleui.skija.Matrix33;
import io.github.humbleui.skija.Surface;
import java.util.List;
import java.util.Optional;

/**
 * One text on a sheet that is as large as it, with a margin; as a picture, or as areas.
 *
 * @param background what it lies on; nothing if empty
 * @param outline whether its geometry is shown instead of its paint
 * @param scale pixels per point, of the picture and of what is kept as pixels
 */
public record SpecimenSheet(
    TextLayout layout,
    ResolvedLayer look,
    Optional<Rgba> background,
    boolean outline,
    double margin,
    double scale) {
  /** The most pixels one picture may have: 256 million, one gigabyte. */
  private static final double MOST_PIXELS = 256e6;

  /** What the sheet shows of the layout, on whole points. */
  private Box shown() {
    Box ink = new LayerPainter().bounds(layout, look).with(layout.content());
    double left = Math.floor(ink.x() - margin);
    double top = Math.floor(ink.y() - margin);
    return new Box(
        left, top, Math.ceil(ink.right() + margin) - left, Math.ceil(ink.bottom() + margin) - top);
  }

  /** Where the sheet begins, in points of the layout. */
  public double left() {
    return shown().x();
  }

  /** Where the sheet begins, in points of the layout. */
  public double top() {
    return shown().y();
  }

  /**
   * A PNG file.
   *
   * @throws IllegalArgumentException if it would have no pixels, or too many
   */
  public byte[] png() {
    Box shown = shown();
    double width = Math.rint(shown.width() * scale);
    double height = Math.rint(shown.height() * scale);
    if (!(scale > 0) || width < 1 || height < 1) {
      throw new IllegalArgumentException(
          Messages.of("specimen-sheet.at-scale-the-picture-has-no", scale));
    }
    if (width * height > MOST_PIXELS) {
      throw new IllegalArgumentException(
          Messages.of("specimen-sheet.the-picture-would-be-0f-0f").formatted(width, height));
    }
    try (Surface surface = Surface.makeRasterN32Premul((int) width, (int) height)) {
      Canvas canvas = surface.getCanvas();
      background.ifPresent(colour -> canvas.clear(colour.argb()));
      canvas.scale((float) scale, (float) scale);
      canvas.translate((float) -shown.x(), (float) -shown.y());
      if (outline) {
        LayerOutlines.paint(canvas, layout, look, colours(), scale);
      } else {
        new LayerPainter().paint(canvas, layout, look);
      }
      try (Image image = surface.makeImageSnapshot();
          Data data = requireNonNull(EncoderPNG.encode(image))) {
        return data.getBytes();
      }
    }
  }

  private LayerOutlines.Colours colours() {
    return LayerOutlines.Colours.on(background.orElse(Rgba.WHITE));
  }

  /** The sheet as areas, and pictures where there is no other way. */
  public Artwork artwork() {
    Box shown = shown();
    List<Mark> marks =
        outline
            ? LayerOutlines.marks(layout, look, colours(), scale)
            : LayerArtwork.marks(layout, look, scale);
    Mark placed =
        new Mark.Placed(
            "", "", Matrix33.makeTranslate((float) -shown.x(), (float) -shown.y()), marks);
    return new Artwork(shown.width(), shown.height(), background, List.of(placed));
  }

  /** The sheet as one picture, for formats that do not know its blend modes. */
  public Artwork flattened(String why) {
    Box shown = shown();
    Box all = new Box(0, 0, shown.width(), shown.height());
    Mark picture =
        new Mark.Picture(
            png(), all, 1, BlendMode.NORMAL, Messages.of("specimen-sheet.everything-since", why));
    return new Artwork(shown.width(), shown.height(), Optional.empty(), List.of(picture));
  }
}
