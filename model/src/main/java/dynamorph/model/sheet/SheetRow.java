package dynamorph.model.sheet;

import dynamorph.model.Artboard;
import dynamorph.model.Layer;
import dynamorph.model.LayerId;

/** A text with the artboard or film that it stands on. */
public record SheetRow(Artboard board, Layer layer) {
  public LayerId id() {
    return layer.id();
  }
}
