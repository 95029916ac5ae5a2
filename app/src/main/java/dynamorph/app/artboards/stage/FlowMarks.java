package dynamorph.app.artboards.stage;

import dynamorph.app.message.Messages;
import dynamorph.model.LayerId;
import dynamorph.paint.scene.PlacedLayer;
import dynamorph.paint.scene.PlanePoint;
import dynamorph.paint.scene.Scene;
import dynamorph.typeset.layout.Box;
import dynamorph.typeset.layout.Overset;
import java.util.ArrayList;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import javafx.geometry.Point2D;
import javafx.geometry.VPos;
import javafx.scene.canvas.GraphicsContext;
import javafx.scene.paint.Color;
import javafx.scene.text.Font;
import javafx.scene.text.TextAlignment;

/** How a text flows: the boxes that it goes through, in order, and what finds no room. */
final class FlowMarks {
  private static final Font FONT = Font.font("Source Sans 3", 12);
  private static final Color KELP = Color.web("#0E6B63");
  private static final Color PLUM = Color.web("#7C2A62");
  private static final Color PALE = Color.web("#FFFDF9");

  /** Half the size of the disc with the number of a box. */
  private static final double DISC = 8;

  private static final double TAG_HEIGHT = 18;

  private final StageView stage;
  private final StagePoints points;

  FlowMarks(StageView stage, StagePoints points) {
    this.stage = stage;
    this.points = points;
  }

  // --- overset

  /** A tag that says how much of a text is not to be seen, at the lower edge of its box. */
  private record Tag(Scene.Found found, String words, Box box) {}

  private List<Tag> tags(Scene scene) {
    List<Tag> tags = new ArrayList<>();
    for (Scene.Board board : scene.boards()) {
      Box sight =
          stage
              .view()
              .toPlane(new Box(0, 0, stage.view().width(), stage.view().height()))
              .moved(-board.artboard().x(), -board.artboard().y());
      for (PlacedLayer text : board.texts()) {
        if (text.mayTouch(sight)) {
          Scene.Found found = new Scene.Found(board, text);
          text.layout().overset().ifPresent(overset -> tags.add(tag(found, overset)));
        }
      }
    }
    return tags;
  }

  private Tag tag(Scene.Found found, Overset overset) {
    Box box = points.inNode(StageView.onPlane(found));
    String words =
        overset.hiddenLines() == 0
            ? overset.tooWide()
                ? Messages.of("stage-marks.too-wide")
                : Messages.of("stage-marks.too-low")
            : Messages.of("stage-marks.line-more", overset.hiddenLines());
    double width = StageMarks.width(words, FONT) + 12;
    double x = Math.max(box.x(), box.right() - width);
    return new Tag(found, words, new Box(x, box.bottom() - 2, width, TAG_HEIGHT));
  }

  void drawOverset(GraphicsContext g, Scene scene) {
    for (Tag tag : tags(scene)) {
      g.setFill(PLUM);
      g.fillRoundRect(tag.box.x(), tag.box.y(), tag.box.width(), TAG_HEIGHT, 6, 6);
      g.setFill(Color.WHITE);
      g.setFont(FONT);
      g.setTextAlign(TextAlignment.LEFT);
      g.setTextBaseline(VPos.CENTER);
      g.fillText(tag.words, tag.box.x() + 6, tag.box.y() + 9);
    }
  }

  /** The text whose tag lies at a point; where one lies over another, the upper. */
  Optional<Scene.Found> tagAt(Scene scene, double x, double y) {
    return tags(scene).reversed().stream()
        .filter(tag -> tag.box.contains(x, y))
        .filter(tag -> !tag.found.text().layer().state().locked())
        .map(Tag::found)
        .findFirst();
  }

  // --- links

  /** Draws the boxes that some texts flow through, each with its number, and how they follow. */
  void drawLinks(
      GraphicsContext g, Scene scene, Iterable<LayerId> selected, Optional<LayerId> hovered) {
    Set<LayerId> texts = new LinkedHashSet<>();
    selected.forEach(id -> scene.find(id).ifPresent(found -> texts.add(found.text().text())));
    hovered.flatMap(scene::find).ifPresent(found -> texts.add(found.text().text()));
    for (LayerId text : texts) {
      List<Scene.Found> boxes = scene.boxes(text);
      if (boxes.size() > 1) {
        draw(g, boxes);
      }
    }
  }

  private void draw(GraphicsContext g, List<Scene.Found> boxes) {
    for (Scene.Found box : boxes) {
      points.enter(g, box);
      Box outline = points.scaled(box.text().layout().box());
      g.setStroke(KELP.deriveColor(0, 1, 1, 0.55));
      g.setLineWidth(1);
      g.setLineDashes(3, 3);
      g.strokeRect(outline.x(), outline.y(), outline.width(), outline.height());
      g.setLineDashes();
      g.restore();
    }
    for (int index = 0; index + 1 < boxes.size(); index++) {
      join(g, end(boxes.get(index)), start(boxes.get(index + 1)));
    }
    for (int index = 0; index < boxes.size(); index++) {
      number(g, start(boxes.get(index)), index + 1);
    }
  }

  /** From the end of a box to the beginning of the next, as the text goes. */
  private static void join(GraphicsContext g, Point2D from, Point2D to) {
    // boxes that stand close beside each other are joined in the gap between them
    double bend = Math.clamp(Math.abs(to.getX() - from.getX()), 8, 60);
    for (int pass = 0; pass < 2; pass++) {
      g.setStroke(pass == 0 ? PALE.deriveColor(0, 1, 1, 0.7) : KELP);
      g.setLineWidth(pass == 0 ? 3.4 : 1.6);
      g.beginPath();
      g.moveTo(from.getX(), from.getY());
      g.bezierCurveTo(
          from.getX() + bend, from.getY(), to.getX() - bend, to.getY(), to.getX(), to.getY());
      g.stroke();
    }
    g.setFill(KELP);
    g.fillOval(from.getX() - 3, from.getY() - 3, 6, 6);
  }

  private static void number(GraphicsContext g, Point2D at, int number) {
    g.setFill(KELP);
    g.fillOval(at.getX() - DISC, at.getY() - DISC, 2 * DISC, 2 * DISC);
    g.setStroke(PALE);
    g.setLineWidth(1.2);
    g.strokeOval(at.getX() - DISC, at.getY() - DISC, 2 * DISC, 2 * DISC);
    g.setFill(PALE);
    g.setFont(FONT);
    g.setTextAlign(TextAlignment.CENTER);
    g.setTextBaseline(VPos.CENTER);
    g.fillText(Integer.toString(number), at.getX(), at.getY());
    g.setTextAlign(TextAlignment.LEFT);
  }

  /** Where the text of a box begins: beside the corner of its first line. */
  private Point2D start(Scene.Found box) {
    boolean fromRight = beginsAtTheRight(box);
    double width = box.text().layout().width();
    return inNode(box, fromRight ? width : 0, 0, fromRight ? DISC + 4 : -DISC - 4, DISC);
  }

  /** Where the text leaves a box: beside the corner of its last line. */
  private Point2D end(Scene.Found box) {
    boolean toLeft = beginsAtTheRight(box);
    double width = box.text().layout().width();
    double height = box.text().layout().height();
    return inNode(box, toLeft ? 0 : width, height, toLeft ? -6 : 6, -4);
  }

  private static boolean beginsAtTheRight(Scene.Found box) {
    return switch (box.text().look().placement().inside().mode()) {
      case HORIZONTAL -> box.text().layout().lines().getFirst().rightToLeft();
      case VERTICAL_RIGHT_TO_LEFT -> true;
      case VERTICAL_LEFT_TO_RIGHT -> false;
    };
  }

  /** A point of the layout in the node, so many units of the node off. */
  private Point2D inNode(Scene.Found box, double x, double y, double right, double below) {
    double scale = points.scale();
    PlanePoint onBoard = box.text().toArtboard(x + right / scale, y + below / scale);
    return new Point2D(
        points.x(box.board().artboard().x() + onBoard.x()),
        points.y(box.board().artboard().y() + onBoard.y()));
  }
}
