package dynamorph.paint.export;

import dynamorph.model.Artboard;
import dynamorph.model.value.BlendMode;
import dynamorph.model.value.Rgba;
import dynamorph.paint.artwork.Artwork;
import dynamorph.paint.artwork.Mark;
import dynamorph.paint.layer.LayerArtwork;
import dynamorph.paint.layer.LayerPainter;
import dynamorph.paint.message.Messages;
import dynamorph.paint.scene.PlacedLayer;
import dynamorph.paint.scene.Scene;
import dynamorph.typeset.layout.Box;
import io.github.humbleui.skija.Matrix33;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;

/** An artboard as areas, letters and, where there is no other way, pictures. */
public final class ArtboardArtwork {
  private ArtboardArtwork() {}

  /**
   * The artwork of an artboard, its layers in paint order.
   *
   * @param background what it lies on; nothing if empty
   * @param letters whether letters of one colour stay text; if not they are areas
   * @param scale pixels per point of what is kept as pixels
   * @throws IllegalArgumentException if a picture would have too many pixels
   */
  public static Artwork of(
      Scene.Board board, Optional<Rgba> background, boolean letters, double scale) {
    Artboard artboard = board.artboard();
    List<Mark> layers = new ArrayList<>();
    for (PlacedLayer text : board.texts()) {
      layers.add(placed(text, letters, scale));
    }
    return new Artwork(artboard.width(), artboard.height(), background, layers);
  }

  /**
   * An artboard as one picture with its words, for formats that do not know its blend modes.
   *
   * @param background what it lies on; nothing if empty
   * @param why in words
   * @throws IllegalArgumentException if the picture would have too many pixels
   */
  public static Artwork flattened(
      Scene.Board board,
      Optional<Rgba> background,
      LayerPainter painter,
      String why,
      double scale) {
    Artboard artboard = board.artboard();
    Box all = new Box(0, 0, artboard.width(), artboard.height());
    List<Mark> marks = new ArrayList<>();
    marks.add(
        new Mark.Picture(
            new ArtboardPicture(painter).png(board, background, scale),
            all,
            1,
            BlendMode.NORMAL,
            Messages.of("specimen-sheet.everything-since", why)));
    for (PlacedLayer text : board.texts()) {
      if (text.look().form().isEmpty()) {
        Mark words = LayerArtwork.words(text.layout(), text.look(), text.story());
        marks.add(placed(text, List.of(words)));
      }
    }
    return new Artwork(artboard.width(), artboard.height(), background, marks);
  }

  private static Mark placed(PlacedLayer text, boolean letters, double scale) {
    boolean isShape = text.look().form().isPresent();
    List<Mark> marks =
        letters && !isShape
            ? LayerArtwork.marksAndWords(text.layout(), text.look(), text.story(), scale)
            : LayerArtwork.marks(text.layout(), text.look(), scale);
    return placed(text, marks);
  }

  private static Mark placed(PlacedLayer text, List<Mark> marks) {
    return new Mark.Placed(text.layer().name(), text.words(), matrix(text), marks);
  }

  /** As {@link PlacedLayer#enter} has it. */
  private static Matrix33 matrix(PlacedLayer text) {
    return Matrix33.makeTranslate((float) text.anchorX(), (float) text.anchorY())
        .makeConcat(Matrix33.makeRotate((float) text.look().placement().rotation()))
        .makeConcat(Matrix33.makeTranslate((float) -text.pivotX(), (float) -text.pivotY()));
  }
}
