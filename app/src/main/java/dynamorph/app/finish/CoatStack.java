package dynamorph.app.finish;

import dynamorph.app.property.Subject;
import dynamorph.app.session.CoatClipboard;
import dynamorph.model.property.Address;
import dynamorph.model.property.Properties;
import dynamorph.model.property.Property;
import dynamorph.model.property.PropertyKey;
import dynamorph.model.property.PropertySet;
import dynamorph.model.style.Palette;
import dynamorph.model.value.CoatKind;
import dynamorph.model.value.Colour;
import dynamorph.model.value.EffectKind;
import dynamorph.model.value.Length;
import dynamorph.model.value.Rgba;
import dynamorph.model.value.StrokePosition;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.function.Supplier;

/** Changes which coats and effects there are, and their order. */
final class CoatStack {
  private final Supplier<Subject> subject;
  private final CoatClipboard clipboard;
  private final Supplier<Palette> palette;

  CoatStack(Supplier<Subject> subject, CoatClipboard clipboard, Supplier<Palette> palette) {
    this.subject = subject;
    this.clipboard = clipboard;
    this.palette = palette;
  }

  private Subject now() {
    return subject.get();
  }

  // --- adding

  /** Adds a coat over the others of the letters. */
  Optional<Address> addCoat(CoatKind kind) {
    if (now().isEmpty()) {
      return Optional.empty();
    }
    List<Address> coats = now().coats(Address.FINISH);
    Address coat = Address.coat(freeId(coats, kind == CoatKind.FILL ? "fill" : "outline"));
    PropertySet values = newCoat(coat, kind);
    if (kind == CoatKind.STROKE) {
      values =
          values
              .with(Properties.COAT_COLOUR.at(coat), seenOn(coats))
              .with(Properties.STROKE_WIDTH.at(coat), Length.em(0.03))
              .with(Properties.STROKE_POSITION.at(coat), StrokePosition.OUTSIDE);
    }
    now().set(values, Optional.empty());
    return Optional.of(coat);
  }

  /** What new strokes are painted in, the first that is told apart from what lies below. */
  private static final List<Rgba> STROKES =
      List.of(Rgba.parse("#e8743b"), Rgba.WHITE, Rgba.parse("#1b1d22"));

  /** Contrast between things that are no text (W3C, WCAG 2.2, 1.4.11). */
  private static final double TOLD_APART = 3;

  /** A colour that is seen beside the topmost coat. */
  private Colour seenOn(List<Address> coats) {
    Optional<Rgba> below =
        coats.reversed().stream()
            .flatMap(coat -> now().shown(Properties.COAT_COLOUR.at(coat)).value().stream())
            .findFirst()
            .map(palette.get()::colour);
    return Colour.of(
        STROKES.stream()
            .filter(colour -> below.map(under -> under.contrast(colour) >= TOLD_APART).orElse(true))
            .findFirst()
            .orElse(STROKES.getFirst()));
  }

  /** Adds a coat over the others of the plate. */
  Optional<Address> addPlate() {
    if (now().isEmpty()) {
      return Optional.empty();
    }
    Address coat = Address.plateCoat(freeId(now().coats(Address.PLATE), "ground"));
    now()
        .set(
            newCoat(coat, CoatKind.FILL)
                .with(Properties.COAT_COLOUR.at(coat), Colour.hex("#e8c468")),
            Optional.empty());
    return Optional.of(coat);
  }

  private PropertySet newCoat(Address coat, CoatKind kind) {
    return PropertySet.EMPTY
        .with(Properties.COAT_KIND.at(coat), kind)
        .with(Properties.COAT_REMOVED.at(coat), false)
        .with(Properties.COAT_ORDER.at(coat), highest(now().coats(coat.host())) + 1);
  }

  Address addEffect(Address coat, EffectKind kind) {
    Address effect = freeEffect(coat, FinishRows.id(kind));
    now()
        .set(
            FinishRows.start(effect, kind)
                .with(Properties.EFFECT_ORDER.at(effect), highestEffect(coat) + 1),
            Optional.empty());
    return effect;
  }

  private Address freeEffect(Address coat, String wanted) {
    List<String> taken = now().effects(coat).stream().map(Address::effect).toList();
    return coat.effect(freeName(taken, wanted));
  }

  private double highestEffect(Address coat) {
    return now().effects(coat).stream().mapToDouble(this::effectOrder).max().orElse(-1);
  }

  private double effectOrder(Address effect) {
    return now().shown(Properties.EFFECT_ORDER.at(effect)).value().orElse(0.0);
  }

  // --- copying

  /** The copy lies above, with everything that its original shows. */
  Address duplicate(Address coat) {
    return insert(coat, valuesOf(coat), Optional.of(coat));
  }

  void copy(Address from) {
    clipboard.copy(from, from.effect().isEmpty() ? valuesOf(from) : effectValues(from));
  }

  /** What can be pasted. */
  Optional<CoatClipboard.Copied> copied() {
    return clipboard.copied();
  }

  /**
   * Pastes what was copied: a coat above another, an effect into a coat.
   *
   * @return where it is now, if there was something to paste
   */
  Optional<Address> paste(Address at) {
    Optional<CoatClipboard.Copied> copied = clipboard.copied();
    if (copied.isEmpty() || now().isEmpty()) {
      return Optional.empty();
    }
    Address from = copied.get().from();
    PropertySet values = copied.get().values();
    if (!copied.get().isEffect()) {
      return Optional.of(insert(new Address(at.host(), from.coat(), ""), values, from, at));
    }
    Address effect = freeEffect(at.ownCoat(), from.effect());
    now()
        .set(
            rehomed(values, from, effect)
                .with(Properties.EFFECT_REMOVED.at(effect), false)
                .with(Properties.EFFECT_ORDER.at(effect), highestEffect(at.ownCoat()) + 1),
            Optional.empty());
    return Optional.of(effect);
  }

  private Address insert(Address like, PropertySet values, Optional<Address> above) {
    return insert(like, values, like, above.orElse(like));
  }

  /**
   * @param wanted the name that the coat would like
   * @param from the address under which the values stand
   * @param below the coat above which it goes; if it is not there, over all others
   */
  private Address insert(Address wanted, PropertySet values, Address from, Address below) {
    List<Address> coats = now().coats(wanted.host());
    Address copy = new Address(wanted.host(), freeId(coats, wanted.coat()), "");
    int index = coats.indexOf(below.ownCoat());
    double above =
        index < 0
            ? highest(coats) + 1
            : index + 1 < coats.size()
                ? (order(coats.get(index)) + order(coats.get(index + 1))) / 2
                : order(coats.get(index)) + 1;
    now()
        .set(
            rehomed(values, from, copy)
                .with(Properties.COAT_REMOVED.at(copy), false)
                .with(Properties.COAT_ORDER.at(copy), above),
            Optional.empty());
    return copy;
  }

  private PropertySet valuesOf(Address coat) {
    PropertySet values = FinishRows.copied(now(), coat, coat);
    for (Address effect : now().effects(coat)) {
      values = values.overlaidBy(effectValues(effect));
    }
    return values;
  }

  private PropertySet effectValues(Address effect) {
    return FinishRows.copied(now(), effect, effect);
  }

  /** The same values under another address; effects of a coat go with it. */
  private static PropertySet rehomed(PropertySet values, Address from, Address to) {
    PropertySet moved = PropertySet.EMPTY;
    for (PropertyKey<?> key : values.keys()) {
      Address address = key.address();
      Address home =
          address.equals(from) ? to : new Address(to.host(), to.coat(), address.effect());
      moved = with(moved, values, key, home);
    }
    return moved;
  }

  private static <T> PropertySet with(
      PropertySet set, PropertySet values, PropertyKey<T> key, Address home) {
    return set.with(key.property().at(home), values.get(key).orElseThrow());
  }

  private static String freeId(List<Address> taken, String wanted) {
    return freeName(taken.stream().map(Address::coat).toList(), wanted);
  }

  private static String freeName(List<String> taken, String wanted) {
    String id = wanted;
    for (int number = 2; taken.contains(id); number++) {
      id = wanted + "-" + number;
    }
    return id;
  }

  // --- order

  private double highest(List<Address> coats) {
    return coats.stream().mapToDouble(this::order).max().orElse(0);
  }

  private double order(Address coat) {
    return now().shown(Properties.COAT_ORDER.at(coat)).value().orElse(0.0);
  }

  boolean isAtEnd(Address coat, boolean top) {
    List<Address> coats = now().coats(coat.host());
    return coats.isEmpty() || (top ? coats.getLast() : coats.getFirst()).equals(coat);
  }

  void move(Address coat, int by) {
    place(coat, now().coats(coat.host()).indexOf(coat) + by);
  }

  /**
   * Puts a coat somewhere else: its order becomes a number between those of its new neighbours.
   *
   * @param index among the others, in paint order
   */
  void place(Address coat, int index) {
    List<Address> others = new ArrayList<>(now().coats(coat.host()));
    if (others.indexOf(coat) == index || index < 0 || index >= others.size()) {
      return;
    }
    others.remove(coat);
    boolean top = index == others.size();
    double below = index > 0 ? order(others.get(index - 1)) : order(others.get(0)) - 2;
    double above = top ? below + 2 : order(others.get(index));
    PropertySet values =
        PropertySet.EMPTY.with(Properties.COAT_ORDER.at(coat), (below + above) / 2);
    if (below == above) {
      // two of one order have no room between them
      others.add(index, coat);
      for (int at = 0; at < others.size(); at++) {
        values = values.with(Properties.COAT_ORDER.at(others.get(at)), (double) at);
      }
    }
    now().set(values, Optional.empty());
  }

  /** Moves an effect among those of its coat. */
  void moveEffect(Address effect, int by) {
    List<Address> effects = new ArrayList<>(now().effects(effect.ownCoat()));
    int from = effects.indexOf(effect);
    int to = from + by;
    if (from < 0 || to < 0 || to >= effects.size()) {
      return;
    }
    effects.remove(effect);
    effects.add(to, effect);
    PropertySet values = PropertySet.EMPTY;
    for (int at = 0; at < effects.size(); at++) {
      values = values.with(Properties.EFFECT_ORDER.at(effects.get(at)), (double) at);
    }
    now().set(values, Optional.empty());
  }

  // --- taking away

  /** What was put in here goes without a trace; what is inherited is marked as removed. */
  void remove(Address address) {
    boolean coat = address.effect().isEmpty();
    PropertyKey<?> kind =
        coat ? Properties.COAT_KIND.at(address) : Properties.EFFECT_KIND.at(address);
    boolean onlyHere = now().isOwn(kind) && now().trace(kind).steps().size() == 1;
    if (onlyHere) {
      now().drop(everythingOf(address));
    } else {
      PropertyKey<Boolean> removed =
          coat ? Properties.COAT_REMOVED.at(address) : Properties.EFFECT_REMOVED.at(address);
      now().set(PropertySet.EMPTY.with(removed, true), Optional.empty());
    }
  }

  /** Whether anything of it is set here over something that lies beyond. */
  boolean canReset(Address address) {
    return everythingOf(address).stream()
        .anyMatch(key -> now().isOwn(key) && now().trace(key).steps().size() > 1);
  }

  /** Takes back what is set here, so that the coat is as it is inherited. */
  void reset(Address address) {
    Set<PropertyKey<?>> own = new HashSet<>();
    for (PropertyKey<?> key : everythingOf(address)) {
      if (now().isOwn(key) && now().trace(key).steps().size() > 1) {
        own.add(key);
      }
    }
    now().drop(own);
  }

  private Set<PropertyKey<?>> everythingOf(Address address) {
    Set<PropertyKey<?>> keys = new HashSet<>();
    Properties.of(address.part()).map(property -> at(property, address)).forEach(keys::add);
    if (address.effect().isEmpty()) {
      now().effects(address).forEach(effect -> keys.addAll(everythingOf(effect)));
    }
    return keys;
  }

  private static PropertyKey<?> at(Property<?> property, Address address) {
    return property.at(address);
  }
}
