package dynamorph.model;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import dynamorph.model.property.Properties;
import dynamorph.model.property.PropertySet;
import dynamorph.model.value.FontSize;
import java.util.Optional;
import java.util.Set;
import java.util.random.RandomGenerator;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;

class ArtboardTest {
  @ParameterizedTest
  @CsvSource({"900, MILLIMETRE, 2551.181", "1, INCH, 72", "1080, PIXEL, 1080", "12, POINT, 12"})
  void unitsAreCountedInPoints(double amount, LengthUnit unit, double points) {
    assertThat(unit.toPoints(amount)).isEqualTo(points, within(1e-3));
    assertThat(unit.fromPoints(points)).isEqualTo(amount, within(1e-3));
  }

  @Test
  void sizesAreSaidInTheirUnit() {
    assertThat(Artboard.empty("a", "A", 900, 600, LengthUnit.MILLIMETRE).sizeText())
        .isEqualTo("900 \u00d7 600 mm");
    assertThat(Artboard.empty("a", "A", 8.5, 11, LengthUnit.INCH).sizeText())
        .isEqualTo("8.5 \u00d7 11 in");
  }

  @ParameterizedTest
  @ValueSource(doubles = {0, -5, 1e6, Double.NaN, Double.POSITIVE_INFINITY})
  void sizesOutOfRangeAreRefused(double width) {
    assertThatThrownBy(() -> Artboard.empty("a", "A", width, 100, LengthUnit.POINT))
        .isInstanceOf(IllegalArgumentException.class)
        .hasMessageContaining("between 1 pt and 10 m");
  }

  @Test
  void untouchedPartsAreShared() {
    Artboard one = Artboard.empty("a", "A", 10, 10, LengthUnit.POINT).plus(Layer.of("t", "T", "x"));
    Artboard two = Artboard.empty("b", "B", 10, 10, LengthUnit.POINT).plus(Layer.of("u", "U", "y"));
    Project project = Project.empty("P").plus(one).plus(two);
    Project changed = project.mapLayers(Set.of(new LayerId("t")), layer -> layer.withName("Other"));
    assertThat(changed.artboards().get(1)).isSameAs(two);
    assertThat(changed.artboards().get(0).layers().getFirst().story())
        .isSameAs(one.layers().getFirst().story());
    assertThat(project.mapLayers(layer -> layer)).isSameAs(project);
    assertThat(changed.artboardOf(new LayerId("u"))).contains(two);
  }

  @Test
  void aFrameHoldsPlacementOnly() {
    PropertySet size = PropertySet.EMPTY.with(Properties.SIZE, FontSize.points(3));
    assertThatThrownBy(() -> Layer.of("t", "T", "x").withFrame(size))
        .hasMessageContaining("placement only");
  }

  @ParameterizedTest
  @ValueSource(strings = {"../x", "/x", "fonts/../x", "", "a\\b"})
  void assetsStayInTheirFolder(String name) {
    assertThatThrownBy(() -> new Asset(name, new byte[1]))
        .isInstanceOf(IllegalArgumentException.class);
  }

  @Test
  void assetsAreEqualByTheirBytes() {
    assertThat(new Asset("fonts/a.ttf", new byte[] {1}))
        .isEqualTo(new Asset("fonts/a.ttf", new byte[] {1}));
    assertThat(new Asset("fonts/a.ttf", new byte[] {1}))
        .isNotEqualTo(new Asset("fonts/a.ttf", new byte[] {2}));
    assertThat(new Asset("fonts/a.ttf", new byte[] {1}).isFont()).isTrue();
    assertThat(new Asset("images/a.png", new byte[] {1}).isFont()).isFalse();
  }

  @Test
  void newIdsFitEveryKindOfThing() {
    IdSource ids = IdSource.random(RandomGenerator.of("L64X128MixRandom"));
    assertThat(new LayerId(ids.next("text"))).isNotEqualTo(new LayerId(ids.next("text")));
    assertThat(ids.next("swatch")).matches("[a-z0-9][a-z0-9-]*");
    assertThatThrownBy(() -> new LayerId("no id")).isInstanceOf(IllegalArgumentException.class);
  }

  @Test
  void aBaseStyleMustBeThere() {
    Project project = Project.empty("P");
    assertThatThrownBy(
            () -> project.withBaseStyle(Optional.of(new dynamorph.model.style.StyleId("gone"))))
        .hasMessageContaining("gone");
  }
}
