package dynamorph.paint.layer;

import static dynamorph.paint.layer.PropertyMeaning.differs;
import static dynamorph.paint.layer.PropertyMeaning.inBox;
import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatCode;

import dynamorph.model.property.Properties;
import dynamorph.model.property.Property;
import dynamorph.model.property.PropertyKey;
import dynamorph.model.property.ValueType;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;

/** Every property does in pictures what its name says, and none fails at the ends of its range. */
class EveryPropertyTest {
  /** What one word or one paragraph does not show, and the test that does. */
  private static final Map<String, String> SHOWN_ELSEWHERE =
      Map.ofEntries(
          Map.entry("font-width", "TypeLooksTest: no shipped font has an axis for it"),
          Map.entry(
              "baseline-shift", "ComposingTest: the first line of a text stands where it stood"),
          Map.entry("avoid-short-last-lines", "BreakersTest"),
          Map.entry("avoid-widows-orphans", "ColumnsTest"),
          Map.entry("keep-lines-together", "ColumnsTest"),
          Map.entry("keep-with-next", "ColumnsTest"),
          Map.entry("consecutive-hyphens", "BreakersTest"),
          Map.entry("hyphen-penalty", "BreakersTest"),
          Map.entry("nested-styles", "NestedStylesSceneTest: one look has no styles to nest"),
          Map.entry("next-style", "BreakParagraphTest: there is no next paragraph yet"),
          Map.entry("finish/rim/tile-image", "PosesAndTilesTest"));

  static Stream<PropertyMeaning> meanings() {
    return Stream.of(
            TextMeanings.letters(),
            TextMeanings.paragraphs(),
            TextMeanings.placements(),
            FinishMeanings.plates(),
            FinishMeanings.coats(),
            FinishMeanings.effects())
        .flatMap(List::stream);
  }

  @ParameterizedTest
  @MethodSource("meanings")
  void doesWhatItsNameSays(PropertyMeaning meaning) {
    meaning.check();
  }

  @Test
  void noPropertyIsForgotten() {
    Set<String> told =
        meanings()
            .map(meaning -> general(Properties.key(meaning.path())))
            .collect(Collectors.toCollection(HashSet::new));
    SHOWN_ELSEWHERE.keySet().forEach(path -> told.add(general(Properties.key(path))));
    assertThat(Properties.all()).allSatisfy(property -> assertThat(told).contains(name(property)));
  }

  static Stream<PropertyMeaning> everything() {
    Stream<PropertyMeaning> elsewhere =
        SHOWN_ELSEWHERE.keySet().stream()
            .map(path -> inBox(path, "", "", TextMeanings.PROSE, differs()).given(HYPHENATED));
    return Stream.concat(meanings(), elsewhere);
  }

  private static final String[] HYPHENATED = {
    "hyphenate", "true", "alignment", "justified", "line-breaking", "whole-paragraph"
  };

  @ParameterizedTest
  @MethodSource("everything")
  <T> void isPaintedAtTheEndsOfItsRange(PropertyMeaning meaning) {
    @SuppressWarnings("unchecked")
    PropertyKey<T> key = (PropertyKey<T>) Properties.key(meaning.path());
    for (T end : ends(key.property())) {
      assertThatCode(() -> meaning.painted(key, end))
          .as("%s = %s", key.path(), end)
          .doesNotThrowAnyException();
    }
  }

  private static String general(PropertyKey<?> key) {
    return name(key.property());
  }

  private static String name(Property<?> property) {
    return switch (property.part()) {
      case TEXT -> property.id();
      case COAT -> "finish/*/" + property.id();
      case EFFECT -> "finish/*/*/" + property.id();
    };
  }

  @SuppressWarnings("unchecked") // each type's ends are its own
  private static <T> List<T> ends(Property<T> property) {
    List<Object> ends = new ArrayList<>();
    switch (property.type()) {
      case ValueType.Number(double least, double most, String _) ->
          ends.addAll(List.of(Math.max(least, -500), Math.min(most, 900)));
      case ValueType.Choice<?>(var type) -> ends.addAll(List.of(type.getEnumConstants()));
      case ValueType.Lengths(double least, double most) -> {
        ends.addAll(parsed(property, Math.max(least, -50) + " pt", Math.min(most, 50) + " pt"));
        ends.addAll(parsed(property, Math.max(least, 0.25) + " em"));
      }
      case ValueType.Sizes() -> ends.addAll(parsed(property, "0.1 pt", "400 pt"));
      case ValueType.Leadings() -> ends.addAll(parsed(property, "auto", "0 pt", "300 pt", "80 %"));
      case ValueType.Colours() -> ends.addAll(parsed(property, "#00000000", "#3366cc80"));
      case ValueType.Words(String _) -> ends.addAll(parsed(property, "zz", "\u6642", "*."));
      case ValueType.Written<?> _ -> ends.addAll(parsed(property, odd(property.id())));
      case ValueType.Flag() -> ends.addAll(List.of(true, false));
    }
    return (List<T>) ends;
  }

  private static List<?> parsed(Property<?> property, String... written) {
    return Stream.of(written).map(property.type()::parse).toList();
  }

  private static String[] odd(String id) {
    return switch (id) {
      case "font-axes" -> new String[] {"SOFT=40, zzzz=3"};
      case "font-features" -> new String[] {"zzzz=7"};
      case "stylistic-sets", "character-variants" -> new String[] {"1, 2, 20"};
      case "tab-stops" -> new String[] {"90 end '.'", "80, 95 decimal"};
      case "stops" -> new String[] {"#0000ff 50% / 20%"};
      case "plate-padding", "plate-radius" -> new String[] {"0 pt, 0.4 em, 90 pt, 2 pt"};
      case "tile-image" -> new String[] {"", "no-such.png"};
      case "dashes" -> new String[] {"0 pt, 0.2 em, 3 pt", "0.0001 pt"};
      default -> new String[] {};
    };
  }
}
