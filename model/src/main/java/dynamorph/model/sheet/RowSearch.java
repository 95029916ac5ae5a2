package dynamorph.model.sheet;

import dynamorph.model.Layer;
import dynamorph.model.LayerId;
import dynamorph.model.Project;
import dynamorph.model.reach.WordSearch;
import dynamorph.model.text.TextRange;
import dynamorph.model.text.WordQuery;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;

/** Finds words in some rows of a sheet only. */
public final class RowSearch {
  private RowSearch() {}

  /**
   * Where words stand in rows; rows without them are left out.
   *
   * @param rows in their order; those whose text is gone have none
   * @return by row, places in the whole text that lie within the letters of the row
   */
  public static Map<SheetRow.Key, List<WordSearch.Hit>> hits(
      Project project, WordQuery query, List<SheetRow> rows) {
    Map<LayerId, Layer> layers = new HashMap<>();
    project.layers().forEach(layer -> layers.put(layer.id(), layer));
    Map<LayerId, List<TextRange>> places = new HashMap<>();
    Map<SheetRow.Key, List<WordSearch.Hit>> hits = new LinkedHashMap<>();
    for (SheetRow row : rows) {
      Layer layer = layers.get(row.id());
      if (layer == null) {
        continue;
      }
      TextRange own = row.range(layer);
      List<WordSearch.Hit> inside =
          places.computeIfAbsent(row.id(), _ -> query.in(layer.story().text())).stream()
              .filter(place -> place.start() >= own.start() && place.end() <= own.end())
              .map(place -> new WordSearch.Hit(row.id(), place))
              .toList();
      if (!inside.isEmpty()) {
        hits.put(row.key(), inside);
      }
    }
    return hits;
  }
}
