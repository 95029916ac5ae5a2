package dynamorph.app.artboards.stage;

import dynamorph.app.message.Messages;
import dynamorph.app.session.Selection;
import dynamorph.app.session.Workspace;
import dynamorph.app.theme.Theme;
import dynamorph.model.Layer;
import dynamorph.model.LayerId;
import dynamorph.model.Project;
import dynamorph.model.reach.Followers;
import dynamorph.model.reach.LocalChanges;
import dynamorph.model.shape.PathDraft;
import dynamorph.model.style.Style;
import dynamorph.model.style.StyleId;
import dynamorph.model.text.TextRange;
import dynamorph.model.value.SafeArea;
import dynamorph.paint.scene.PlacedLayer;
import dynamorph.paint.scene.Scene;
import dynamorph.typeset.layout.Box;
import dynamorph.typeset.layout.Caret;
import dynamorph.typeset.layout.CaretPlace;
import dynamorph.typeset.layout.Line;
import java.util.List;
import java.util.Optional;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import javafx.geometry.VPos;
import javafx.scene.canvas.GraphicsContext;
import javafx.scene.paint.Color;
import javafx.scene.text.Font;
import javafx.scene.text.Text;
import javafx.scene.text.TextAlignment;

/**
 * Draws what lies over the artboards: their names, corner brackets around what is selected with a
 * tag that names the followed style, the frame of a marquee, caret and selected words, and marks on
 * overset text.
 */
final class StageMarks {
  private static final Font TAG_FONT = Font.font("Source Sans 3", 12);
  private static final Color KELP = Color.web("#0E6B63");
  private static final Color EMBER_ON_DARK = Color.web("#F2A36B");
  private static final Color EMBER_ON_LIGHT = Color.web("#A63F08");
  private static final Color SELECTED_WORDS = Color.web("#0E6B63", 0.25);

  /** Length of a corner bracket's arms. */
  private static final double ARM = 9;

  /** More tags than this would hide the stage; brackets stay. */
  private static final int MOST_TAGS = 12;

  private final Workspace workspace;
  private final StageView stage;
  private final BoxHandles handles;
  private final GradientHandles gradient;
  private final StagePoints points;
  private final SpellingMarks spelling;
  private final PenMarks pen;
  private final FlowMarks flow;
  private Optional<SnapMarks.Shown> snap = Optional.empty();

  StageMarks(Workspace workspace, StageView stage) {
    this.workspace = workspace;
    this.stage = stage;
    this.handles = new BoxHandles(workspace, stage);
    this.gradient = new GradientHandles(workspace, stage);
    this.points = new StagePoints(stage);
    this.spelling = new SpellingMarks(workspace, points);
    this.pen = new PenMarks(points);
    this.flow = new FlowMarks(stage, points);
  }

  void draw(GraphicsContext g, Optional<Box> marquee, Optional<LayerId> hovered, boolean caretOn) {
    g.clearRect(0, 0, g.getCanvas().getWidth(), g.getCanvas().getHeight());
    Optional<Scene> scene = stage.scene();
    if (scene.isEmpty()) {
      return;
    }
    if (workspace.playback().playingProperty().get()) {
      return; // nothing but the picture
    }
    Selection selection = workspace.selection();
    boolean tags = selection.layers().size() <= MOST_TAGS && selection.cursor().isEmpty();
    List<Box> tagBoxes =
        !tags
            ? List.of()
            : selection.layers().stream()
                .flatMap(id -> scene.get().find(id).stream())
                .map(found -> tag(found).box())
                .toList();
    drawFrames(g, scene.get(), tagBoxes);
    flow.drawOverset(g, scene.get());
    stage.spelling().ifPresent(found -> spelling.draw(g, scene.get(), found));
    hovered
        .filter(id -> !selection.contains(id))
        .flatMap(id -> scene.get().find(id))
        .ifPresent(found -> drawOutline(g, found));
    flow.drawLinks(g, scene.get(), selection.layers(), hovered);
    if (selection.cursor().isPresent()) {
      stage.edited().ifPresent(found -> drawSelected(g, found, tags));
    } else {
      for (LayerId id : selection.layers()) {
        scene.get().find(id).ifPresent(found -> drawSelected(g, found, tags));
      }
    }
    drawHandles(g);
    gradient.draw(g);
    if (workspace.view().hiddenCharactersProperty().get()) {
      selection.layers().stream()
          .flatMap(id -> scene.get().find(id).stream())
          .forEach(found -> drawHiddenLetters(g, found));
    }
    if (selection.cursor().isPresent()) {
      Selection.Cursor cursor = selection.cursor().get();
      scene.get().boxes(cursor.layer()).forEach(found -> drawMarked(g, found, cursor));
      if (caretOn) {
        stage.edited().ifPresent(found -> drawCaret(g, found, cursor));
      }
    }
    marquee.ifPresent(box -> drawMarquee(g, box));
    snap.ifPresent(shown -> new SnapMarks(points, stage.themeProperty().get()).draw(g, shown));
    pen.draw(g);
    drawRulers(g, scene.get());
  }

  /** From the artboard that the selection stands on, else from the first. */
  private void drawRulers(GraphicsContext g, Scene scene) {
    if (!workspace.view().rulersProperty().get() || scene.boards().isEmpty()) {
      return;
    }
    Scene.Board board =
        workspace.selection().layers().stream()
            .flatMap(id -> scene.find(id).stream())
            .map(Scene.Found::board)
            .findFirst()
            .orElse(scene.boards().getFirst());
    StageRulers.draw(
        g,
        stage.view(),
        stage.pixelRatio(),
        board.artboard().x(),
        board.artboard().y(),
        stage.themeProperty().get());
  }

  /** What belongs to artboards and films themselves; all that is seen while a film plays. */
  private void drawFrames(GraphicsContext g, Scene scene, List<Box> tags) {
    g.setFill(stage.themeProperty().get().mark().deriveColor(0, 1, 1, 0.82));
    ArtboardNames.draw(g, scene.boards(), points::inNode, tags);
    if (workspace.playback().safeAreasShownProperty().get()) {
      drawSafeAreas(g, scene);
    }
  }

  /** The text whose overset tag lies at a point. */
  Optional<Scene.Found> oversetTagAt(double x, double y) {
    return stage.scene().flatMap(scene -> flow.tagAt(scene, x, y));
  }

  void setSnap(Optional<SnapMarks.Shown> shown) {
    snap = shown;
  }

  void setPen(PathDraft draft, Optional<double[]> next) {
    pen.set(draft, next);
  }

  /** The parts of a film that every screen shows: SMPTE ST 2046-1. */
  private void drawSafeAreas(GraphicsContext g, Scene scene) {
    for (Scene.Board board : scene.boards()) {
      if (board.artboard().isFilm()) {
        Box box = points.inNode(board.onPlane());
        g.setLineWidth(1);
        g.setStroke(Color.color(1, 1, 1, 0.28));
        strokeInside(g, box, SafeArea.ACTION.share());
        g.setStroke(Color.color(1, 1, 1, 0.5));
        strokeInside(g, box, SafeArea.TITLE.share());
      }
    }
  }

  private static void strokeInside(GraphicsContext g, Box box, double share) {
    double across = box.width() * (1 - share) / 2;
    double down = box.height() * (1 - share) / 2;
    g.strokeRect(
        Math.round(box.x() + across) + 0.5,
        Math.round(box.y() + down) + 0.5,
        Math.round(box.width() - 2 * across),
        Math.round(box.height() - 2 * down));
  }

  private void drawOutline(GraphicsContext g, Scene.Found found) {
    points.enter(g, found);
    Box box = points.scaled(found.text().layout().box());
    g.setStroke(KELP.deriveColor(0, 1, 1, 0.7));
    g.setLineWidth(1);
    g.strokeRect(box.x() - 3, box.y() - 3, box.width() + 6, box.height() + 6);
    g.restore();
  }

  private void drawSelected(GraphicsContext g, Scene.Found found, boolean withTag) {
    points.enter(g, found);
    Box box = points.scaled(found.text().layout().box()).grown(4, 4);
    for (int pass = 0; pass < 2; pass++) {
      // a pale edge keeps the brackets visible on dark artboards
      g.setStroke(pass == 0 ? Color.web("#FFFDF9", 0.7) : Color.web("#24313C"));
      g.setLineWidth(pass == 0 ? 2.8 : 1.6);
      bracket(g, box.x(), box.y(), 1, 1);
      bracket(g, box.right(), box.y(), -1, 1);
      bracket(g, box.x(), box.bottom(), 1, -1);
      bracket(g, box.right(), box.bottom(), -1, -1);
    }
    g.restore();
    if (withTag) {
      drawTag(g, found);
    }
  }

  /** Small discs on the sides; the brackets themselves are the handles of the corners. */
  private void drawHandles(GraphicsContext g) {
    for (BoxHandles.Grip grip : handles.shown()) {
      if (grip.across() == 0 || grip.down() == 0) {
        double x = grip.place().getX();
        double y = grip.place().getY();
        g.setFill(Color.web("#FFFDF9"));
        g.fillOval(x - 4, y - 4, 8, 8);
        g.setStroke(Color.web("#24313C"));
        g.setLineWidth(1.4);
        g.strokeOval(x - 4, y - 4, 8, 8);
      }
    }
  }

  /** Spaces, tabs, forced line ends, soft hyphens and paragraph ends, where they stand. */
  private void drawHiddenLetters(GraphicsContext g, Scene.Found found) {
    String text = found.text().story().text();
    double scale = points.scale();
    points.enter(g, found);
    g.setFill(KELP.deriveColor(0, 1, 1, 0.75));
    for (Line line : found.text().layout().shownLines()) {
      double size = Math.clamp(line.ascent() * scale * 0.7, 6, 40);
      g.setFont(Font.font("Source Sans 3", size));
      for (int offset = line.start(); offset < Math.min(line.end(), text.length()); offset++) {
        String sign = hidden(text.charAt(offset));
        if (!sign.isEmpty()) {
          fillOnLine(g, sign, line, found.text().layout().caretAt(offset).along());
        }
      }
      if (line.endsParagraph() && line.end() < text.length()) {
        double along =
            line.rightToLeft()
                ? line.left() - size / scale
                : line.left() + line.width() + 2 / scale;
        fillOnLine(g, "\u00B6", line, along);
      }
    }
    g.restore();
  }

  private void fillOnLine(GraphicsContext g, String sign, Line line, double along) {
    double scale = points.scale();
    double x = line.axes().x(along, line.baseline()) * scale;
    double y = line.axes().y(along, line.baseline()) * scale;
    g.setTextBaseline(line.axes().isVertical() ? VPos.TOP : VPos.BASELINE);
    g.setTextAlign(line.axes().isVertical() ? TextAlignment.CENTER : TextAlignment.LEFT);
    g.fillText(sign, x, y);
  }

  private static String hidden(char unit) {
    return switch (unit) {
      case ' ' -> "\u00B7";
      case '\u00A0' -> "\u00B0";
      case '\t' -> "\u2192";
      case '\u2028', '\u000B' -> "\u21B5";
      case '\u00AD' -> "\u00AC";
      case '\u200B', '\u200C', '\u200D' -> "|";
      default -> "";
    };
  }

  private static void bracket(GraphicsContext g, double x, double y, int across, int down) {
    g.strokePolyline(new double[] {x + across * ARM, x, x}, new double[] {y, y, y + down * ARM}, 3);
  }

  /** What a tag says, and where. */
  private record Tag(String style, String changes, double styleWidth, Box box) {}

  private Tag tag(Scene.Found found) {
    Layer layer = workspace.project().layer(found.text().text()).orElse(found.text().layer());
    String style = styleNames(layer);
    int local = LocalChanges.count(layer);
    String changes = local == 0 ? "" : Messages.of("stage-marks.local", local);
    double styleWidth = width(style, TAG_FONT);
    Box box = points.inNode(StageView.onPlane(found));
    double full = styleWidth + width(changes, TAG_FONT) + 14;
    return new Tag(
        style,
        changes,
        styleWidth,
        new Box(tagX(box.x(), full, stage.getWidth()), Math.max(2, box.y() - 28), full, 19));
  }

  /** Where a tag begins: above the box, but not cut off by a side of the stage. */
  static double tagX(double boxX, double tagWidth, double stageWidth) {
    double above = boxX - 5;
    boolean inSight = above < stageWidth;
    return Math.max(2, inSight ? Math.min(above, stageWidth - tagWidth - 2) : above);
  }

  private void drawTag(GraphicsContext g, Scene.Found found) {
    Tag tag = tag(found);
    Theme theme = stage.themeProperty().get();
    double middle = tag.box().y() + 9.5;
    g.setFill(theme.mark());
    g.fillRoundRect(tag.box().x(), tag.box().y(), tag.box().width(), tag.box().height(), 6, 6);
    // an edge keeps a pale tag visible on a pale artboard
    g.setStroke(theme.onMark().deriveColor(0, 1, 1, 0.45));
    g.setLineWidth(1);
    g.strokeRoundRect(tag.box().x(), tag.box().y(), tag.box().width(), tag.box().height(), 6, 6);
    g.setFont(TAG_FONT);
    g.setTextBaseline(VPos.CENTER);
    g.setFill(theme.onMark());
    g.fillText(tag.style(), tag.box().x() + 7, middle);
    g.setFill(theme == Theme.CHALK ? EMBER_ON_DARK : EMBER_ON_LIGHT);
    g.fillText(tag.changes(), tag.box().x() + 7 + tag.styleWidth(), middle);
  }

  private String styleNames(Layer layer) {
    Project project = workspace.project();
    List<StyleId> own =
        layer.follows().isEmpty()
            ? Followers.followed(layer).stream().sorted().toList()
            : layer.follows();
    List<StyleId> followed =
        Stream.concat(
                project.captionsOf(layer).stream().flatMap(track -> track.follows().stream()),
                own.stream())
            .distinct()
            .toList();
    return followed.isEmpty()
        ? Messages.of("stage-marks.follows-nothing")
        : followed.stream()
            .flatMap(id -> project.styles().find(id).stream())
            .map(Style::name)
            .collect(Collectors.joining(" + "));
  }

  private void drawMarked(GraphicsContext g, Scene.Found found, Selection.Cursor cursor) {
    PlacedLayer text = found.text();
    TextRange range = cursor.range().within(text.story().all());
    points.enter(g, found);
    g.setFill(SELECTED_WORDS);
    for (Box box : text.layout().selection(range)) {
      Box shown = points.scaled(box);
      g.fillRect(shown.x(), shown.y(), shown.width(), shown.height());
    }
    g.restore();
  }

  private void drawCaret(GraphicsContext g, Scene.Found found, Selection.Cursor cursor) {
    PlacedLayer text = found.text();
    points.enter(g, found);
    int offset = Math.min(cursor.caret(), text.story().length());
    Caret caret = text.layout().caretAt(new CaretPlace(offset, cursor.trailing()));
    Box line = points.scaled(caret.box());
    g.setStroke(Color.WHITE);
    g.setLineWidth(3);
    g.strokeLine(line.x(), line.y(), line.right(), line.bottom());
    g.setStroke(KELP);
    g.setLineWidth(1.5);
    g.strokeLine(line.x(), line.y(), line.right(), line.bottom());
    g.restore();
  }

  private void drawMarquee(GraphicsContext g, Box box) {
    g.setFill(KELP.deriveColor(0, 1, 1, 0.10));
    g.fillRect(box.x(), box.y(), box.width(), box.height());
    g.setStroke(KELP);
    g.setLineWidth(1);
    g.strokeRect(box.x() + 0.5, box.y() + 0.5, box.width(), box.height());
  }

  static double width(String words, Font font) {
    Text text = new Text(words);
    text.setFont(font);
    return text.getLayoutBounds().getWidth();
  }
}
