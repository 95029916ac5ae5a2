package dynamorph.model.style;

import static java.util.Objects.requireNonNull;

import dynamorph.model.message.Messages;
import dynamorph.model.property.PropertySet;
import java.util.ArrayList;
import java.util.Collection;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.function.UnaryOperator;
import java.util.stream.Stream;
import org.pcollections.HashTreePMap;
import org.pcollections.PMap;
import org.pcollections.PVector;
import org.pcollections.TreePVector;

/**
 * The styles of a project, in the order the person gave them. No style is based on itself, however
 * far round.
 */
public final class StyleBook {
  public static final StyleBook EMPTY = new StyleBook(TreePVector.empty(), HashTreePMap.empty());

  private final PVector<StyleId> order;
  private final PMap<StyleId, Style> byId;

  private StyleBook(PVector<StyleId> order, PMap<StyleId, Style> byId) {
    this.order = order;
    this.byId = byId;
  }

  /**
   * A book of these styles, whatever their order.
   *
   * @throws IllegalArgumentException if an id stands twice, a base is missing or bases go round in
   *     a circle
   */
  public static StyleBook of(Collection<Style> styles) {
    StyleBook book = EMPTY;
    for (Style style : styles) {
      if (book.byId.containsKey(style.id())) {
        throw new IllegalArgumentException(
            Messages.of("style-book.two-styles-have-the-id", style.id()));
      }
      book = new StyleBook(book.order.plus(style.id()), book.byId.plus(style.id(), style));
    }
    for (Style style : styles) {
      book.checkBase(style);
    }
    return book;
  }

  public Optional<Style> find(StyleId id) {
    return Optional.ofNullable(byId.get(id));
  }

  /** The style with this id; it must be there. */
  public Style get(StyleId id) {
    return find(id)
        .orElseThrow(
            () -> new IllegalArgumentException(Messages.of("style-book.no-style-has-the-id", id)));
  }

  /** The first style of this name, as people give it; an id is understood too. */
  public Optional<Style> named(String name) {
    return stream()
        .filter(style -> style.name().equalsIgnoreCase(name.strip()))
        .findFirst()
        .or(() -> stream().filter(style -> style.id().value().equals(name.strip())).findFirst());
  }

  public Stream<Style> stream() {
    return order.stream().map(byId::get);
  }

  public List<Style> list() {
    return stream().toList();
  }

  public int size() {
    return order.size();
  }

  /** The style and what it is based on, nearest first. */
  public List<Style> chain(StyleId id) {
    List<Style> chain = new ArrayList<>();
    for (Optional<Style> style = find(id);
        style.isPresent();
        style = style.get().basedOn().flatMap(this::find)) {
      chain.add(style.get());
    }
    return chain;
  }

  /**
   * The same with the style that plain text takes behind it, which fills in what is left open
   * still. A character style is on text that has a look already, so nothing stands behind it.
   */
  public List<Style> chainOn(StyleId id, Optional<StyleId> plain) {
    List<Style> chain = new ArrayList<>(chain(id));
    List<Style> behind = plain.map(this::chain).orElse(List.of());
    if (get(id).level() != StyleLevel.CHARACTER
        && behind.stream().noneMatch(style -> style.id().equals(id))) {
      behind.stream().filter(style -> !chain.contains(style)).forEach(chain::add);
    }
    return chain;
  }

  /** What a style, its bases and the plain style behind them set, the nearest of them counting. */
  public PropertySet setOn(StyleId id, Optional<StyleId> plain) {
    PropertySet set = PropertySet.EMPTY;
    for (Style style : chainOn(id, plain).reversed()) {
      set = set.overlaidBy(style.properties());
    }
    return set;
  }

  /** The styles based directly on this one. */
  public Stream<Style> derivedFrom(StyleId id) {
    return stream().filter(style -> style.basedOn().filter(id::equals).isPresent());
  }

  /** The style and everything based on it, however far. */
  public Set<StyleId> family(StyleId id) {
    Map<StyleId, List<StyleId>> derived = new HashMap<>();
    for (StyleId other : order) {
      requireNonNull(byId.get(other))
          .basedOn()
          .ifPresent(base -> derived.computeIfAbsent(base, _ -> new ArrayList<>()).add(other));
    }
    Set<StyleId> family = new HashSet<>();
    List<StyleId> open = new ArrayList<>(List.of(id));
    while (!open.isEmpty()) {
      StyleId next = open.removeLast();
      if (family.add(next)) {
        open.addAll(derived.getOrDefault(next, List.of()));
      }
    }
    return family;
  }

  /** With a style put in, or replaced where it stands. */
  public StyleBook with(Style style) {
    boolean known = byId.containsKey(style.id());
    StyleBook changed =
        new StyleBook(known ? order : order.plus(style.id()), byId.plus(style.id(), style));
    changed.checkBase(style);
    return changed;
  }

  /** Without a style; what was based on it is based on its base. */
  public StyleBook without(StyleId id) {
    Style gone = get(id);
    StyleBook changed = new StyleBook(order.minus(id), byId.minus(id));
    for (Style derived : derivedFrom(id).toList()) {
      changed = changed.with(derived.withBasedOn(gone.basedOn()));
    }
    return changed;
  }

  /** With styles moved to stand before another, or at the end, in the order given. */
  public StyleBook moved(List<StyleId> ids, Optional<StyleId> before) {
    List<StyleId> changed = new ArrayList<>(order);
    changed.removeAll(ids);
    int at = before.map(changed::indexOf).filter(index -> index >= 0).orElse(changed.size());
    changed.addAll(at, ids.stream().filter(byId::containsKey).toList());
    return changed.equals(order) ? this : new StyleBook(TreePVector.from(changed), byId);
  }

  /** With one style changed. */
  public StyleBook map(StyleId id, UnaryOperator<Style> change) {
    return with(change.apply(get(id)));
  }

  private void checkBase(Style style) {
    Set<StyleId> seen = new HashSet<>();
    List<String> names = new ArrayList<>();
    for (Style at = style; at.basedOn().isPresent(); at = byId.get(at.basedOn().get())) {
      names.add(at.name());
      if (!seen.add(at.id())) {
        throw new IllegalArgumentException(
            Messages.of(
                "style-book.styles-are-based-on-each-other", String.join(" \u2192 ", names)));
      }
      if (!byId.containsKey(at.basedOn().get())) {
        throw new IllegalArgumentException(
            Messages.of("style-book.style-is-based-on-which-is", at.name(), at.basedOn().get()));
      }
    }
  }

  @Override
  public boolean equals(Object other) {
    return this == other
        || other instanceof StyleBook book && order.equals(book.order) && byId.equals(book.byId);
  }

  @Override
  public int hashCode() {
    return byId.hashCode();
  }

  @Override
  public String toString() {
    return list().toString();
  }
}
