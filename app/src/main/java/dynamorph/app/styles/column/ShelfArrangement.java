package dynamorph.app.styles.column;

import dynamorph.app.message.Messages;
import dynamorph.app.render.LatestWork;
import dynamorph.app.shelf.ShelfKeeper;
import dynamorph.app.styles.column.ShelfList.Row;
import dynamorph.model.edit.style.MergeStyles;
import dynamorph.model.style.StyleId;
import dynamorph.shelf.Action;
import dynamorph.shelf.Change;
import dynamorph.shelf.Shelf;
import dynamorph.shelf.entry.Kept;
import dynamorph.shelf.order.NearLooks;
import dynamorph.shelf.order.ShelfOrder;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.function.BooleanSupplier;
import java.util.function.Predicate;
import javafx.application.Platform;

/** In which order the looks of the shelf are listed, and which of them. */
final class ShelfArrangement implements AutoCloseable {
  private final ShelfKeeper keeper;
  private final BooleanSupplier isSeen;
  private final Runnable changed;
  private ShelfOrder order = ShelfOrder.GROUP;
  private ShelfShow show = ShelfShow.ALL;

  /** How many texts of all projects have a look, by its entry. */
  private Map<String, Integer> texts = Map.of();

  private List<NearLooks> near = List.of();
  private boolean searching;

  private record Request(Shelf shelf, ShelfShow show) {}

  /** Looks at what takes longer, beside the interface thread. */
  private final LatestWork<Request> search =
      new LatestWork<>("dynamorph-shelf-search", this::search, _ -> found(List.of(), Map.of()));

  /**
   * @param isSeen whether anybody looks at the list
   * @param changed lists anew
   */
  ShelfArrangement(ShelfKeeper keeper, BooleanSupplier isSeen, Runnable changed) {
    this.keeper = keeper;
    this.isSeen = isSeen;
    this.changed = changed;
  }

  void arrange(ShelfOrder wantedOrder, ShelfShow wantedShow) {
    order = wantedOrder;
    show = wantedShow;
    seek();
    changed.run();
  }

  /** Asks for what the order or the choice of looks needs. */
  void seek() {
    if (isSeen.getAsBoolean() && (show != ShelfShow.ALL || order == ShelfOrder.USE)) {
      searching = true;
      search.ask(new Request(keeper.shelf(), show));
    }
  }

  private void search(Request request) {
    List<NearLooks> alike =
        request.show == ShelfShow.NEAR ? NearLooks.in(request.shelf) : List.of();
    Map<String, Integer> counts = keeper.textsByEntry(request.shelf.id());
    Platform.runLater(() -> found(alike, counts));
  }

  private void found(List<NearLooks> alike, Map<String, Integer> counts) {
    near = alike;
    texts = counts;
    searching = false;
    changed.run();
  }

  /**
   * The lines of the list.
   *
   * @param listed the looks that fit what is typed
   * @param isOpen whether a group is
   */
  List<Row> rows(Shelf shelf, List<Kept.OfStyle> listed, Predicate<String> isOpen) {
    List<Row> rows = new ArrayList<>();
    if (show == ShelfShow.NEAR) {
      for (NearLooks alike : near) {
        if (listed.stream().anyMatch(alike.looks()::contains)) {
          rows.add(new Row.Near(alike));
          alike.looks().forEach(kept -> rows.add(new Row.Look(kept)));
        }
      }
      return rows;
    }
    List<Kept.OfStyle> shown =
        show == ShelfShow.UNUSED
            ? searching
                ? List.of()
                : listed.stream().filter(kept -> !texts.containsKey(kept.id())).toList()
            : listed;
    if (order != ShelfOrder.GROUP) {
      Set<Kept.OfStyle> wanted = new HashSet<>(shown);
      sorted(shelf).stream().filter(wanted::contains).map(Row.Look::new).forEach(rows::add);
      return rows;
    }
    Map<String, List<Kept.OfStyle>> groups = new LinkedHashMap<>();
    shown.forEach(
        kept -> groups.computeIfAbsent(kept.style().group(), _ -> new ArrayList<>()).add(kept));
    groups.forEach((group, styles) -> {
      boolean open = isOpen.test(group);
      rows.add(new Row.Head(group, styles.size(), open));
      if (open) {
        styles.forEach(kept -> rows.add(new Row.Look(kept)));
      }
    });
    return rows;
  }

  /** What the looks were sorted for, and how they stand then. */
  private record Sorted(
      Shelf shelf, ShelfOrder order, Map<String, Integer> texts, List<Kept.OfStyle> looks) {}

  private Optional<Sorted> last = Optional.empty();

  /** All looks in order; worked out once, and not with every letter that is typed. */
  private List<Kept.OfStyle> sorted(Shelf shelf) {
    Sorted sorted =
        last.filter(one -> one.shelf == shelf && one.order == order && one.texts == texts)
            .orElseGet(
                () -> new Sorted(shelf, order, texts, order.sorted(shelf, shelf.styles(), texts)));
    last = Optional.of(sorted);
    return sorted.looks;
  }

  /**
   * Why nothing is listed.
   *
   * @param all whether nothing was typed
   */
  String nothing(boolean all) {
    if (searching) {
      return Messages.of("shelf-list.searching");
    }
    return switch (all ? show : ShelfShow.ALL) {
      case ALL -> Messages.of("shelf-list.nothing-matches");
      case UNUSED -> Messages.of("shelf-list.none-unused");
      case NEAR -> Messages.of("shelf-list.none-near");
    };
  }

  /** Makes one look of several that are nearly the same. */
  void merge(NearLooks alike, Kept.OfStyle into) {
    List<StyleId> others =
        alike.looks().stream()
            .filter(look -> !look.equals(into))
            .map(look -> look.style().id())
            .toList();
    keeper.change(
        shelf -> Change.of(shelf, Action.Kind.MERGE, new MergeStyles(into.style().id(), others)));
  }

  @Override
  public void close() {
    search.close();
  }
}
