package dynamorph.model.sheet;

import static org.assertj.core.api.Assertions.assertThat;

import dynamorph.model.Artboard;
import dynamorph.model.Layer;
import dynamorph.model.LayerId;
import dynamorph.model.LengthUnit;
import dynamorph.model.Project;
import dynamorph.model.cascade.Cascade;
import dynamorph.model.cascade.Coats;
import dynamorph.model.edit.Target;
import dynamorph.model.edit.layer.DropLocal;
import dynamorph.model.edit.layer.SetValues;
import dynamorph.model.edit.sheet.ChangeParts;
import dynamorph.model.edit.sheet.SetInRows;
import dynamorph.model.edit.style.Follow;
import dynamorph.model.edit.style.KeepStyle;
import dynamorph.model.edit.style.Proposal;
import dynamorph.model.edit.style.StopFollowing;
import dynamorph.model.edit.text.ReplaceWords;
import dynamorph.model.property.Properties;
import dynamorph.model.property.PropertyKey;
import dynamorph.model.property.PropertySet;
import dynamorph.model.reach.WordSearch;
import dynamorph.model.sheet.view.Column;
import dynamorph.model.sheet.view.Grouping;
import dynamorph.model.sheet.view.RowUnit;
import dynamorph.model.sheet.view.SheetOrder;
import dynamorph.model.style.Style;
import dynamorph.model.style.StyleBook;
import dynamorph.model.style.StyleLevel;
import dynamorph.model.text.Paragraph;
import dynamorph.model.text.Span;
import dynamorph.model.text.Story;
import dynamorph.model.text.WordQuery;
import dynamorph.model.value.FontSize;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.junit.jupiter.api.Test;
import org.pcollections.TreePVector;

/**
 * Paragraphs and runs of letters as rows. The text: a heading of 20 pt, a blank paragraph, a body
 * of 10 pt in which the word {@code bell} has 14 pt by hand, a second heading of 20 pt by hand.
 */
class PartRowsTest {
  private static final PropertyKey<FontSize> SIZE = Properties.SIZE.key();
  private static final Style HEADING =
      Style.text("h", "Heading", "")
          .withLevel(StyleLevel.PARAGRAPH)
          .withProperties(PropertySet.EMPTY.with(Properties.SIZE, FontSize.points(20)));
  private static final LayerId TEXT = new LayerId("t");

  private static PropertySet size(double points) {
    return PropertySet.EMPTY.with(Properties.SIZE, FontSize.points(points));
  }

  private final Project project =
      Project.empty("P")
          .withStyles(StyleBook.of(List.of(HEADING)))
          .plus(
              Artboard.empty("a", "Panel", 400, 300, LengthUnit.POINT)
                  .withLayers(
                      TreePVector.from(
                          List.of(
                              Layer.of("t", "Notice", "")
                                  .withLocal(size(10))
                                  .withStory(
                                      Story.of(
                                          Paragraph.of("Winding")
                                              .withFollows(Optional.of(HEADING.id())),
                                          Paragraph.of(""),
                                          Paragraph.of("")
                                              .withSpans(
                                                  List.of(
                                                      Span.of("The "),
                                                      Span.of("bell").withLocal(size(14)),
                                                      Span.of(" rings"))),
                                          Paragraph.of("Striking").withLocal(size(20)))),
                              Layer.of("u", "Label", "Oil can")))));

  private List<SheetRow> rows(RowUnit unit) {
    return rows(unit, "");
  }

  private List<SheetRow> rows(RowUnit unit, String query) {
    SheetOrder order = SheetOrder.USUAL.withUnit(unit).withGrouping(Grouping.NONE).withQuery(query);
    return Sheet.of(project, order).groups().stream()
        .flatMap(group -> group.rows().stream())
        .toList();
  }

  private static List<String> words(List<SheetRow> rows) {
    return rows.stream().map(row -> row.layer().story().text()).toList();
  }

  private Target target(RowUnit unit, int... rows) {
    List<SheetRow> all = rows(unit);
    return SheetRow.target(java.util.Arrays.stream(rows).mapToObj(all::get).toList());
  }

  /** Of all runs with letters of the text. */
  private static List<Double> sizes(Project project) {
    Cascade cascade = Cascade.of(project);
    Layer layer = project.layer(TEXT).orElseThrow();
    List<Double> sizes = new ArrayList<>();
    for (Paragraph paragraph : layer.story().paragraphs()) {
      for (Span span : paragraph.spans()) {
        if (!span.text().isBlank()) {
          sizes.add(Coats.value(cascade.values(layer, paragraph, span), SIZE).over(0));
        }
      }
    }
    return sizes;
  }

  private static String text(Project project) {
    return project.layer(TEXT).orElseThrow().story().text();
  }

  @Test
  void paragraphsAndRunsWithLettersHaveRows() {
    assertThat(words(rows(RowUnit.PARAGRAPH)))
        .containsExactly("Winding", "The bell rings", "Striking", "Oil can");
    assertThat(words(rows(RowUnit.RUN)))
        .containsExactly("Winding", "The ", "bell", " rings", "Striking", "Oil can");
    // "bell" begins behind "Winding", a break, a blank paragraph's break and "The "
    assertThat(rows(RowUnit.RUN).get(2).words().orElseThrow().range().start())
        .isEqualTo(7 + 1 + 1 + 4);
  }

  @Test
  void aRowTellsOfItsPartAlone() {
    Sheet sheet = Sheet.of(project, SheetOrder.USUAL.withUnit(RowUnit.PARAGRAPH));
    assertThat(sheet.groups())
        .extracting(Sheet.Group::title)
        .containsExactly("Heading", "No style");
    List<SheetRow> rows = rows(RowUnit.PARAGRAPH);
    assertThat(rows).extracting(Sheet::local).containsExactly(0, 1, 1, 0);
    assertThat(rows(RowUnit.RUN)).extracting(Sheet::local).containsExactly(0, 0, 1, 0, 0, 0);
    assertThat(sheet.isMixed(rows.get(1), SIZE)).isTrue();
    assertThat(sheet.text(rows.get(2), new Column.Value(SIZE))).isEqualTo("20 pt");
  }

  @Test
  void aQueryMeansPartsAndNotTheirWholeTexts() {
    assertThat(words(rows(RowUnit.PARAGRAPH, "size>=20"))).containsExactly("Winding", "Striking");
    assertThat(words(rows(RowUnit.PARAGRAPH, "bell"))).containsExactly("The bell rings");
    assertThat(words(rows(RowUnit.RUN, "size=14"))).containsExactly("bell");
    // the text has a local change, which is none of its runs
    assertThat(words(rows(RowUnit.RUN, "local>0"))).containsExactly("bell");
    assertThat(words(rows(RowUnit.TEXT, "bell"))).hasSize(1);
  }

  @Test
  void aValueGoesOnParagraphsAndNotOnTheirLetters() {
    Project changed =
        SetValues.of(target(RowUnit.PARAGRAPH, 0, 2), SIZE, FontSize.points(30)).applyTo(project);
    assertThat(sizes(changed)).containsExactly(30.0, 10.0, 14.0, 10.0, 30.0);
    List<Paragraph> paragraphs = changed.layer(TEXT).orElseThrow().story().paragraphs();
    assertThat(paragraphs.getLast().local()).isEqualTo(size(30));
    assertThat(paragraphs.getLast().spans())
        .allSatisfy(span -> assertThat(span.local().isEmpty()).isTrue());
  }

  @Test
  void eachPartTakesAStepFromItsOwn() {
    assertThat(
            sizes(new SetInRows(target(RowUnit.PARAGRAPH, 0, 1), SIZE, "\u00d72").applyTo(project)))
        .containsExactly(40.0, 20.0, 28.0, 20.0, 20.0);
    assertThat(sizes(new SetInRows(target(RowUnit.RUN, 2, 4), SIZE, "+1").applyTo(project)))
        .containsExactly(20.0, 10.0, 15.0, 10.0, 21.0);
  }

  @Test
  void stylesAreFollowedAndLeftByParts() {
    Target parts = target(RowUnit.PARAGRAPH, 1, 2);
    Project followed = Follow.replacing(parts, HEADING.id()).applyTo(project);
    assertThat(followed.layer(TEXT).orElseThrow().story().paragraphs())
        .extracting(Paragraph::follows)
        .containsExactly(
            Optional.of(HEADING.id()),
            Optional.empty(),
            Optional.of(HEADING.id()),
            Optional.of(HEADING.id()));
    Project left =
        new StopFollowing(target(RowUnit.PARAGRAPH, 0), HEADING.id(), false).applyTo(followed);
    assertThat(left.layer(TEXT).orElseThrow().story().paragraphs())
        .filteredOn(paragraph -> paragraph.follows().isPresent())
        .hasSize(2);
    Project dropped = DropLocal.all(target(RowUnit.PARAGRAPH, 2)).applyTo(project);
    assertThat(sizes(dropped)).containsExactly(20.0, 10.0, 14.0, 10.0, 10.0);
  }

  @Test
  void aStyleIsKeptOfParagraphsThatLookAsTheirTextWasSetByHand() {
    Target parts = target(RowUnit.PARAGRAPH, 1, 3);
    Proposal proposal = Proposal.of(project, parts);
    assertThat(proposal.level()).isEqualTo(StyleLevel.PARAGRAPH);
    // the 10 pt of the whole text, though the paragraph itself sets nothing
    assertThat(proposal.different()).containsExactly(SIZE);
    Style body =
        Style.text("body", "Body", "").withLevel(StyleLevel.PARAGRAPH).withProperties(size(10));
    Project kept = new KeepStyle(parts, body).applyTo(project);
    assertThat(sizes(kept)).isEqualTo(sizes(project));
    assertThat(kept.layers().flatMap(layer -> layer.story().paragraphs().stream()))
        .filteredOn(paragraph -> paragraph.follows().equals(Optional.of(body.id())))
        .extracting(Paragraph::text)
        .containsExactly("The bell rings", "Oil can");
  }

  @Test
  void wordsChangeWhereTheyStand() {
    List<SheetRow> runs = rows(RowUnit.RUN);
    Project changed =
        new ChangeParts(
                Map.of(
                    runs.get(2), story -> story.replace(story.all(), "great bell"),
                    runs.get(4), story -> story.replace(story.all(), "Chiming")),
                "Edit")
            .applyTo(project);
    assertThat(text(changed)).isEqualTo("Winding\n\nThe great bell rings\nChiming");
    assertThat(sizes(changed)).containsExactly(20.0, 10.0, 14.0, 10.0, 20.0);
  }

  @Test
  void aParagraphGoesWithItsBreak() {
    List<SheetRow> rows = rows(RowUnit.PARAGRAPH);
    assertThat(text(ChangeParts.delete(List.of(rows.get(0))).applyTo(project)))
        .isEqualTo("\nThe bell rings\nStriking");
    Project two = ChangeParts.delete(List.of(rows.get(1), rows.get(2))).applyTo(project);
    assertThat(text(two)).isEqualTo("Winding\n");
    assertThat(text(ChangeParts.delete(List.of(rows(RowUnit.RUN).get(2))).applyTo(project)))
        .isEqualTo("Winding\n\nThe  rings\nStriking");
    assertThat(two.layer(new LayerId("u")).orElseThrow().story().text()).isEqualTo("Oil can");
  }

  /** "in" stands in Winding, rings, Striking and nowhere in Oil can; "bell r" in no single run. */
  @Test
  void wordsAreFoundAndReplacedInSomeRowsOnly() {
    WordQuery query = new WordQuery("in", false, false);
    List<SheetRow> all = rows(RowUnit.PARAGRAPH);
    assertThat(all).hasSize(4);
    List<SheetRow> some = all.subList(1, 4);
    Map<SheetRow.Key, List<WordSearch.Hit>> hits = RowSearch.hits(project, query, some);
    assertThat(hits.keySet()).containsExactly(some.get(0).key(), some.get(1).key());
    Project after =
        new ReplaceWords(hits.values().stream().flatMap(List::stream).toList(), "u")
            .applyTo(project);
    assertThat(after.layer(TEXT).orElseThrow().story().text())
        .isEqualTo("Winding\n\nThe bell rugs\nStrikug");
    assertThat(RowSearch.hits(project, new WordQuery("bell r", true, false), all)).hasSize(1);
    assertThat(RowSearch.hits(project, new WordQuery("bell r", true, false), rows(RowUnit.RUN)))
        .as("letters of two rows are in none")
        .isEmpty();
    assertThat(RowSearch.hits(project, new WordQuery("ring", true, true), rows(RowUnit.RUN)))
        .as("what goes on beyond is no whole word")
        .isEmpty();
  }
}
