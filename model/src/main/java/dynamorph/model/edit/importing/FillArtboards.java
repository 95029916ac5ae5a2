package dynamorph.model.edit.importing;

import dynamorph.model.Artboard;
import dynamorph.model.ArtboardId;
import dynamorph.model.Project;
import dynamorph.model.cascade.Cascade;
import dynamorph.model.edit.Edit;
import dynamorph.model.edit.EditRefused;
import dynamorph.model.edit.layer.ArrangeArtboards;
import dynamorph.model.fill.DataTable;
import dynamorph.model.fill.FilledArtboard;
import dynamorph.model.message.Messages;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Set;

/**
 * Makes an artboard of each row of a table, after a pattern with fields. They stand in a grid below
 * all artboards.
 *
 * @param rows those that are wanted, by their place in the table
 * @param name what each artboard is called, with fields
 * @param prefix of their ids
 */
public record FillArtboards(
    ArtboardId pattern, DataTable table, List<Integer> rows, String name, String prefix)
    implements Edit {
  /** More artboards than one project can be worked with. */
  public static final int MOST = 5000;

  public FillArtboards {
    rows = List.copyOf(rows);
  }

  /** What each row makes, in place; the first as if it stood alone. */
  public List<FilledArtboard> filled(Project project) {
    Artboard model =
        project
            .artboard(pattern)
            .orElseThrow(() -> new EditRefused(Messages.of("fill-artboards.pattern-is-gone")));
    double gap = model.width() * ArrangeArtboards.GAP;
    double left = project.artboards().stream().mapToDouble(Artboard::x).min().orElse(0);
    double top =
        project.artboards().stream()
                .mapToDouble(board -> board.y() + board.height())
                .max()
                .orElse(0)
            + 2 * gap;
    int columns = Math.max(1, (int) Math.ceil(Math.sqrt(rows.size() * 1.5)));
    Cascade cascade = Cascade.of(project);
    Set<String> names = new HashSet<>();
    project.artboards().forEach(board -> names.add(board.name()));
    List<FilledArtboard> filled = new ArrayList<>();
    for (int index = 0; index < rows.size(); index++) {
      DataTable.Row row = table.rows().get(rows.get(index));
      FilledArtboard one =
          FilledArtboard.of(
              project,
              cascade,
              model,
              table,
              row,
              new ArtboardId(prefix + "-" + (rows.get(index) + 1)),
              name);
      double x = left + index % columns * (model.width() + gap);
      double y = top + index / columns * (model.height() + gap);
      Artboard board = one.artboard().withOrigin(x, y);
      filled.add(new FilledArtboard(board.withName(free(board.name(), names)), one.problems()));
    }
    return filled;
  }

  private static String free(String wanted, Set<String> taken) {
    String free = wanted;
    for (int number = 2; !taken.add(free); number++) {
      free = wanted + " " + number;
    }
    return free;
  }

  /**
   * The same edit, with what it makes worked out already.
   *
   * @param artboards as {@link #filled} gave them
   */
  public record Made(FillArtboards fill, List<Artboard> artboards) implements Edit {
    public Made {
      artboards = List.copyOf(artboards);
    }

    @Override
    public Project applyTo(Project before) {
      fill.check();
      return before.withArtboards(before.artboards().plusAll(artboards));
    }

    @Override
    public String label(Project before) {
      return fill.label(before);
    }
  }

  private void check() {
    if (rows.size() > MOST) {
      throw new EditRefused(Messages.of("fill-artboards.too-many", rows.size(), MOST));
    }
  }

  @Override
  public Project applyTo(Project before) {
    check();
    return new Made(this, filled(before).stream().map(FilledArtboard::artboard).toList())
        .applyTo(before);
  }

  @Override
  public String label(Project before) {
    return Messages.of("fill-artboards.make", rows.size());
  }
}
