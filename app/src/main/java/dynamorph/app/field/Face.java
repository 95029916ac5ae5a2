package dynamorph.app.field;

import dynamorph.model.property.PropertySet;
import dynamorph.typeset.font.FontFace;
import java.util.Optional;
import javafx.scene.image.ImageView;

/** What the editors of letterforms ask about the face of what is edited. */
public interface Face {
  /** The face that shows; empty if there are several. */
  Optional<FontFace> current();

  /**
   * Shows letters in the face.
   *
   * @param over values on top of the face, such as a feature
   */
  void show(ImageView view, String letters, PropertySet over, int width, int height);
}
