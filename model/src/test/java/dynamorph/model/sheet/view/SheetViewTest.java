package dynamorph.model.sheet.view;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import dynamorph.model.Project;
import dynamorph.model.edit.Edit;
import dynamorph.model.edit.EditRefused;
import dynamorph.model.edit.sheet.DeleteSheetView;
import dynamorph.model.edit.sheet.KeepSheetView;
import dynamorph.model.edit.sheet.RenameSheetView;
import dynamorph.model.merge.ProjectChanges;
import dynamorph.model.merge.ProjectMerge;
import dynamorph.model.property.Properties;
import java.util.List;
import org.junit.jupiter.api.Test;

class SheetViewTest {
  private static final SheetView USUAL = SheetView.USUAL;
  private static final Project BASE =
      Project.empty("P").withSheetViews(List.of(named("Titles", "size>=40"), named("Names", "n")));

  private static SheetView named(String name, String query) {
    return new SheetView(
        name, USUAL.order().withQuery(query), USUAL.columns(), false, USUAL.pictureWidth());
  }

  private static Project after(Edit edit) {
    return edit.applyTo(BASE);
  }

  @Test
  void aViewTakesThePlaceOfOneOfItsName() {
    assertThat(after(new KeepSheetView(named("Titles", "size>=60"))).sheetViews())
        .containsExactly(named("Titles", "size>=60"), named("Names", "n"));
    assertThat(after(new KeepSheetView(named("Notes", ""))).sheetViews())
        .extracting(SheetView::name)
        .containsExactly("Titles", "Names", "Notes");
    assertThat(after(new KeepSheetView(named("Titles", "size>=40")))).isSameAs(BASE);
  }

  @Test
  void aViewKeepsItsPlaceUnderAnotherName() {
    assertThat(after(new RenameSheetView("Titles", "Heads")).sheetViews())
        .containsExactly(named("Heads", "size>=40"), named("Names", "n"));
    assertThat(after(new DeleteSheetView("Titles")).sheetViews())
        .containsExactly(named("Names", "n"));
  }

  @Test
  void noTwoViewsHaveOneName() {
    assertThatThrownBy(() -> after(new RenameSheetView("Titles", "Names")))
        .isInstanceOf(EditRefused.class)
        .hasMessageContaining("Names");
    assertThatThrownBy(() -> after(new RenameSheetView("Gone", "Other")))
        .isInstanceOf(EditRefused.class);
    assertThatThrownBy(() -> after(new DeleteSheetView("Gone"))).isInstanceOf(EditRefused.class);
    assertThatThrownBy(() -> after(new KeepSheetView(USUAL))).isInstanceOf(EditRefused.class);
    assertThatThrownBy(() -> BASE.withSheetViews(List.of(USUAL.withName(" "))))
        .isInstanceOf(IllegalArgumentException.class);
  }

  @Test
  void inFramesWholeTextsAreSeenAndAColumnStandsOnce() {
    Column size = new Column.Value(Properties.SIZE.key());
    SheetView view =
        new SheetView(
            "",
            USUAL.order().withUnit(RowUnit.PARAGRAPH),
            List.of(size, Column.Fact.WORDS, size),
            true,
            SheetView.LARGEST);
    assertThat(view.order().unit()).isEqualTo(RowUnit.TEXT);
    assertThat(view.columns()).containsExactly(size, Column.Fact.WORDS);
    assertThatThrownBy(() -> new SheetView("", USUAL.order(), List.of(), false, 63))
        .hasMessageContaining("64");
  }

  @Test
  void twoPeopleKeepViewsOfOneProject() {
    Project mine = after(new KeepSheetView(named("Mine", "m")));
    Project theirs = after(new DeleteSheetView("Names"));
    ProjectMerge merge =
        ProjectMerge.of(BASE, mine, new KeepSheetView(named("Theirs", "t")).applyTo(theirs));
    assertThat(merge.conflicts()).isEmpty();
    assertThat(merge.project().sheetViews())
        .extracting(SheetView::name)
        .containsExactlyInAnyOrder("Titles", "Mine", "Theirs");
    assertThat(ProjectChanges.between(BASE, mine)).as("told among versions").hasSize(1);
  }
}
