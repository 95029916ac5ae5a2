package dynamorph.app.artboards.stage;

import dynamorph.model.Artboard;
import javafx.geometry.Point2D;
import javafx.scene.control.ContextMenu;

/** What is opened for what lies under the pointer. */
public interface Menus {
  /** What can be done with the words that are marked. */
  interface Words {
    void cut();

    void copy();

    /**
     * Puts what was copied in their place.
     *
     * @param plain whether in the look of the place
     */
    void paste(boolean plain);
  }

  /** The menu of the selected texts. */
  ContextMenu ofTexts();

  ContextMenu ofWords(Words words);

  /** What can be done about words that find no room in the selected box. */
  ContextMenu ofOverset();

  /**
   * The menu of an artboard where no text is.
   *
   * @param place under the pointer, on the artboard, in points
   */
  ContextMenu ofArtboard(Artboard board, Point2D place);

  ContextMenu ofStage();

  /** Opens what is set of an artboard as a whole. */
  void openSettings(Artboard board);
}
