package dynamorph.paint.fill;

import dynamorph.model.Artboard;
import dynamorph.model.edit.importing.FillArtboards;
import dynamorph.model.fill.FilledArtboard;
import dynamorph.paint.message.Messages;
import dynamorph.paint.scene.PlacedLayer;
import dynamorph.paint.scene.Scene;
import java.util.ArrayList;
import java.util.List;

/**
 * Something that is wrong with the artboard of a row.
 *
 * @param row its place in the table, from 0
 * @param artboard that came of it
 * @param what for people
 */
public record RowProblem(int row, Artboard artboard, String what) {
  /** Letters that are told of, at most. */
  private static final int MOST_LETTERS = 10;

  /**
   * All that is wrong, row by row: what could not be filled, what is overset, and letters that no
   * font has.
   *
   * @param filled what the fill makes
   * @param scene in which the artboards are set
   */
  public static List<RowProblem> of(FillArtboards fill, List<FilledArtboard> filled, Scene scene) {
    List<RowProblem> problems = new ArrayList<>();
    for (int index = 0; index < filled.size(); index++) {
      int row = fill.rows().get(index);
      Artboard artboard = filled.get(index).artboard();
      filled.get(index).problems().forEach(one -> problems.add(new RowProblem(row, artboard, one)));
      scene.board(artboard.id()).stream()
          .flatMap(board -> board.texts().stream())
          .flatMap(text -> ofText(text).stream())
          .forEach(one -> problems.add(new RowProblem(row, artboard, one)));
    }
    return problems;
  }

  private static List<String> ofText(PlacedLayer text) {
    List<String> problems = new ArrayList<>();
    if (text.layout().overset().isPresent()) {
      problems.add(Messages.of("row-problem.overset", text.layer().name()));
    }
    if (!text.layout().missingGlyphs().isEmpty()) {
      StringBuilder letters = new StringBuilder();
      text.layout().missingGlyphs().stream().limit(MOST_LETTERS).forEach(letters::appendCodePoint);
      problems.add(Messages.of("row-problem.missing-glyphs", text.layer().name(), letters));
    }
    return problems;
  }
}
