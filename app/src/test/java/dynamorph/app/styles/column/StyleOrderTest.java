package dynamorph.app.styles.column;

import static org.assertj.core.api.Assertions.assertThat;

import dynamorph.demo.LongHour;
import dynamorph.model.reach.Followers;
import dynamorph.model.style.Style;
import dynamorph.model.style.StyleBook;
import dynamorph.model.style.StyleId;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.junit.jupiter.api.Test;

class StyleOrderTest {
  private static List<String> shown(List<StyleOrder.Entry> entries) {
    return entries.stream().map(entry -> ">".repeat(entry.depth()) + entry.style().name()).toList();
  }

  @Test
  void derivedStylesAreTuckedUnderTheirBase() {
    Map<String, List<StyleOrder.Entry>> groups =
        StyleOrder.of(LongHour.project().styles(), _ -> true, Optional.empty());
    assertThat(groups.keySet())
        .containsExactly("", "Panels", "Labels", "Banner", "Screen", "Ticket", "Film", "Captions");
    assertThat(shown(groups.get("Panels")))
        .containsExactly(
            "Enamel title",
            "Subtitle",
            "Notice",
            "Panel body",
            ">Panel heading",
            ">Column text",
            ">>Column opening",
            ">>Steps",
            "Lead-in");
    assertThat(shown(groups.get("Labels")))
        .containsExactly(
            "Label title",
            ">Label title, loan",
            "Label text",
            ">Label text, Arabic",
            ">Label text, Japanese",
            "Material");
  }

  @Test
  void aDerivedStyleWhoseBaseIsNotListedStandsByItself() {
    Map<String, List<StyleOrder.Entry>> groups =
        StyleOrder.of(
            LongHour.project().styles(), style -> style.name().contains("loan"), Optional.empty());
    assertThat(groups).containsOnlyKeys("Labels");
    assertThat(shown(groups.get("Labels"))).containsExactly("Label title, loan");
  }

  @Test
  void aBaseInAnotherGroupDoesNotPullItsStylesOver() {
    Style base = Style.text("a", "A", "One");
    Style derived = Style.text("b", "B", "Two").withBasedOn(Optional.of(new StyleId("a")));
    Style deeper = Style.text("c", "C", "Two").withBasedOn(Optional.of(new StyleId("b")));
    Map<String, List<StyleOrder.Entry>> groups =
        StyleOrder.of(StyleBook.of(List.of(base, derived, deeper)), _ -> true, Optional.empty());
    assertThat(shown(groups.get("One"))).containsExactly("A");
    assertThat(shown(groups.get("Two"))).containsExactly("B", ">C");
  }

  @Test
  void sortingByUseOrNameStaysWithinGroupsAndUnderBases() {
    Followers followers = Followers.of(LongHour.project());
    Map<String, List<StyleOrder.Entry>> byUse =
        StyleOrder.of(LongHour.project().styles(), _ -> true, StyleSort.USE.order(followers));
    assertThat(byUse.keySet())
        .containsExactly("", "Panels", "Labels", "Banner", "Screen", "Ticket", "Film", "Captions");
    assertThat(shown(byUse.get("Labels")).getFirst()).isEqualTo("Label text");
    Map<String, List<StyleOrder.Entry>> byName =
        StyleOrder.of(LongHour.project().styles(), _ -> true, StyleSort.NAME.order(followers));
    assertThat(shown(byName.get("Panels")))
        .containsSubsequence("Enamel title", "Lead-in", "Notice", "Panel body", ">Column text");
  }
}
