package dynamorph.model.value;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import dynamorph.model.value.TabStops.Align;
import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;

/**
 * Values with a small grammar of their own: what is written is read again, and nonsense is told.
 */
class TypeValuesTest {
  @ParameterizedTest
  @CsvSource(
      delimiter = '|',
      value = {
        "none | none",
        "'' | none",
        "smcp | smcp",
        "smcp, onum=1 | onum, smcp",
        "-kern, cv05=2 | cv05=2, kern=0",
        "ss01=1,ss01=0 | ss01=0"
      })
  void featuresAreReadAndWritten(String typed, String written) {
    FeatureSettings settings = FeatureSettings.parse(typed);
    assertThat(settings).hasToString(written);
    assertThat(FeatureSettings.parse(settings.toString())).isEqualTo(settings);
  }

  @ParameterizedTest
  @ValueSource(strings = {"smallcaps", "smcp=x", "smcp=-1", "smcp=70000", "sm", "smcp,,onum"})
  void nonsenseIsNoFeature(String typed) {
    assertThatThrownBy(() -> FeatureSettings.parse(typed))
        .isInstanceOf(IllegalArgumentException.class)
        .hasMessageContaining("feature");
  }

  @Test
  void featuresAreSetOverEachOther() {
    FeatureSettings below = FeatureSettings.parse("liga=0, onum");
    FeatureSettings above = FeatureSettings.parse("liga, smcp");
    assertThat(below.with(above)).hasToString("liga, onum, smcp");
    assertThat(below.with(FeatureSettings.NONE)).isSameAs(below);
    assertThat(below.isOn("onum")).isTrue();
    assertThat(below.isOn("liga")).isFalse();
    assertThat(below.isOn("zero")).isFalse();
    assertThat(below.with("cv01", 3).without("onum")).hasToString("cv01=3, liga=0");
  }

  @ParameterizedTest
  @CsvSource(
      delimiter = '|',
      value = {
        "none | none",
        "wght=650 | wght=650",
        "wd=5 | wd=5",
        "SOFT=50, opsz=72.5 | SOFT=50, opsz=72.5"
      })
  void axesAreReadAndWritten(String typed, String written) {
    AxisSettings settings = AxisSettings.parse(typed);
    assertThat(settings).hasToString(written);
    assertThat(AxisSettings.parse(written)).isEqualTo(settings);
  }

  @ParameterizedTest
  @CsvSource(
      delimiter = '|',
      value = {
        "none | none",
        "Dyna-morph, Wound | dyna-morph, wound",
        "ta\u00ADble\ta-b-c;x | a-b-c, ta-ble, x",
        "l'hor-loge | l'hor-loge",
        "l\u2019hor-loge | l'hor-loge"
      })
  void hyphenationExceptionsAreReadAndWritten(String typed, String written) {
    HyphenationExceptions exceptions = HyphenationExceptions.parse(typed);
    assertThat(exceptions).hasToString(written);
    assertThat(HyphenationExceptions.parse(written)).isEqualTo(exceptions);
  }

  @ParameterizedTest
  @ValueSource(strings = {"-a", "a-", "a--b", "a.b", "fine, a/b"})
  void nonsenseIsNoWordWithHyphens(String typed) {
    assertThatThrownBy(() -> HyphenationExceptions.parse(typed))
        .isInstanceOf(IllegalArgumentException.class)
        .hasMessageContaining("hyphens");
  }

  @ParameterizedTest
  @ValueSource(strings = {"wght", "weight=400", "wght=heavy", "opsz=", "=5"})
  void nonsenseIsNoAxis(String typed) {
    assertThatThrownBy(() -> AxisSettings.parse(typed))
        .isInstanceOf(IllegalArgumentException.class);
  }

  @Test
  void anAxisIsMovedAloneAndTheOthersStay() {
    AxisSettings moved = AxisSettings.parse("opsz=9, SOFT=10").with("opsz", 20);
    assertThat(moved).hasToString("SOFT=10, opsz=20");
  }

  @Test
  void stylisticSetsAreSwitchedOneByOne() {
    StylisticSets sets = StylisticSets.parse("3, 1");
    assertThat(sets).hasToString("1, 3");
    assertThat(sets.toggled(2)).hasToString("1, 2, 3");
    assertThat(sets.toggled(1).toggled(3)).isEqualTo(StylisticSets.NONE);
    assertThat(StylisticSets.tag(7)).isEqualTo("ss07");
    assertThat(StylisticSets.tag(20)).isEqualTo("ss20");
  }

  @ParameterizedTest
  @ValueSource(strings = {"0", "21", "one", "1;2"})
  void thereAreTwentyStylisticSets(String typed) {
    assertThatThrownBy(() -> StylisticSets.parse(typed))
        .isInstanceOf(IllegalArgumentException.class);
  }

  @ParameterizedTest
  @CsvSource(
      delimiter = '|',
      quoteCharacter = '`',
      value = {
        "none | none",
        "36 | 36",
        "120 end, 36 | 36, 120 end",
        "36pt centre | 36 centre",
        "200 decimal '. ' | 200 decimal '. '",
        "80 end '.', 140 start '_' | 80 end '.', 140 '_'"
      })
  void tabStopsAreReadInOrderAndWritten(String typed, String written) {
    TabStops stops = TabStops.parse(typed);
    assertThat(stops).hasToString(written);
    assertThat(TabStops.parse(written)).isEqualTo(stops);
  }

  @Test
  void aTabStopHasItsAlignmentAndLeader() {
    TabStops.Stop stop = TabStops.parse("240.5 end '.'").stops().getFirst();
    assertThat(stop.position()).isEqualTo(240.5);
    assertThat(stop.align()).isEqualTo(Align.END);
    assertThat(stop.leader()).isEqualTo(".");
    TabStops.Stop plain = TabStops.parse("12").stops().getFirst();
    assertThat(plain.align()).isEqualTo(Align.START);
    assertThat(plain.leader()).isEmpty();
  }

  @ParameterizedTest
  @ValueSource(strings = {"middle", "36 left", "-5", "36 end ''", "36 end 'x"})
  void nonsenseIsNoTabStop(String typed) {
    assertThatThrownBy(() -> TabStops.parse(typed))
        .isInstanceOf(IllegalArgumentException.class)
        .hasMessageContaining("tab stop");
  }

  @Test
  void chainsOfFontsAreAskedByScriptThenForEveryScript() {
    ScriptFonts fonts = ScriptFonts.parse("Arab: Amiri; *: EB Garamond, Source Sans 3");
    assertThat(fonts.of("Arab")).isEqualTo(List.of("Amiri", "EB Garamond", "Source Sans 3"));
    assertThat(fonts.of("Jpan")).isEqualTo(List.of("EB Garamond", "Source Sans 3"));
    assertThat(ScriptFonts.NONE.of("Arab")).isEmpty();
    assertThat(ScriptFonts.parse(fonts.toString())).isEqualTo(fonts);
    assertThat(ScriptFonts.parse("Grek: Alpha, Beta").of("Grek")).containsExactly("Alpha", "Beta");
    assertThat(ScriptFonts.parse("Grek: Alpha").of("Latn")).isEmpty();
  }

  @ParameterizedTest
  @ValueSource(strings = {"Amiri", "arab: Amiri", "Arabic: Amiri", ": Amiri"})
  void aChainNamesItsScript(String typed) {
    assertThatThrownBy(() -> ScriptFonts.parse(typed))
        .isInstanceOf(IllegalArgumentException.class)
        .hasMessageContaining("script");
  }
}
