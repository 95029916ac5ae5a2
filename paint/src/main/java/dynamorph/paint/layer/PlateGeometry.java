package dynamorph.paint.layer;

import dynamorph.model.cascade.ParagraphLook;
import dynamorph.model.cascade.Plate;
import dynamorph.model.cascade.ResolvedLayer;
import dynamorph.paint.geometry.JoinedBoxes;
import dynamorph.typeset.layout.Box;
import dynamorph.typeset.layout.Line;
import dynamorph.typeset.layout.TextLayout;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;

/** Where the plate of a layout lies. */
final class PlateGeometry {
  private PlateGeometry() {}

  /** The boxes of the plate, in points of the layout, in runs of those that are one. */
  static List<List<Box>> runs(TextLayout layout, ResolvedLayer look) {
    Plate plate = look.plate();
    List<Box> boxes =
        switch (plate.around()) {
          case LAYER -> List.of(box(layout.content(), look, layout.lines().getFirst()));
          case PARAGRAPH -> paragraphs(layout, look);
          case LINE ->
              layout.shownLines().stream()
                  .filter(line -> line.width() > 0)
                  .map(line -> box(line.box(), look, line))
                  .toList();
        };
    return JoinedBoxes.runs(boxes, layout.axes().isVertical());
  }

  private static List<Box> paragraphs(TextLayout layout, ResolvedLayer look) {
    Map<Integer, List<Line>> paragraphs = new LinkedHashMap<>();
    for (Line line : layout.shownLines()) {
      paragraphs.computeIfAbsent(line.paragraph(), _ -> new ArrayList<>()).add(line);
    }
    List<Box> boxes = new ArrayList<>();
    for (List<Line> lines : paragraphs.values()) {
      Box content = lines.stream().map(Line::box).reduce(Box::with).orElseThrow();
      if (content.width() > 0) {
        boxes.add(box(content, look, lines.getFirst()));
      }
    }
    return boxes;
  }

  /** With its padding, and as wide as it must be on the side where the lines are ragged. */
  private static Box box(Box content, ResolvedLayer look, Line first) {
    Plate plate = look.plate();
    Plate.Padding padding = plate.padding();
    Box box =
        Box.between(
            content.x() - padding.left(),
            content.y() - padding.above(),
            content.right() + padding.right(),
            content.bottom() + padding.below());
    boolean vertical = first.axes().isVertical();
    double missing = plate.leastWidth() - (vertical ? box.height() : box.width());
    if (missing <= 0) {
      return box;
    }
    ParagraphLook set = look.paragraphs().get(first.paragraph()).look();
    double before =
        switch (set.alignment()) {
          case CENTRE -> missing / 2;
          case RIGHT -> missing;
          case LEFT -> 0;
          case END -> first.rightToLeft() ? 0 : missing;
          case START, JUSTIFIED -> first.rightToLeft() ? missing : 0;
        };
    return vertical
        ? new Box(box.x(), box.y() - before, box.width(), plate.leastWidth())
        : new Box(box.x() - before, box.y(), plate.leastWidth(), box.height());
  }
}
