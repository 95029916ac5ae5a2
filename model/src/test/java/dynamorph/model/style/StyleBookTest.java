package dynamorph.model.style;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import dynamorph.model.value.Colour;
import dynamorph.model.value.Rgba;
import java.util.List;
import java.util.Optional;
import org.junit.jupiter.api.Test;

class StyleBookTest {
  private static Style style(String id, String... base) {
    return Style.text(id, "Style " + id, "")
        .withBasedOn(base.length == 0 ? Optional.empty() : Optional.of(new StyleId(base[0])));
  }

  private static final StyleBook CHAIN =
      StyleBook.of(List.of(style("c", "b"), style("b", "a"), style("a")));

  @Test
  void chainsAndFamilies() {
    assertThat(CHAIN.chain(new StyleId("c")))
        .extracting(style -> style.id().value())
        .containsExactly("c", "b", "a");
    assertThat(CHAIN.family(new StyleId("b")))
        .containsExactlyInAnyOrder(new StyleId("b"), new StyleId("c"));
    assertThat(CHAIN.derivedFrom(new StyleId("a")))
        .extracting(Style::name)
        .containsExactly("Style b");
    assertThat(CHAIN.list())
        .extracting(Style::name)
        .containsExactly("Style c", "Style b", "Style a");
  }

  @Test
  void aCircleIsRefusedWithItsNames() {
    assertThatThrownBy(() -> CHAIN.with(style("a", "c")))
        .isInstanceOf(IllegalArgumentException.class)
        .hasMessageContaining("circle")
        .hasMessageContaining("Style a \u2192 Style c \u2192 Style b");
    assertThatThrownBy(() -> StyleBook.of(List.of(style("x", "x")))).hasMessageContaining("circle");
  }

  @Test
  void aMissingBaseAndADoubleIdAreRefused() {
    assertThatThrownBy(() -> StyleBook.of(List.of(style("x", "y")))).hasMessageContaining("\"y\"");
    assertThatThrownBy(() -> StyleBook.of(List.of(style("x"), style("x"))))
        .hasMessageContaining("\"x\"");
  }

  @Test
  void whatWasBasedOnADeletedStyleIsBasedOnItsBase() {
    StyleBook without = CHAIN.without(new StyleId("b"));
    assertThat(without.get(new StyleId("c")).basedOn()).contains(new StyleId("a"));
    assertThat(without.size()).isEqualTo(2);
  }

  @Test
  void namesFindStyles() {
    assertThat(CHAIN.named(" style B ")).map(Style::id).contains(new StyleId("b"));
    assertThat(CHAIN.named("c")).map(Style::name).contains("Style c");
    assertThat(CHAIN.named("nothing")).isEmpty();
  }

  @Test
  void aSwatchIsReplacedWhereItStands() {
    Palette palette =
        new Palette(List.of(new Swatch("a", "A", Rgba.BLACK), new Swatch("b", "B", Rgba.WHITE)));
    Palette changed = palette.with(new Swatch("a", "Other", Rgba.of(1, 2, 3)));
    assertThat(changed.swatches()).extracting(Swatch::name).containsExactly("Other", "B");
    assertThat(changed.colour(Colour.swatch("a"))).isEqualTo(Rgba.of(1, 2, 3));
    assertThat(changed.colour(Colour.swatch("gone"))).isEqualTo(Rgba.BLACK);
    assertThatThrownBy(
            () -> new Palette(List.of(changed.swatches().get(0), changed.swatches().get(0))))
        .isInstanceOf(IllegalArgumentException.class);
  }
}
