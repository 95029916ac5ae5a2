package dynamorph.model.sheet;

import static org.assertj.core.api.Assertions.assertThat;

import dynamorph.model.Artboard;
import dynamorph.model.Layer;
import dynamorph.model.LengthUnit;
import dynamorph.model.Project;
import dynamorph.model.property.Properties;
import dynamorph.model.property.PropertySet;
import dynamorph.model.shape.Shape;
import dynamorph.model.sheet.view.Column;
import dynamorph.model.sheet.view.Grouping;
import dynamorph.model.sheet.view.RowUnit;
import dynamorph.model.sheet.view.SheetOrder;
import dynamorph.model.style.Style;
import dynamorph.model.style.StyleBook;
import dynamorph.model.text.Paragraph;
import dynamorph.model.text.Span;
import dynamorph.model.text.Story;
import dynamorph.model.value.FontSize;
import java.util.List;
import java.util.Optional;
import org.junit.jupiter.api.Test;
import org.pcollections.TreePVector;

class SheetTest {
  private static final Style LABEL =
      Style.text("label", "Label", "")
          .withProperties(PropertySet.EMPTY.with(Properties.SIZE, FontSize.points(20)));
  private static final Column SIZE = new Column.Value(Properties.SIZE.key());

  private static Layer text(String id, String words) {
    return Layer.of(id, id, words);
  }

  private static Layer sized(Layer layer, double points) {
    return layer.withLocal(PropertySet.EMPTY.with(Properties.SIZE, FontSize.points(points)));
  }

  private final Project project =
      Project.empty("P")
          .withStyles(StyleBook.of(List.of(LABEL)))
          .plus(
              Artboard.empty("a", "Panel", 400, 300, LengthUnit.POINT)
                  .withLayers(
                      TreePVector.from(
                          List.of(
                              text("1", "The bell").withFollows(List.of(LABEL.id())),
                              sized(text("2", "a key").withFollows(List.of(LABEL.id())), 9),
                              Layer.of("s", "Ground", new Shape.Ellipse())))))
          .plus(
              Artboard.empty("b", "Door", 400, 300, LengthUnit.POINT)
                  .withLayers(
                      TreePVector.from(
                          List.of(sized(text("3", "\u00c4ther"), 100), text("4", "Zinc")))));

  private Sheet of(SheetOrder order) {
    return Sheet.of(project, order);
  }

  private static List<String> ids(Sheet sheet) {
    return sheet.groups().stream()
        .flatMap(group -> group.rows().stream())
        .map(row -> row.id().value())
        .toList();
  }

  @Test
  void textsStandTogetherByTheirStyle() {
    Sheet sheet = of(SheetOrder.USUAL);
    assertThat(sheet.texts()).isEqualTo(4);
    assertThat(sheet.groups()).extracting(Sheet.Group::title).containsExactly("Label", "No style");
    assertThat(sheet.groups()).extracting(Sheet.Group::local).containsExactly(1, 1);
    assertThat(of(SheetOrder.USUAL.withGrouping(Grouping.ARTBOARD)).groups())
        .extracting(Sheet.Group::title)
        .containsExactly("Panel", "Door");
    assertThat(of(SheetOrder.USUAL.withGrouping(Grouping.NONE)).groups())
        .singleElement()
        .satisfies(group -> assertThat(group.title()).isEmpty());
  }

  @Test
  void sizesAreSortedAsNumbersAndWordsAsPeopleDo() {
    SheetOrder flat = SheetOrder.USUAL.withGrouping(Grouping.NONE);
    assertThat(ids(of(flat.sortedBy(SIZE)))).containsExactly("2", "4", "1", "3");
    assertThat(ids(of(flat.sortedBy(SIZE).sortedBy(SIZE)))).containsExactly("3", "1", "4", "2");
    assertThat(flat.sortedBy(SIZE).sortedBy(SIZE).sortedBy(SIZE)).isEqualTo(flat);
    // capitals and dots count for little
    assertThat(ids(of(flat.sortedBy(Column.Fact.WORDS)))).containsExactly("2", "3", "1", "4");
  }

  @Test
  void numbersWithinWordsAreSortedAsNumbersAndLikesStayInOrder() {
    Project labels =
        Project.empty("P")
            .plus(
                Artboard.empty("a", "Label 10", 100, 100, LengthUnit.POINT)
                    .plus(text("1", "Room 12"))
                    .plus(text("2", "Room 2")))
            .plus(
                Artboard.empty("b", "Label 9", 100, 100, LengthUnit.POINT)
                    .plus(text("3", "Room 12")));
    SheetOrder flat = SheetOrder.USUAL.withGrouping(Grouping.NONE);
    SheetOrder rising = flat.sortedBy(Column.Fact.WORDS);
    assertThat(ids(Sheet.of(labels, rising))).containsExactly("2", "1", "3");
    assertThat(ids(Sheet.of(labels, rising.sortedBy(Column.Fact.WORDS))))
        .containsExactly("1", "3", "2");
    assertThat(ids(Sheet.of(labels, flat.sortedBy(Column.Fact.PLACE))))
        .containsExactly("3", "1", "2");
  }

  /** What is known of an earlier list must not outlive a change. */
  @Test
  void aListThatBeginsWithAnEarlierOneIsThatFromNothing() {
    SheetOrder bySize = SheetOrder.USUAL.withGrouping(Grouping.LOOK).sortedBy(SIZE);
    Sheet earlier = of(bySize);
    Project changed =
        project
            .withStyles(
                StyleBook.of(
                    List.of(
                        LABEL.withProperties(
                            PropertySet.EMPTY.with(Properties.SIZE, FontSize.points(200))))))
            .mapLayers(layer -> layer.id().value().equals("3") ? sized(layer, 1) : layer);
    for (SheetOrder order : List.of(bySize, bySize.withUnit(RowUnit.PARAGRAPH), SheetOrder.USUAL)) {
      Sheet fresh = Sheet.of(changed, order);
      Sheet again = Sheet.of(changed, order, Optional.of(earlier));
      assertThat(again.groups()).isEqualTo(fresh.groups());
      assertThat(again.texts()).isEqualTo(fresh.texts());
    }
    assertThat(ids(Sheet.of(changed, bySize, Optional.of(earlier))))
        .containsExactly("3", "2", "4", "1");
  }

  @Test
  void aQueryOrWordsChoose() {
    SheetOrder flat = SheetOrder.USUAL.withGrouping(Grouping.NONE);
    assertThat(ids(of(flat.withQuery("style=Label && local>0")))).containsExactly("2");
    assertThat(ids(of(flat.withQuery("BELL")))).containsExactly("1");
    Sheet marked = of(flat.withQuery("size>50").withOnlyMatching(false));
    assertThat(ids(marked)).hasSize(4);
    assertThat(marked.groups().getFirst().rows().stream().filter(marked::isMeant))
        .extracting(row -> row.id().value())
        .containsExactly("3");
    assertThat(marked.matches()).isEqualTo(1);
  }

  @Test
  void whatIsTriedOnStaysInTheList() {
    Sheet asked =
        of(SheetOrder.USUAL.withGrouping(Grouping.NONE).withQuery("style=Label && local=0"));
    Project tried = project.mapLayers(layer -> layer.withFollows(List.of()));
    Sheet shown = asked.showing(tried);
    assertThat(ids(shown)).containsExactly("1");
    assertThat(shown.groups().getFirst().rows().getFirst().layer().follows()).isEmpty();
    assertThat(shown.text(shown.groups().getFirst().rows().getFirst(), SIZE)).isEqualTo("12 pt");
  }

  @Test
  void aQueryThatCannotBeReadLeavesTheListAndSaysWhy() {
    Sheet sheet = of(SheetOrder.USUAL.withQuery("style=Label && hue=3"));
    assertThat(sheet.wrong()).hasValueSatisfying(why -> assertThat(why).contains("hue"));
    assertThat(ids(sheet)).hasSize(4);
  }

  @Test
  void aCellSaysWhatMostLettersHaveAndWhetherOthersDiffer() {
    Layer mixed =
        text("5", "")
            .withStory(
                Story.of(
                    Paragraph.of(
                        Span.of("Wind the clock "),
                        Span.of("now")
                            .withLocal(
                                PropertySet.EMPTY.with(Properties.SIZE, FontSize.points(30))))));
    Project with =
        project.mapArtboards(board -> board.id().value().equals("a") ? board.plus(mixed) : board);
    Sheet sheet = Sheet.of(with, SheetOrder.USUAL.withGrouping(Grouping.NONE));
    SheetRow row =
        sheet.groups().getFirst().rows().stream()
            .filter(one -> one.id().value().equals("5"))
            .findFirst()
            .orElseThrow();
    assertThat(sheet.text(row, SIZE)).isEqualTo("12 pt");
    assertThat(sheet.isMixed(row, Properties.SIZE.key())).isTrue();
    assertThat(sheet.isMixed(row, Properties.FONT_FAMILY.key())).isFalse();
    assertThat(sheet.text(row, Column.Fact.LOCAL)).isEqualTo("1");
    assertThat(Optional.of(sheet.text(row, Column.Fact.PLACE))).contains("Panel");
  }
}
