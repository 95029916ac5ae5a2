package dynamorph.app;

import dynamorph.app.artboards.LayerActions;
import dynamorph.app.artboards.stage.StageView;
import dynamorph.app.document.DocumentActions;
import dynamorph.app.files.FileActions;
import dynamorph.app.fill.FillActions;
import dynamorph.app.film.action.FilmActions;
import dynamorph.formats.table.TableReader;
import dynamorph.model.Artboard;
import java.nio.file.Path;
import javafx.geometry.Point2D;

/** What becomes of texts and files that are dropped on the stage. */
record DroppedOnStage(
    LayerActions layers,
    FilmActions films,
    FileActions files,
    DocumentActions documents,
    FillActions fills)
    implements StageView.Arriving {
  @Override
  public void texts(byte[] texts, Artboard board) {
    layers.take(texts, board);
  }

  @Override
  public void file(Path file, Artboard board, Point2D place) {
    if (board.timeline().isPresent() && films.takesIn(file)) {
      films.takeIn(file);
    } else if (DocumentActions.takes(file)) {
      documents.take(file, board);
    } else if (TableReader.isTable(file)) {
      fills.take(file, board);
    } else {
      files.assets().take(file, board, place);
    }
  }
}
