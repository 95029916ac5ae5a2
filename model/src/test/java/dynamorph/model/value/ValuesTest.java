package dynamorph.model.value;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;

class ValuesTest {
  @ParameterizedTest
  @CsvSource({
    "12, 12 pt",
    "12 pt, 12 pt",
    "12.50pt, 12.5 pt",
    "×1.6, ×1.6",
    "x1.6, ×1.6",
    "*2, ×2",
    "160 %, ×1.6",
    "+2, +2 pt",
    "+2 pt, +2 pt",
    "-2 pt, −2 pt",
    "−0.5, −0.5 pt",
    "'1,5', 1.5 pt"
  })
  void sizesAreReadAndWritten(String text, String written) {
    FontSize size = FontSize.parse(text);
    assertThat(size).hasToString(written);
    assertThat(FontSize.parse(size.toString())).isEqualTo(size);
  }

  @ParameterizedTest
  @ValueSource(strings = {"", "big", "0", "×0", "×1000", "20000 pt", "NaN", "1e9", "12 mm", "--2"})
  void sizesThatMakeNoSenseAreRefused(String text) {
    assertThatThrownBy(() -> FontSize.parse(text)).isInstanceOf(IllegalArgumentException.class);
  }

  @Test
  void relativeSizesAreWorkedOutAndKeptInRange() {
    assertThat(new FontSize.Times(1.6).over(11)).isEqualTo(17.6);
    assertThat(new FontSize.Plus(-3).over(10)).isEqualTo(7);
    assertThat(new FontSize.Plus(-30).over(10)).isEqualTo(FontSize.SMALLEST);
    assertThat(new FontSize.Times(100).over(5000)).isEqualTo(FontSize.LARGEST);
  }

  @ParameterizedTest
  @CsvSource({
    "auto, auto, 12",
    "14, 14 pt, 14",
    "140 %, 140 %, 14",
    "×1.3, 130 %, 13",
    "Auto, auto, 12"
  })
  void leadingIsReadWrittenAndAppliedToTenPoints(String text, String written, double points) {
    assertThat(Leading.parse(text)).hasToString(written);
    assertThat(Leading.parse(text).at(10)).isEqualTo(points, within(1e-9));
  }

  @ParameterizedTest
  @CsvSource({"#abc, #aabbcc", "1f4d3a, #1f4d3a", "#1F4D3A80, #1f4d3a80", "#000000ff, #000000"})
  void coloursAreReadAndWritten(String text, String written) {
    assertThat(Rgba.parse(text)).hasToString(written);
  }

  @ParameterizedTest
  @ValueSource(strings = {"", "#12", "#12345", "red", "swatch:", "swatch:Über", "#gggggg"})
  void coloursThatMakeNoSenseAreRefused(String text) {
    assertThatThrownBy(() -> Colour.parse(text)).isInstanceOf(IllegalArgumentException.class);
  }

  @Test
  void luminanceAfterWcag() {
    assertThat(Rgba.WHITE.luminance()).isEqualTo(1, within(1e-9));
    assertThat(Rgba.BLACK.luminance()).isZero();
    assertThat(Rgba.of(0x77, 0x77, 0x77).luminance()).isEqualTo(0.184, within(1e-3));
  }

  @ParameterizedTest
  @CsvSource({
    "12*1.5, 18",
    "(3+4)/2, 3.5",
    "1 in - 2 mm, 66.3307",
    "-4, -4",
    "2×3, 6",
    "'2,5', 2.5",
    "10 mm, 28.3465",
    "12 pt, 12",
    "8−3, 5",
    " 7 , 7"
  })
  void arithmetic(String text, double value) {
    assertThat(Expression.evaluate(text)).isEqualTo(value, within(1e-3));
  }

  @ParameterizedTest
  @CsvSource({
    "12*, at its end",
    "1/0, no finite value",
    "two, at \"two\"",
    "3 miles, at \"miles\"",
    "(1+2, at its end"
  })
  void arithmeticTellsWhereItStopsMakingSense(String text, String where) {
    assertThatThrownBy(() -> Expression.evaluate(text))
        .isInstanceOf(IllegalArgumentException.class)
        .hasMessageContaining(where);
  }

  @ParameterizedTest
  @CsvSource({
    "0.1, 0.1",
    "3, 3",
    "-0, 0",
    "1e-9, 0",
    "1234567.125, 1234567.125",
    "0.30000000000000004, 0.3"
  })
  void numbersAreWrittenWithoutNoise(double number, String written) {
    assertThat(Numbers.format(number)).isEqualTo(written);
  }
}
