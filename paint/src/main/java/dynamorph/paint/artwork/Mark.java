package dynamorph.paint.artwork;

import dynamorph.model.value.BlendMode;
import dynamorph.model.value.Rgba;
import dynamorph.typeset.layout.Box;
import io.github.humbleui.skija.Matrix33;
import io.github.humbleui.skija.Path;
import java.util.List;

/** One thing of an artwork. Coordinates in points, y down; opacity from 0 to 1. */
public sealed interface Mark {
  /**
   * A filled area.
   *
   * @param matrix from the coordinates of path and paint to those of the artwork
   */
  record Area(Path path, AreaPaint paint, Matrix33 matrix, double opacity, BlendMode blend)
      implements Mark {}

  /** A line as thin as it shows on screens. */
  record Hairline(Path path, Rgba colour, double width) implements Mark {}

  /**
   * Pixels, for what cannot be told as areas.
   *
   * @param png encoded, with alpha
   * @param place where it lies
   * @param what it shows, in words
   */
  record Picture(byte[] png, Box place, double opacity, BlendMode blend, String what)
      implements Mark {}

  /**
   * Letters that stay text. Those without a colour are not seen: they tell the words of what lies
   * there as areas or pixels.
   *
   * @param runs in reading order
   */
  record Text(List<TextRun> runs) implements Mark {
    public Text {
      runs = List.copyOf(runs);
    }
  }

  /**
   * The marks of a layer.
   *
   * @param layer its name
   * @param words that it shows; empty if it is a shape
   * @param matrix from the coordinates of its marks to those of the artwork
   */
  record Placed(String layer, String words, Matrix33 matrix, List<Mark> marks) implements Mark {
    public Placed {
      marks = List.copyOf(marks);
    }
  }

  /** Marks that are mixed with what lies below as one. */
  record Group(List<Mark> marks, double opacity, BlendMode blend) implements Mark {
    public Group {
      marks = List.copyOf(marks);
    }
  }
}
