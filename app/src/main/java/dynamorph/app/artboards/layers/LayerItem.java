package dynamorph.app.artboards.layers;

import dynamorph.model.Artboard;
import dynamorph.model.Layer;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Set;
import java.util.function.Predicate;
import java.util.stream.Collectors;

/** A row of the list of layers. */
sealed interface LayerItem {
  /**
   * An artboard.
   *
   * @param count of its layers that are listed
   * @param folded whether they are not shown
   */
  record Head(Artboard board, int count, boolean folded) implements LayerItem {}

  /** A layer of the artboard above it. */
  record Row(Layer layer) implements LayerItem {}

  /**
   * The artboards with their layers, the topmost first.
   *
   * @param words that the name, the words or the artboard of a layer contain; empty for all
   * @param folded artboards whose layers are not shown; while something is looked for they are
   */
  static List<LayerItem> of(List<Artboard> boards, String words, Set<String> folded) {
    String wanted = words.strip().toLowerCase(Locale.ROOT);
    List<LayerItem> items = new ArrayList<>();
    for (Artboard board : boards) {
      boolean all = contains(board.name(), wanted);
      Predicate<Layer> fits =
          layer -> all || contains(layer.name(), wanted) || contains(layer.story().text(), wanted);
      List<LayerItem> rows =
          board.layers().reversed().stream()
              .filter(fits)
              .map(Row::new)
              .collect(Collectors.toList());
      boolean closed = wanted.isEmpty() && folded.contains(board.id().value());
      if (!rows.isEmpty() || wanted.isEmpty()) {
        items.add(new Head(board, rows.size(), closed));
        items.addAll(closed ? List.of() : rows);
      }
    }
    return items;
  }

  private static boolean contains(String text, String wanted) {
    return text.toLowerCase(Locale.ROOT).contains(wanted);
  }
}
