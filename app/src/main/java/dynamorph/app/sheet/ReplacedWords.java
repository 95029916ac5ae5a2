package dynamorph.app.sheet;

import dynamorph.model.reach.WordSearch;
import java.util.List;
import javafx.scene.layout.Region;
import javafx.scene.shape.Rectangle;
import javafx.scene.text.Text;
import javafx.scene.text.TextFlow;

/** The words of a row with what would stand in place of some of them. */
final class ReplacedWords extends TextFlow {
  /** Letters shown before the first place. */
  private static final int BEFORE = 18;

  /** Letters shown from there on. */
  private static final int SHOWN = 160;

  /** How high a line is, in units of the window. */
  private static final double LINE = 19;

  /** How high as many lines are as there is room for. */
  static double whole(double room) {
    return LINE * Math.max(1, Math.floor(room / LINE));
  }

  /**
   * @param words of the whole text
   * @param start where the row begins in them
   * @param end where it ends
   * @param places within the row, from its first letter
   */
  ReplacedWords(String words, int start, int end, List<WordSearch.Hit> places, String replacement) {
    getStyleClass().add("sheet-replaced");
    int from = Math.max(start, places.getFirst().range().start() - BEFORE);
    int to = Math.min(end, from + SHOWN);
    if (from > start) {
      add("\u2026", "hit-context");
    }
    int at = from;
    for (WordSearch.Hit place : places) {
      if (place.range().start() >= to) {
        break;
      }
      add(words.substring(at, place.range().start()), "hit-context");
      at = Math.min(end, place.range().end());
      Text gone = add(words.substring(place.range().start(), at), "words-before");
      gone.setStrikethrough(true);
      // the new words stand off those that they replace
      add((replacement.isEmpty() ? "" : "\u2009") + replacement, "words-after");
    }
    if (at < to) {
      add(words.substring(at, to), "hit-context");
    }
    setMinWidth(0);
    setMinHeight(0);
    Rectangle clip = new Rectangle();
    clip.widthProperty().bind(widthProperty());
    clip.heightProperty().bind(heightProperty());
    setClip(clip);
    setPrefHeight(Region.USE_COMPUTED_SIZE);
  }

  private Text add(String words, String look) {
    Text piece = new Text(words.replace('\n', ' ').replace('\u2028', ' '));
    piece.getStyleClass().add(look);
    getChildren().add(piece);
    return piece;
  }
}
