package dynamorph.app.styles.column;

import dynamorph.model.style.StyleId;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.SequencedSet;
import java.util.function.Supplier;

/** The cards of the column that are chosen for something that is done to several. */
final class ChosenStyles {
  private final SequencedSet<StyleId> chosen = new LinkedHashSet<>();
  private final Supplier<List<StyleId>> order;
  private final Runnable changed;

  /**
   * @param order in which the cards are listed
   * @param changed told when others are chosen
   */
  ChosenStyles(Supplier<List<StyleId>> order, Runnable changed) {
    this.order = order;
    this.changed = changed;
  }

  boolean contains(StyleId id) {
    return chosen.contains(id);
  }

  /** The chosen cards if this one is among them, else this one alone. */
  SequencedSet<StyleId> with(StyleId id) {
    return chosen.contains(id)
        ? new LinkedHashSet<>(order.get().stream().filter(chosen::contains).toList())
        : new LinkedHashSet<>(List.of(id));
  }

  void flip(StyleId id) {
    if (!chosen.remove(id)) {
      chosen.add(id);
    }
    changed.run();
  }

  /** Chooses all cards from the one chosen last to this one. */
  void extend(StyleId id) {
    List<StyleId> listed = order.get();
    int from = chosen.isEmpty() ? listed.indexOf(id) : listed.indexOf(chosen.getLast());
    int to = listed.indexOf(id);
    chosen.addAll(listed.subList(Math.min(from, to), Math.max(from, to) + 1));
    changed.run();
  }

  void clear() {
    chosen.clear();
    changed.run();
  }
}
