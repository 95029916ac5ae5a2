package dynamorph.formats.captions;

import static org.assertj.core.api.Assertions.assertThat;

import dynamorph.formats.css.CssColours;
import dynamorph.model.property.Properties;
import dynamorph.model.property.PropertySet;
import dynamorph.model.value.FontSize;
import java.util.ArrayList;
import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;

class CssColoursTest {
  @ParameterizedTest
  @CsvSource(
      delimiter = '|',
      value = {
        "red | #ff0000",
        "#0f0 | #00ff00",
        "#0000FF80 | #0000ff80",
        "rgb(1, 2, 3) | #010203",
        "rgba(255,0,0,0.5) | #ff000080",
        "rgb(255 0 0 / 50%) | #ff000080",
        "rgb(999,0,0) | #ff0000",
        "Transparent | #00000000"
      })
  void coloursOfStyleSheetsAreRead(String text, String hex) {
    assertThat(CssColours.parse(text).orElseThrow().toString()).isEqualTo(hex);
  }

  @Test
  void alphaCountsInBytesInTtml() {
    assertThat(CssColours.parseTtml("rgba(255,0,0,128)").orElseThrow().toString())
        .isEqualTo("#ff000080");
  }

  @ParameterizedTest
  @ValueSource(strings = {"", "reddish", "#12", "rgb(1,2)", "url(x)", "var(--c)"})
  void whatIsNoColourIsNone(String text) {
    assertThat(CssColours.parse(text)).isEmpty();
  }

  @ParameterizedTest
  @CsvSource({"24px, 24", "150%, 18", "1.5em, 18", "5vh, 54", "10pt, 10"})
  void sizesAreRead(String text, double points) {
    PropertySet values = CueCss.read("font-size: " + text, 1, new ArrayList<>());
    FontSize size = values.get(Properties.SIZE.key()).orElseThrow();
    assertThat(size.over(12)).isEqualTo(points);
  }

  @Test
  void whatCannotBeCarriedIsTold() {
    List<Remark> remarks = new ArrayList<>();
    PropertySet values =
        CueCss.read(
            "color: blue; position: absolute; font-family: serif; ; broken; line-height: 1.3;"
                + " letter-spacing: 0.1em; text-decoration: underline line-through",
            7,
            remarks);
    assertThat(remarks)
        .extracting(Remark::toString)
        .containsExactly(
            "line 7: left out: position: absolute", "line 7: left out: font-family: serif");
    assertThat(values.get(Properties.TRACKING.key())).contains(100.0);
    assertThat(values.get(Properties.UNDERLINE.key())).contains(true);
    assertThat(values.get(Properties.STRIKE.key())).contains(true);
  }
}
