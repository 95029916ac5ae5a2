package dynamorph.model.property;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import dynamorph.model.random.RandomProjects;
import dynamorph.model.value.CoatKind;
import dynamorph.model.value.FontSize;
import dynamorph.model.value.Length;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.MethodSource;
import org.junit.jupiter.params.provider.ValueSource;

class PropertiesTest {
  static java.util.stream.Stream<Property<?>> all() {
    return Properties.all().stream();
  }

  @ParameterizedTest
  @MethodSource("all")
  <T> void theDefaultIsAValueOfItsOwnType(Property<T> property) {
    ValueType<T> type = property.type();
    assertThat(type.decode(type.encode(property.defaultValue())))
        .isEqualTo(property.defaultValue());
    assertThat(type.parse(type.format(property.defaultValue()))).isEqualTo(property.defaultValue());
    assertThat(property.help()).endsWith(".");
    assertThat(type.expected()).isNotBlank();
  }

  @ParameterizedTest
  @ValueSource(
      strings = {
        "size",
        "finish/outline/width",
        "finish/outline/shadow/blur",
        "plate/ground/colour"
      })
  void pathsNameKeys(String path) {
    assertThat(Properties.key(path).path()).isEqualTo(path);
  }

  @ParameterizedTest
  @CsvSource({
    "sise, size",
    "weight, font-weight",
    "finish/outline/widht, width",
    "finish/outline/shadow/blurr, blur",
    "fontfamily, font-family"
  })
  void anUnknownPropertyIsNamedWithTheNearestKnownOne(String path, String suggestion) {
    assertThatThrownBy(() -> Properties.key(path))
        .isInstanceOf(IllegalArgumentException.class)
        .hasMessage("unknown property \"" + path + "\"; did you mean \"" + suggestion + "\"?");
  }

  @ParameterizedTest
  @ValueSource(
      strings = {
        "",
        "finish",
        "finish/outline",
        "wall/outline/width",
        "finish/Out Line/width",
        "finish//width",
        "a/b/c/d/e"
      })
  void pathsThatNameNothingAreRefused(String path) {
    assertThatThrownBy(() -> Properties.key(path)).isInstanceOf(IllegalArgumentException.class);
  }

  @Test
  void aPlateBelongsToTheWholeLayer() {
    PropertyKey<CoatKind> onPlate = Properties.COAT_KIND.at(Address.plateCoat("ground"));
    PropertyKey<CoatKind> onLetters = Properties.COAT_KIND.at(Address.coat("fill"));
    assertThat(onPlate.countsOn(Level.SPAN)).isFalse();
    assertThat(onPlate.countsOn(Level.LAYER)).isTrue();
    assertThat(onLetters.countsOn(Level.SPAN)).isTrue();
  }

  @Test
  void aParameterOfACoatStandsOnlyAtACoat() {
    assertThatThrownBy(() -> Properties.SIZE.at(Address.coat("fill")))
        .isInstanceOf(IllegalArgumentException.class);
    assertThatThrownBy(() -> Properties.STROKE_WIDTH.at(Address.TEXT))
        .isInstanceOf(IllegalArgumentException.class);
  }

  @Test
  void badValuesAreToldWithTheirProperty() {
    assertThatThrownBy(() -> PropertySet.parse(Map.of("font-weight", "4000")))
        .hasMessage("font-weight: expected a number from 1 to 1000, found 4000");
    assertThatThrownBy(() -> PropertySet.parse(Map.of("alignment", "middle")))
        .hasMessageStartingWith("alignment: expected one of start, centre");
    assertThatThrownBy(() -> PropertySet.parse(Map.of("finish/fill/width", "-3 pt")))
        .hasMessageStartingWith("finish/fill/width: expected a length");
  }

  @Test
  void setsAreValues() {
    PropertySet one =
        PropertySet.EMPTY.with(Properties.SIZE, FontSize.points(9)).with(Properties.TRACKING, 20.0);
    PropertySet other =
        PropertySet.EMPTY.with(Properties.TRACKING, 20.0).with(Properties.SIZE, FontSize.points(9));
    assertThat(one).isEqualTo(other).hasSameHashCodeAs(other);
    assertThat(one.without(Properties.SIZE.key()).get(Properties.SIZE.key())).isEmpty();
    assertThat(one.get(Properties.SIZE.key())).contains(FontSize.points(9));
    assertThat(one.keys()).extracting(PropertyKey::path).containsExactly("size", "tracking");
    assertThat(
            one.overlaidBy(PropertySet.EMPTY.with(Properties.TRACKING, 1.0))
                .get(Properties.TRACKING.key()))
        .contains(1.0);
    assertThatThrownBy(() -> one.keys().clear()).isInstanceOf(UnsupportedOperationException.class);
  }

  @ParameterizedTest
  @ValueSource(longs = {1, 2, 3, 4, 5, 6})
  void everyValueSurvivesText(long seed) {
    PropertySet set = new RandomProjects(seed).values(60, Level.LAYER);
    for (PropertyKey<?> key : set.keys()) {
      assertSurvives(set, key);
    }
  }

  private static <T> void assertSurvives(PropertySet set, PropertyKey<T> key) {
    T value = set.get(key).orElseThrow();
    ValueType<T> type = key.property().type();
    assertThat(type.parse(type.format(value))).as(key.path()).isEqualTo(value);
    assertThat(type.decode(type.encode(value))).as(key.path()).isEqualTo(value);
  }

  @Test
  void lengthsKeepTheirUnit() {
    assertThat(Properties.STROKE_WIDTH.type().parse("0.02 em")).isEqualTo(Length.em(0.02));
    assertThat(Properties.STROKE_WIDTH.type().parse("3")).isEqualTo(Length.points(3));
    assertThat(Length.em(0.5).toPoints(30)).isEqualTo(15);
  }

  /** All coats are no coat of their own, but lie over what is below as one, and through a mask. */
  @Test
  void allCoatsTogetherHaveWhatBelongsToNone() {
    assertThat(Properties.key("finish/whole/shadow/blur").path())
        .isEqualTo("finish/whole/shadow/blur");
    assertThat(Properties.key("plate/whole/opacity").path()).isEqualTo("plate/whole/opacity");
    assertThat(Properties.key("finish/whole/mask").path()).isEqualTo("finish/whole/mask");
    assertThat(Properties.key("finish/whole/stops").path()).isEqualTo("finish/whole/stops");
    for (String path : List.of("finish/whole/colour", "finish/whole/kind", "plate/whole/width")) {
      assertThatThrownBy(() -> Properties.key(path))
          .isInstanceOf(IllegalArgumentException.class)
          .hasMessageContaining("all coats together");
    }
    assertThatThrownBy(() -> Properties.key("plate/ground/mask"))
        .isInstanceOf(IllegalArgumentException.class)
        .hasMessageContaining("plate/whole/mask");
  }
}
