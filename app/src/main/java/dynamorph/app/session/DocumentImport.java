package dynamorph.app.session;

import dynamorph.model.ArtboardId;
import dynamorph.model.LayerId;
import dynamorph.model.document.WrittenDocument;
import java.util.List;
import java.util.Optional;

/**
 * A document, while it is settled where its words stand and what its styles become.
 *
 * @param artboard the one that was seen when it was opened
 * @param texts those that were selected, in reading order
 */
public record DocumentImport(
    WrittenDocument document, Optional<ArtboardId> artboard, List<LayerId> texts) {
  public DocumentImport {
    texts = List.copyOf(texts);
  }
}
