package dynamorph.shelf.order;

import static org.assertj.core.api.Assertions.assertThat;

import dynamorph.model.Project;
import dynamorph.model.property.Properties;
import dynamorph.model.property.PropertySet;
import dynamorph.model.style.Style;
import dynamorph.model.style.StyleBook;
import dynamorph.model.style.StyleId;
import dynamorph.shelf.Action;
import dynamorph.shelf.Change;
import dynamorph.shelf.Looks;
import dynamorph.shelf.Shelf;
import dynamorph.shelf.entry.Kept;
import dynamorph.shelf.folder.ShelfFolder;
import dynamorph.shelf.follow.PutOnShelf;
import java.io.IOException;
import java.nio.file.Path;
import java.util.List;
import java.util.Map;
import java.util.SplittableRandom;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

class ShelfOrderTest {
  @TempDir Path place;
  private ShelfFolder folder;
  private Shelf shelf;

  private static Style style(String name, String colour, String size) {
    return style(name, colour, size, "100 %");
  }

  private static Style style(String name, String colour, String size, String leading) {
    return Style.text(name.toLowerCase(java.util.Locale.ROOT), name, "")
        .withProperties(
            PropertySet.parse(
                Map.of(
                    "finish/fill/colour", colour,
                    "size", size,
                    "leading", leading,
                    "font-family", "Anton")));
  }

  @BeforeEach
  void fill() throws IOException {
    folder = Looks.folder(place, "Ada");
    shelf = folder.read();
    for (Style style :
        List.of(
            style("Blue", "#2040c0", "40 pt"),
            style("Grey", "#808080", "60 pt"),
            style("Red", "#c02020", "80 pt"),
            style("Rust", "#c12222", "81 pt", "102 %"),
            style("Black", "#000000", "20 pt"))) {
      Project project = Project.empty("P").withStyles(StyleBook.of(List.of(style)));
      shelf =
          folder
              .apply(
                  PutOnShelf.of(project, shelf, List.of(style.id()), new SplittableRandom(1))
                      .change(),
                  shelf)
              .shelf();
    }
  }

  private List<String> names(ShelfOrder order, Map<String, Integer> texts) {
    return order.sorted(shelf, shelf.styles(), texts).stream().map(Kept::name).toList();
  }

  @Test
  void looksAreListedByNameDateUseAndColour() throws IOException {
    assertThat(names(ShelfOrder.NAME, Map.of()))
        .containsExactly("Black", "Blue", "Grey", "Red", "Rust");
    assertThat(names(ShelfOrder.DATE, Map.of()))
        .containsExactly("Black", "Rust", "Red", "Grey", "Blue");
    Kept.OfStyle grey = shelf.named("Grey").orElseThrow();
    shelf =
        folder
            .apply(
                Change.tag(shelf, List.of(grey.id()), _ -> new java.util.TreeSet<>(List.of("x"))),
                shelf)
            .shelf();
    assertThat(names(ShelfOrder.DATE, Map.of()).getFirst()).isEqualTo("Grey");
    assertThat(
            names(ShelfOrder.USE, Map.of(grey.id(), 3, shelf.named("Red").orElseThrow().id(), 7)))
        .containsExactly("Red", "Grey", "Black", "Blue", "Rust");
    // black and grey first; red stands at 29 degrees of OKLCh, blue at 264
    assertThat(names(ShelfOrder.COLOUR, Map.of())).startsWith("Black", "Grey").endsWith("Blue");
  }

  @Test
  void looksThatAreNearlyTheSameAreFoundAndMerged() throws IOException {
    List<NearLooks> near = NearLooks.in(shelf);
    assertThat(near).hasSize(1);
    assertThat(near.getFirst().looks()).extracting(Kept::name).containsExactly("Red", "Rust");
    assertThat(near.getFirst().differences())
        .extracting(key -> key.property().id())
        .containsExactlyInAnyOrder(
            Properties.SIZE.id(), Properties.LEADING.id(), Properties.COAT_COLOUR.id());
    StyleId into = shelf.named("Red").orElseThrow().style().id();
    StyleId gone = shelf.named("Rust").orElseThrow().style().id();
    ShelfFolder.Done done =
        folder.apply(
            Change.of(
                shelf,
                Action.Kind.MERGE,
                new dynamorph.model.edit.style.MergeStyles(into, List.of(gone))),
            shelf);
    assertThat(NearLooks.in(done.shelf())).isEmpty();
    assertThat(done.shelf().styles()).hasSize(4);
    Shelf back =
        folder.apply(Change.undo(done.shelf(), done.action().orElseThrow()), done.shelf()).shelf();
    assertThat(back.styles()).hasSize(5);
  }
}
