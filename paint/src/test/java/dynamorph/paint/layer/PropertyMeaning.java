package dynamorph.paint.layer;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import dynamorph.model.Layer;
import dynamorph.model.property.Facet;
import dynamorph.model.property.Properties;
import dynamorph.model.property.PropertyKey;
import dynamorph.model.property.PropertySet;
import dynamorph.paint.Painting;
import java.util.function.BiConsumer;

/**
 * What a change of one property does to a picture: the same words painted with one value and with
 * another, and what must hold between the two.
 *
 * @param path the property, as files write it
 * @param given what is set beside it
 */
record PropertyMeaning(
    String path,
    String from,
    String to,
    String words,
    PropertySet given,
    BiConsumer<Ink, Ink> expected) {
  /** Points that rounding to pixels, and the edges of glyphs, may make. */
  private static final double NEAR = 0.7;

  private static final double SCALE = 3;
  private static final PropertySet LOOK =
      set(
          "font-family", "EB Garamond",
          "size", "20 pt",
          "finish/fill/colour", "#000000",
          "position-x", "40",
          "position-y", "30");

  /** A property of the text, told by one word in one line. */
  static PropertyMeaning of(String path, String from, String to, BiConsumer<Ink, Ink> expected) {
    return new PropertyMeaning(path, from, to, "Hour", PropertySet.EMPTY, expected);
  }

  /** A property of a paragraph, in a box of 100 by 90 points at (20, 5), in 10 points. */
  static PropertyMeaning inBox(
      String path, String from, String to, String words, BiConsumer<Ink, Ink> expected) {
    return of(path, from, to, expected)
        .words(words)
        .given(
            "box", "fixed",
            "box-width", "100",
            "box-height", "90",
            "position-x", "20",
            "position-y", "5",
            "size", "10 pt");
  }

  @Override
  public String toString() {
    return path + " from " + from + " to " + to;
  }

  PropertyMeaning words(String others) {
    return new PropertyMeaning(path, from, to, others, given, expected);
  }

  /** With these values beside it: paths and values by turns. */
  PropertyMeaning given(String... values) {
    return new PropertyMeaning(path, from, to, words, given.overlaidBy(set(values)), expected);
  }

  void check() {
    Ink before = painted(words, value(from));
    Ink after = painted(words, value(to));
    try {
      expected.accept(before, after);
    } catch (AssertionError wrong) {
      throw new AssertionError(this + ": " + before + " became " + after, wrong);
    }
  }

  /** Paints with a value of a range's end, and whatever it looks like. */
  <T> Ink painted(PropertyKey<T> key, T value) {
    return painted(words, given.with(key, value));
  }

  private PropertySet value(String value) {
    return given.overlaidBy(set(path, value));
  }

  static Ink painted(String words, PropertySet over) {
    PropertySet all = LOOK.overlaidBy(over);
    Layer layer =
        Layer.of("t", "t", words)
            .withFrame(all.where(PropertyMeaning::isPlacement))
            .withLocal(all.where(key -> !isPlacement(key)));
    return Ink.of(Painting.stage(Painting.project(layer), SCALE), SCALE);
  }

  /** Values by their paths, both as people write them. */
  static PropertySet set(String... values) {
    PropertySet set = PropertySet.EMPTY;
    for (int at = 0; at < values.length; at += 2) {
      set = with(set, Properties.key(values[at]), values[at + 1]);
    }
    return set;
  }

  private static <T> PropertySet with(PropertySet set, PropertyKey<T> key, String value) {
    return set.with(key, key.property().type().parse(value));
  }

  private static boolean isPlacement(PropertyKey<?> key) {
    return key.property().facet() == Facet.PLACEMENT;
  }

  static BiConsumer<Ink, Ink> moves(double right, double down) {
    return (before, after) -> {
      assertThat(after.left() - before.left()).isCloseTo(right, within(NEAR));
      assertThat(after.right() - before.right()).isCloseTo(right, within(NEAR));
      assertThat(after.top() - before.top()).isCloseTo(down, within(NEAR));
      assertThat(after.bottom() - before.bottom()).isCloseTo(down, within(NEAR));
    };
  }

  static BiConsumer<Ink, Ink> scales(double across, double down) {
    return (before, after) -> {
      assertThat(after.width()).isCloseTo(before.width() * across, within(2 * NEAR));
      assertThat(after.height()).isCloseTo(before.height() * down, within(2 * NEAR));
    };
  }

  /** The outermost edges move outwards by so many points: left, top, right, bottom. */
  static BiConsumer<Ink, Ink> grows(double left, double top, double right, double bottom) {
    return (before, after) -> {
      assertThat(before.left() - after.left()).isCloseTo(left, within(NEAR));
      assertThat(before.top() - after.top()).isCloseTo(top, within(NEAR));
      assertThat(after.right() - before.right()).isCloseTo(right, within(NEAR));
      assertThat(after.bottom() - before.bottom()).isCloseTo(bottom, within(NEAR));
    };
  }

  static BiConsumer<Ink, Ink> widens(double points) {
    return (before, after) ->
        assertThat(after.width() - before.width()).isCloseTo(points, within(NEAR));
  }

  static BiConsumer<Ink, Ink> isWider() {
    return (before, after) -> assertThat(after.width()).isGreaterThan(before.width() + NEAR);
  }

  static BiConsumer<Ink, Ink> isNarrower() {
    return (before, after) -> isWider().accept(after, before);
  }

  /** Another picture; what it means is told by the words that choose it. */
  static BiConsumer<Ink, Ink> differs() {
    return (before, after) -> assertThat(after.isSameAs(before)).isFalse();
  }

  static BiConsumer<Ink, Ink> staysAsItWas() {
    return (before, after) -> assertThat(after.isSameAs(before)).isTrue();
  }

  /** Ink by a factor, at least. */
  static BiConsumer<Ink, Ink> isBlacker(double factor) {
    return (before, after) -> assertThat(after.amount()).isGreaterThan(before.amount() * factor);
  }

  static BiConsumer<Ink, Ink> isLighter() {
    return (before, after) -> assertThat(after.amount()).isLessThan(before.amount() * 0.99);
  }

  /** Looks as these words do with these values. */
  static BiConsumer<Ink, Ink> looksLike(String words, String... values) {
    return (before, after) -> {
      assertThat(after.isSameAs(painted(words, set(values)))).isTrue();
      differs().accept(before, after);
    };
  }

  /** A colour goes and another comes, in the same places. */
  static BiConsumer<Ink, Ink> recolours(String old, String present) {
    return (before, after) -> {
      assertThat(before.area(old)).isGreaterThan(1);
      assertThat(after.area(present)).isCloseTo(before.area(old), within(before.area(old) * 0.3));
      assertThat(after.area(old)).isLessThan(before.area(old) * 0.1);
    };
  }

  static BiConsumer<Ink, Ink> appears(String hex) {
    return (before, after) -> {
      assertThat(before.area(hex)).isLessThan(0.5);
      assertThat(after.area(hex)).isGreaterThan(1);
    };
  }

  static BiConsumer<Ink, Ink> vanishes(String hex) {
    return (before, after) -> appears(hex).accept(after, before);
  }

  /** More of a colour by a factor, at least. */
  static BiConsumer<Ink, Ink> hasMore(String hex, double factor) {
    return (before, after) ->
        assertThat(after.area(hex)).isGreaterThan(before.area(hex) * factor + 0.5);
  }

  static BiConsumer<Ink, Ink> hasLess(String hex, double factor) {
    return (before, after) -> hasMore(hex, factor).accept(after, before);
  }
}
