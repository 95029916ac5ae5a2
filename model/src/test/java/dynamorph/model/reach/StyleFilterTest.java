package dynamorph.model.reach;

import static org.assertj.core.api.Assertions.assertThat;

import dynamorph.model.property.Properties;
import dynamorph.model.property.PropertySet;
import dynamorph.model.value.FontSize;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

class StyleFilterTest {
  private static final String WORDS = "label title labels text barlow condensed";
  private static final PropertySet VALUES =
      PropertySet.EMPTY
          .with(Properties.SIZE, FontSize.points(76))
          .with(Properties.TRACKING, 5.0)
          .with(Properties.FONT_FAMILY, "Barlow Condensed");

  @ParameterizedTest
  @ValueSource(
      strings = {
        "",
        "label",
        "Title LABEL",
        "size>40",
        "size>=76 tracking<6",
        "size=76",
        "label size!=70",
        "font~barlow",
        "weight-of-nothing!",
        "leading!=2"
      })
  void fits(String typed) {
    // a word with a comparison that names no property is looked for as it is
    String words = WORDS + " weight-of-nothing!";
    assertThat(StyleFilter.of(typed).fits(words, VALUES)).isTrue();
  }

  @ParameterizedTest
  @ValueSource(
      strings = {
        "panel",
        "label size>80",
        "size<76",
        "tracking>5",
        "font=anton",
        "leading>2",
        "sise>4",
        "label title panel"
      })
  void doesNotFit(String typed) {
    assertThat(StyleFilter.of(typed).fits(WORDS, VALUES)).isFalse();
  }

  @Test
  void aMultipleIsNoSizeToCompareWith() {
    PropertySet relative = PropertySet.EMPTY.with(Properties.SIZE, new FontSize.Times(50));
    assertThat(StyleFilter.of("size>40").fits(WORDS, relative)).isFalse();
    assertThat(StyleFilter.of("size~\u00d7").fits(WORDS, relative)).isTrue();
  }
}
