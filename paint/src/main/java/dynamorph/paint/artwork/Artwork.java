package dynamorph.paint.artwork;

import dynamorph.model.value.Rgba;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;

/**
 * Marks on a sheet, from the lowest to the highest.
 *
 * @param width of the sheet in points
 * @param height of the sheet in points
 */
public record Artwork(double width, double height, Optional<Rgba> background, List<Mark> marks) {
  public Artwork {
    marks = List.copyOf(marks);
  }

  /** What is kept as pixels, in words. */
  public List<String> pictures() {
    List<String> pictures = new ArrayList<>();
    collect(marks, pictures);
    return pictures;
  }

  private static void collect(List<Mark> marks, List<String> pictures) {
    for (Mark mark : marks) {
      switch (mark) {
        case Mark.Picture picture -> pictures.add(picture.what());
        case Mark.Group group -> collect(group.marks(), pictures);
        case Mark.Placed placed -> collect(placed.marks(), pictures);
        case Mark.Area _, Mark.Hairline _, Mark.Text _ -> {}
      }
    }
  }
}
