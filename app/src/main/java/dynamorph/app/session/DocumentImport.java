package dynamorph.app.session;

import dynamorph.model.ArtboardId;
import dynamorph.model.LayerId;
import dynamorph.model.document.WrittenDocument;
import dynamorph.model.document.drawing.WrittenDrawing;
import java.util.List;
import java.util.Optional;

/**
 * A document or a drawing, while it is settled where its words stand and what its styles become.
 *
 * @param artboard the one that was seen when it was opened
 * @param texts those that were selected, in reading order
 * @param drawing what its words stand in, if it is a drawing
 */
public record DocumentImport(
    WrittenDocument document,
    Optional<ArtboardId> artboard,
    List<LayerId> texts,
    Optional<Drawn> drawing) {
  public DocumentImport {
    texts = List.copyOf(texts);
  }

  /**
   * A drawing.
   *
   * @param onArtboard whether it was brought to an artboard, rather than to the project
   */
  public record Drawn(WrittenDrawing drawing, boolean onArtboard) {}
}
