package dynamorph.paint.stage;

import dynamorph.model.LayerId;
import dynamorph.model.timeline.Time;
import dynamorph.model.value.Rgba;
import dynamorph.paint.Pixels;
import dynamorph.paint.film.FootagePainter;
import dynamorph.paint.film.MediaSource;
import dynamorph.paint.layer.LayerOutlines;
import dynamorph.paint.layer.LayerPainter;
import dynamorph.paint.scene.PlacedLayer;
import dynamorph.paint.scene.Scene;
import dynamorph.typeset.layout.Box;
import io.github.humbleui.skija.Canvas;
import io.github.humbleui.skija.Paint;
import io.github.humbleui.skija.Surface;
import io.github.humbleui.types.RRect;
import io.github.humbleui.types.Rect;
import java.nio.ByteBuffer;
import java.util.ArrayList;
import java.util.Collections;
import java.util.HashMap;
import java.util.HashSet;
import java.util.IdentityHashMap;
import java.util.List;
import java.util.Map;
import java.util.Queue;
import java.util.Set;
import java.util.concurrent.CompletableFuture;
import java.util.concurrent.ConcurrentLinkedQueue;
import java.util.concurrent.Executor;
import java.util.concurrent.atomic.AtomicInteger;
import java.util.function.BooleanSupplier;
import org.jspecify.annotations.Nullable;

/**
 * Draws views of a scene. Each text that shows is painted once into a tile of its own and then only
 * copied, until it or the scale changes: a change of style repaints exactly the texts it touches,
 * panning repaints nothing.
 *
 * <p>One thread at a time may render; the tiles of a frame are painted on several. Close it to
 * release the tiles.
 */
public final class StageRenderer implements AutoCloseable {
  /** Bytes of tiles kept; when they grow beyond, those that do not show go. */
  private static final long TILE_BYTES = 256L << 20;

  /**
   * A text that covers more pixels than this many views is drawn straight into the view, cut to it.
   */
  private static final double LARGEST_TILE_IN_VIEWS = 2;

  private final LayerPainter painter;
  private final Executor helpers;
  private final int helperCount;
  private final Map<LayerId, Tile> tiles = new HashMap<>();
  private boolean outlines;
  private FootagePainter footage = new FootagePainter(MediaSource.NONE);

  /** Gives what paints the footage of films. */
  public void setFootage(FootagePainter painter) {
    footage = painter;
  }

  /**
   * @param helpers runs the painting that is done beside the calling thread
   * @param helperCount how many helpers may paint at once; 0 for none
   */
  public StageRenderer(LayerPainter painter, Executor helpers, int helperCount) {
    this.painter = painter;
    this.helpers = helpers;
    this.helperCount = helperCount;
  }

  /** Shows contours, moved edges and dash middles instead of paint, or paint again. */
  public void showOutlines(boolean wanted) {
    if (wanted != outlines) {
      outlines = wanted;
      forgetAll();
    }
  }

  /** A text that shows in the view. */
  private record Shown(PlacedLayer text, double anchorX, double anchorY, Box ink, Rgba ground) {
    double phaseX() {
      return anchorX - Math.floor(anchorX);
    }

    double phaseY() {
      return anchorY - Math.floor(anchorY);
    }
  }

  /**
   * Draws the view.
   *
   * @param surround the colour around the artboards
   * @param outdated asked between texts; when it says so the frame is given up, what was painted is
   *     kept
   * @return whether the frame is complete
   */
  public boolean render(
      Scene scene, View view, Rgba surround, Pixels target, BooleanSupplier outdated) {
    takeUpAhead();
    List<List<Shown>> shown = scene.boards().stream().map(board -> shown(board, view)).toList();
    paintMissing(shown.stream().flatMap(List::stream).toList(), view, outdated);
    if (outdated.getAsBoolean()) {
      return false;
    }
    Setting setting = setting(scene, view, surround, shown);
    // only the artboards differ where it is the same as when this picture was drawn last
    boolean stands = setting.bare && setting.equals(settings.remove(target.bytes()));
    target.drawOver(canvas -> {
      if (!stands && !setting.hidden) {
        canvas.clear(surround.argb());
        setting.boards.forEach(board -> paintShade(canvas, board));
      }
      for (int index = 0; index < shown.size(); index++) {
        paintBoard(canvas, scene.boards().get(index), shown.get(index), view);
      }
    });
    remember(target, setting);
    forgetUnseen(shown);
    return true;
  }

  /**
   * What stands around the artboards.
   *
   * @param boards their pixels
   * @param bare whether nothing of the texts reaches over the edges of opaque artboards
   * @param hidden whether nothing of it is seen
   */
  private record Setting(
      int width, int height, Rgba surround, List<Rect> boards, boolean bare, boolean hidden) {}

  /** Frames are drawn into a few pictures by turns. */
  private static final int TARGETS = 4;

  private final Map<ByteBuffer, Setting> settings = new IdentityHashMap<>();

  private static Setting setting(Scene scene, View view, Rgba surround, List<List<Shown>> shown) {
    List<Rect> boards = scene.boards().stream().map(board -> pixels(board, view)).toList();
    boolean bare = true;
    for (int index = 0; index < boards.size(); index++) {
      Rect board = boards.get(index);
      bare &= scene.boards().get(index).background().alpha() == 255;
      for (Shown one : shown.get(index)) {
        Box ink = one.ink.grown(1, 1);
        bare &=
            ink.x() >= board.getLeft()
                && ink.y() >= board.getTop()
                && ink.right() <= board.getRight()
                && ink.bottom() <= board.getBottom();
      }
    }
    boolean hidden = scene.boards().stream().anyMatch(board -> fills(board, view));
    return new Setting(view.width(), view.height(), surround, boards, bare, hidden);
  }

  private void remember(Pixels target, Setting setting) {
    if (settings.size() >= TARGETS) {
      settings.clear();
    }
    settings.put(target.bytes(), setting);
  }

  /**
   * Lets somebody paint what may be shown soon, and returns at once. What is painted is taken up by
   * the next frame; what waits when another view is prepared for is left.
   *
   * @param most texts, the first in the boards
   * @param with runs the painting; not the helpers, which frames wait for
   */
  public void prepare(Scene scene, View view, int most, Executor with) {
    preparedFor = view;
    List<Shown> soon =
        scene.boards().stream()
            .flatMap(board -> shown(board, view).stream())
            .filter(one -> !isTooLarge(one, view) && !hasTile(one, view))
            .limit(most)
            .toList();
    for (Shown one : soon) {
      if (pending.add(one.text)) {
        with.execute(() -> {
          if (!closed && view.equals(preparedFor)) {
            ahead.add(tile(one, view));
          } else {
            left.add(one.text);
          }
        });
      }
    }
  }

  /** Tiles that helpers have painted ahead. */
  private final Queue<Tile> ahead = new ConcurrentLinkedQueue<>();

  private final Set<PlacedLayer> pending = Collections.newSetFromMap(new IdentityHashMap<>());
  private final Queue<PlacedLayer> left = new ConcurrentLinkedQueue<>();
  private volatile @Nullable View preparedFor;
  private volatile boolean closed;

  private void takeUpAhead() {
    for (PlacedLayer text = left.poll(); text != null; text = left.poll()) {
      pending.remove(text);
    }
    for (Tile tile = ahead.poll(); tile != null; tile = ahead.poll()) {
      pending.remove(tile.text());
      keep(tile);
    }
  }

  private void keep(Tile tile) {
    Tile before = tiles.put(tile.text().layer().id(), tile);
    if (before != null) {
      before.close();
    }
  }

  private List<Shown> shown(Scene.Board board, View view) {
    Box frame = new Box(0, 0, view.width(), view.height());
    List<Shown> shown = new ArrayList<>();
    Box sight = view.toPlane(frame.grown(2, 2)).moved(-board.artboard().x(), -board.artboard().y());
    for (PlacedLayer text : board.texts()) {
      if (!text.mayTouch(sight)) {
        continue;
      }
      Box onPlane = text.onArtboard(text.ink()).moved(board.artboard().x(), board.artboard().y());
      Box ink = view.toPixels(onPlane);
      if (ink.grown(1, 1).overlaps(frame)) {
        double anchorX = view.toPixelX(board.artboard().x() + text.anchorX());
        double anchorY = view.toPixelY(board.artboard().y() + text.anchorY());
        shown.add(new Shown(text, anchorX, anchorY, ink, board.background()));
      }
    }
    return shown;
  }

  private void paintMissing(List<Shown> shown, View view, BooleanSupplier outdated) {
    List<Shown> missing =
        shown.stream().filter(one -> !isTooLarge(one, view) && !hasTile(one, view)).toList();
    Tile[] painted = new Tile[missing.size()];
    AtomicInteger next = new AtomicInteger();
    Runnable work =
        () -> {
          for (int index = next.getAndIncrement();
              index < painted.length && !outdated.getAsBoolean();
              index = next.getAndIncrement()) {
            painted[index] = tile(missing.get(index), view);
          }
        };
    List<CompletableFuture<Void>> helping = new ArrayList<>();
    for (int helper = 0; helper < Math.min(helperCount, missing.size() - 1); helper++) {
      helping.add(CompletableFuture.runAsync(work, helpers));
    }
    work.run();
    helping.forEach(CompletableFuture::join);
    for (Tile tile : painted) {
      if (tile != null) {
        keep(tile);
      }
    }
  }

  private boolean hasTile(Shown shown, View view) {
    Tile tile = tiles.get(shown.text.layer().id());
    return tile != null && tile.shows(shown.text, view.scale(), shown.phaseX(), shown.phaseY());
  }

  private static boolean isTooLarge(Shown shown, View view) {
    double pixels = shown.ink.width() * shown.ink.height();
    return pixels > LARGEST_TILE_IN_VIEWS * view.width() * view.height();
  }

  private Tile tile(Shown shown, View view) {
    double wholeX = Math.floor(shown.anchorX);
    double wholeY = Math.floor(shown.anchorY);
    int left = (int) Math.floor(shown.ink.x() - wholeX) - 1;
    int top = (int) Math.floor(shown.ink.y() - wholeY) - 1;
    int width = (int) Math.ceil(shown.ink.right() - wholeX) + 1 - left;
    int height = (int) Math.ceil(shown.ink.bottom() - wholeY) + 1 - top;
    try (Surface surface = Surface.makeRasterN32Premul(width, height)) {
      Canvas canvas = surface.getCanvas();
      canvas.translate((float) (shown.phaseX() - left), (float) (shown.phaseY() - top));
      paint(canvas, shown.text, shown.ground, view.scale());
      return new Tile(
          shown.text,
          view.scale(),
          shown.phaseX(),
          shown.phaseY(),
          left,
          top,
          width,
          height,
          surface.makeImageSnapshot());
    }
  }

  /** Paints a text whose anchor lies at the canvas's origin. */
  private void paint(Canvas canvas, PlacedLayer text, Rgba ground, double scale) {
    canvas.scale((float) scale, (float) scale);
    canvas.rotate((float) text.look().placement().rotation());
    canvas.translate((float) -text.pivotX(), (float) -text.pivotY());
    if (outlines) {
      LayerOutlines.paint(
          canvas, text.layout(), text.look(), LayerOutlines.Colours.on(ground), scale);
    } else {
      painter.paint(canvas, text.layout(), text.look());
    }
  }

  /** The whole pixels of an artboard. */
  private static Rect pixels(Scene.Board board, View view) {
    Box box = view.toPixels(board.onPlane());
    return Rect.makeLTRB(
        Math.round(box.x()),
        Math.round(box.y()),
        Math.round(box.right()),
        Math.round(box.bottom()));
  }

  /** Whether nothing is seen but this artboard. */
  private static boolean fills(Scene.Board board, View view) {
    Rect rect = pixels(board, view);
    return board.background().alpha() == 255
        && rect.getLeft() <= 0
        && rect.getTop() <= 0
        && rect.getRight() >= view.width()
        && rect.getBottom() >= view.height();
  }

  private void paintBoard(Canvas canvas, Scene.Board board, List<Shown> shown, View view) {
    Rect rect = pixels(board, view);
    if (!isHidden(board)) {
      try (Paint paint = new Paint().setColor(board.background().argb())) {
        canvas.drawRect(rect, paint);
      }
    }
    board.at().ifPresent(at -> paintFootage(canvas, board, at, rect));
    for (Shown one : shown) {
      double visibility = visibility(board, one.text);
      if (visibility == 0) {
        continue;
      }
      Tile tile = tiles.get(one.text.layer().id());
      if (tile != null && tile.shows(one.text, view.scale(), one.phaseX(), one.phaseY())) {
        try (Paint faded = new Paint().setAlphaf((float) visibility)) {
          canvas.drawImage(
              tile.image(),
              (float) Math.floor(one.anchorX) + tile.left(),
              (float) Math.floor(one.anchorY) + tile.top(),
              faded);
        }
      } else {
        canvas.save();
        canvas.translate((float) one.anchorX, (float) one.anchorY);
        paint(canvas, one.text, one.ground, view.scale());
        canvas.restore();
      }
    }
  }

  /** Whether footage lies over all of it. */
  private boolean isHidden(Scene.Board board) {
    return board.at().isPresent()
        && footage.covers(board.artboard().timeline().orElseThrow(), board.at().get());
  }

  private static double visibility(Scene.Board board, PlacedLayer text) {
    return board.at().isEmpty() || text.layer().timing().isEmpty()
        ? 1
        : text.layer().timing().get().visibility(board.at().get());
  }

  private void paintFootage(Canvas canvas, Scene.Board board, Time at, Rect rect) {
    canvas.save();
    canvas.translate(rect.getLeft(), rect.getTop());
    footage.paint(
        canvas, board.artboard().timeline().orElseThrow(), at, rect.getWidth(), rect.getHeight());
    canvas.restore();
  }

  /**
   * A soft edge that lifts the artboard off the stage. Drawn as a few thin frames: a blur over a
   * whole artboard would cost more than all its texts.
   */
  private static void paintShade(Canvas canvas, Rect rect) {
    try (Paint paint = new Paint()) {
      for (int step = SHADE_STEPS; step > 0; step--) {
        Rect outer =
            Rect.makeLTRB(
                rect.getLeft() - step,
                rect.getTop() - step + 1,
                rect.getRight() + step,
                rect.getBottom() + step + 1);
        paint.setColor(SHADE_ALPHA << 24);
        canvas.drawDRRect(
            RRect.makeLTRB(
                outer.getLeft(), outer.getTop(), outer.getRight(), outer.getBottom(), step),
            RRect.makeLTRB(rect.getLeft(), rect.getTop(), rect.getRight(), rect.getBottom(), 0),
            paint);
      }
    }
  }

  /** How many pixels wide the soft edge is. */
  private static final int SHADE_STEPS = 5;

  /** Alpha of each of its frames, of 255. */
  private static final int SHADE_ALPHA = 0x06;

  private void forgetUnseen(List<List<Shown>> shown) {
    long bytes = tiles.values().stream().mapToLong(Tile::bytes).sum();
    if (bytes <= TILE_BYTES) {
      return;
    }
    Set<LayerId> seen = new HashSet<>();
    shown.forEach(board -> board.forEach(one -> seen.add(one.text.layer().id())));
    tiles
        .entrySet()
        .removeIf(entry -> {
          boolean unseen = !seen.contains(entry.getKey());
          if (unseen) {
            entry.getValue().close();
          }
          return unseen;
        });
  }

  @Override
  public void close() {
    closed = true;
    forgetAll();
  }

  private void forgetAll() {
    takeUpAhead();
    tiles.values().forEach(Tile::close);
    tiles.clear();
    settings.clear();
  }
}
