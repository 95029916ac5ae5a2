package dynamorph.app.artboards.stage;

import dynamorph.app.session.Workspace;
import dynamorph.formats.project.TextFragment;
import dynamorph.model.Layer;
import dynamorph.model.Project;
import dynamorph.paint.scene.Scene;
import java.io.File;
import java.nio.ByteBuffer;
import java.util.Arrays;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Collectors;
import javafx.geometry.Point2D;
import javafx.scene.input.Clipboard;
import javafx.scene.input.DataFormat;
import javafx.scene.input.DragEvent;
import javafx.scene.input.Dragboard;
import javafx.scene.input.TransferMode;

/**
 * Texts that go from window to window, over the clipboard or dragged: with Alt, a drag takes them
 * out of the window. Other programs get their words.
 */
public final class TextClipboard {
  private static final DataFormat TEXTS = new DataFormat(TextFragment.TYPE);

  private final Workspace workspace;
  private final StageView stage;

  TextClipboard(Workspace workspace, StageView stage) {
    this.workspace = workspace;
    this.stage = stage;
  }

  /** What the clipboard shall hold of some texts. */
  public static Map<DataFormat, Object> content(Project project, List<Layer> texts) {
    Map<DataFormat, Object> content = new HashMap<>();
    content.put(TEXTS, ByteBuffer.wrap(TextFragment.write(project, texts)));
    content.put(
        DataFormat.PLAIN_TEXT,
        texts.stream().map(text -> text.story().text()).collect(Collectors.joining("\n\n")));
    return content;
  }

  /** Texts that a clipboard holds. */
  public static Optional<byte[]> in(Clipboard clipboard) {
    return clipboard.getContent(TEXTS) instanceof ByteBuffer buffer
        ? Optional.of(bytes(buffer))
        : Optional.empty();
  }

  /** Whether bytes are those of a content. */
  public static boolean isOf(byte[] bytes, Map<DataFormat, Object> content) {
    return content.get(TEXTS) instanceof ByteBuffer buffer && Arrays.equals(bytes, bytes(buffer));
  }

  private static byte[] bytes(ByteBuffer buffer) {
    ByteBuffer whole = buffer.duplicate();
    whole.rewind();
    byte[] bytes = new byte[whole.remaining()];
    whole.get(bytes);
    return bytes;
  }

  /**
   * Lets texts be dragged out of the stage and onto it, and files onto it.
   *
   * @param arriving takes what is dropped
   */
  void install(StageView.Arriving arriving) {
    stage.setOnDragDetected(event -> {
      List<Layer> texts =
          workspace
              .project()
              .layers()
              .filter(layer -> workspace.selection().contains(layer.id()))
              .toList();
      if (event.isAltDown() && !texts.isEmpty() && workspace.selection().cursor().isEmpty()) {
        Dragboard board = stage.startDragAndDrop(TransferMode.COPY);
        board.setContent(content(workspace.project(), texts));
        event.consume();
      }
    });
    stage.setOnDragOver(event -> {
      Dragboard board = event.getDragboard();
      if ((board.hasContent(TEXTS) || board.hasFiles())
          && event.getGestureSource() != stage
          && boardAt(event).isPresent()) {
        event.acceptTransferModes(TransferMode.COPY);
        event.consume();
      }
    });
    stage.setOnDragDropped(event -> {
      Optional<byte[]> texts = in(event.getDragboard());
      Optional<Scene.Board> board = boardAt(event);
      boolean taken = board.isPresent() && (texts.isPresent() || event.getDragboard().hasFiles());
      if (taken && texts.isPresent()) {
        arriving.texts(texts.get(), board.get().artboard());
      } else if (taken) {
        Point2D place =
            onPlane(event).subtract(board.get().artboard().x(), board.get().artboard().y());
        for (File file : event.getDragboard().getFiles()) {
          arriving.file(file.toPath(), board.get().artboard(), place);
        }
      }
      event.setDropCompleted(taken);
      event.consume();
    });
  }

  private Point2D onPlane(DragEvent event) {
    double ratio = stage.pixelRatio();
    return new Point2D(
        stage.view().toPlaneX(event.getX() * ratio), stage.view().toPlaneY(event.getY() * ratio));
  }

  private Optional<Scene.Board> boardAt(DragEvent event) {
    Point2D at = onPlane(event);
    return stage.scene().flatMap(scene -> scene.boardAt(at.getX(), at.getY()));
  }
}
