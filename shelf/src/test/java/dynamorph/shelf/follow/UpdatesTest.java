package dynamorph.shelf.follow;

import static org.assertj.core.api.Assertions.assertThat;

import dynamorph.model.Asset;
import dynamorph.model.Project;
import dynamorph.model.edit.importing.ImportStyles;
import dynamorph.model.edit.style.ChangeStyle;
import dynamorph.model.edit.style.SetSwatch;
import dynamorph.model.property.Address;
import dynamorph.model.property.Properties;
import dynamorph.model.property.PropertyKey;
import dynamorph.model.style.Style;
import dynamorph.model.style.StyleBook;
import dynamorph.model.style.StyleId;
import dynamorph.model.style.Swatch;
import dynamorph.model.value.Colour;
import dynamorph.model.value.FontSize;
import dynamorph.model.value.Rgba;
import dynamorph.shelf.Action;
import dynamorph.shelf.Change;
import dynamorph.shelf.Looks;
import dynamorph.shelf.Shelf;
import dynamorph.shelf.entry.Kept;
import dynamorph.shelf.folder.ShelfFolder;
import java.io.IOException;
import java.nio.ByteBuffer;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.SplittableRandom;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

class UpdatesTest {
  private static final StyleId BODY = new StyleId("body");
  private static final StyleId HEADING = new StyleId("heading");

  @TempDir Path folder;

  private final SplittableRandom random = new SplittableRandom(5);
  private ShelfFolder files;

  /** Linked with the shelf. */
  private Project museum;

  /** Another project, with names of its own, that took the heading from the shelf. */
  private Project signs;

  @BeforeEach
  void museumOnTheShelf() throws IOException {
    files = Looks.folder(folder, "Dessa");
    museum = put(Looks.museum(), List.of(BODY, HEADING));
    Shelf shelf = files.read();
    String heading = shelf.named("Panel heading").orElseThrow().id();
    signs =
        new ImportStyles(shelf.bundle(List.of(heading)), Map.of()).applyTo(Project.empty("Signs"));
  }

  private Project put(Project project, List<StyleId> styles) throws IOException {
    Shelf seen = files.read();
    PutOnShelf put = PutOnShelf.of(project, seen, styles, random);
    Shelf after = files.apply(put.change(), seen).shelf();
    return put.linked(after).applyTo(project);
  }

  private static Project sized(Project project, StyleId id, FontSize size) {
    return project.withStyles(
        project
            .styles()
            .map(
                id, style -> style.withProperties(style.properties().with(Properties.SIZE, size))));
  }

  private static Style named(Project project, String name) {
    return project.styles().named(name).orElseThrow();
  }

  @Test
  void whatWasPutOrTakenIsNotNewerAndComesWithWhatItNeeds() throws IOException {
    assertThat(Updates.newer(museum, files.read())).isEmpty();
    assertThat(Updates.newer(signs, files.read())).isEmpty();
    assertThat(Updates.of(signs, files.read()))
        .hasSize(3)
        .allSatisfy(update -> assertThat(update.differences()).isEmpty());
    assertThat(signs.styles().list())
        .extracting(Style::name)
        .containsExactlyInAnyOrder("Panel body", "Panel heading");
    assertThat(signs.palette().swatches())
        .extracting(Swatch::name)
        .containsExactly("Museum orange");
    assertThat(named(signs, "Panel heading").basedOn()).contains(named(signs, "Panel body").id());
  }

  @Test
  void aLookThatIsTakenTwiceIsThereOnce() throws IOException {
    Shelf shelf = files.read();
    String heading = shelf.named("Panel heading").orElseThrow().id();
    assertThat(new ImportStyles(shelf.bundle(List.of(heading)), Map.of()).applyTo(signs))
        .isEqualTo(signs);
    // though it was changed here, and renamed
    Project changed =
        new ChangeStyle(named(signs, "Panel heading").withName("Sign heading")).applyTo(signs);
    assertThat(
            new ImportStyles(shelf.bundle(List.of(heading)), Map.of())
                .applyTo(changed)
                .styles()
                .size())
        .isEqualTo(2);
  }

  @Test
  void theMuseumsOrangeIsSaidOnce() throws IOException {
    Shelf seen = files.read();
    Swatch orange = seen.swatches().getFirst().swatch();
    files.apply(
        Change.of(
            seen, Action.Kind.CHANGE, new SetSwatch(orange.withColour(Rgba.parse("#c8641f")))),
        seen);
    Update update = Updates.newer(signs, files.read()).getFirst();
    assertThat(update.mine().name()).isEqualTo("Museum orange");
    assertThat(update.toTake())
        .containsExactly(
            new Update.Difference(
                Part.OfSwatch.COLOUR,
                Rgba.parse("#b0562a"),
                Rgba.parse("#b0562a"),
                Rgba.parse("#c8641f"),
                true));
    Project taken = TakeUpdates.all(signs, files.read()).applyTo(signs);
    assertThat(taken.palette().swatches().getFirst().colour()).isEqualTo(Rgba.parse("#c8641f"));
    assertThat(Updates.newer(taken, files.read())).isEmpty();
  }

  @Test
  void changesOfBothSidesAreMergedByValueAndConflictsShowBoth() throws IOException {
    Project tracked =
        museum.withStyles(
            museum
                .styles()
                .map(
                    BODY,
                    style ->
                        style.withProperties(style.properties().with(Properties.TRACKING, 5.0))));
    put(sized(tracked, BODY, FontSize.points(11)), List.of(BODY));
    Project mine = sized(signs, named(signs, "Panel body").id(), FontSize.points(12));
    Update update = Updates.newer(mine, files.read()).getFirst();
    assertThat(update.differences())
        .containsExactlyInAnyOrder(
            new Update.Difference(
                new Part.Value(Properties.SIZE.key()),
                java.util.Optional.of(FontSize.points(10)),
                java.util.Optional.of(FontSize.points(12)),
                java.util.Optional.of(FontSize.points(11)),
                true),
            new Update.Difference(
                new Part.Value(Properties.TRACKING.key()),
                java.util.Optional.empty(),
                java.util.Optional.empty(),
                java.util.Optional.of(5.0),
                true));
    assertThat(update.differences().stream().filter(Update.Difference::isConflict))
        .extracting(Update.Difference::part)
        .containsExactly(new Part.Value(Properties.SIZE.key()));
    Project merged = TakeUpdates.all(mine, files.read()).applyTo(mine);
    Style body = named(merged, "Panel body");
    assertThat(body.properties().get(Properties.SIZE.key())).contains(FontSize.points(12));
    assertThat(body.properties().get(Properties.TRACKING.key())).contains(5.0);
    Project theirs =
        TakeUpdates.of(files.read(), Updates.newer(mine, files.read()), true).applyTo(mine);
    assertThat(named(theirs, "Panel body").properties().get(Properties.SIZE.key()))
        .contains(FontSize.points(11));
    // what was not taken is mine from now on, and can be put there
    assertThat(Updates.newer(merged, files.read())).isEmpty();
    Update left = Updates.of(merged, files.read()).getFirst();
    assertThat(left.toPut())
        .extracting(Update.Difference::part)
        .containsExactly(new Part.Value(Properties.SIZE.key()));
  }

  /** A value may be called otherwise once its swatch is on the shelf too. */
  @Test
  void aValuePaintedWithANewSwatchIsPutWithIt() throws IOException {
    PropertyKey<Colour> fill = Properties.COAT_COLOUR.at(Address.coat("fill"));
    Swatch teal = new Swatch("teal", "Teal", Rgba.parse("#0e6b63"));
    Project painted =
        museum
            .withPalette(museum.palette().with(teal))
            .withStyles(
                museum
                    .styles()
                    .map(
                        HEADING,
                        style ->
                            style.withProperties(
                                style.properties().with(fill, Colour.swatch("teal")))));
    Update update =
        Updates.of(painted, files.read()).stream()
            .filter(one -> !one.toPut().isEmpty())
            .findFirst()
            .orElseThrow();
    Set<Part> shown = Set.of(update.toPut().getFirst().part());
    Shelf seen = files.read();
    PutOnShelf put =
        PutOnShelf.of(
            painted,
            seen,
            List.of(HEADING),
            List.of(),
            (entry, part) -> entry.equals(update.entry().id()) && shown.contains(part),
            random);
    Shelf after = files.apply(put.change(), seen).shelf();
    Style heading = after.named("Panel heading").orElseThrow().style();
    assertThat(after.asProject().palette().colour(heading.properties().get(fill).orElseThrow()))
        .isEqualTo(Rgba.parse("#0e6b63"));
    assertThat(after.swatches()).extracting(Kept::name).contains("Teal");
  }

  @Test
  void whatOnlyTheProjectChangedIsNoUpdate() throws IOException {
    put(sized(museum, BODY, FontSize.points(11)), List.of(BODY));
    StyleId body = named(signs, "Panel body").id();
    Project mine = signs.withStyles(signs.styles().map(body, style -> style.withNote("for signs")));
    Update update = Updates.newer(mine, files.read()).getFirst();
    assertThat(update.toTake())
        .extracting(Update.Difference::part)
        .containsExactly(new Part.Value(Properties.SIZE.key()));
    assertThat(update.toPut()).extracting(Update.Difference::part).containsExactly(Part.Field.NOTE);
    Project taken = TakeUpdates.all(mine, files.read()).applyTo(mine);
    assertThat(named(taken, "Panel body").note()).isEqualTo("for signs");
    assertThat(named(taken, "Panel body").properties().get(Properties.SIZE.key()))
        .contains(FontSize.points(11));
  }

  /** Somebody told the project by word of mouth; what comes next is no conflict. */
  @Test
  void aChangeThatTheProjectMadeTooIsTaken() throws IOException {
    put(sized(museum, BODY, FontSize.points(11)), List.of(BODY));
    Project mine = sized(signs, named(signs, "Panel body").id(), FontSize.points(11));
    assertThat(Updates.newer(mine, files.read())).isEmpty();
    Shelf seen = files.read();
    Style body = seen.named("Panel body").orElseThrow().style();
    files.apply(
        Change.of(
            seen,
            Action.Kind.CHANGE,
            new ChangeStyle(
                body.withProperties(body.properties().with(Properties.SIZE, FontSize.points(12))))),
        seen);
    Update update = Updates.newer(mine, files.read()).getFirst();
    assertThat(update.differences()).noneMatch(Update.Difference::isConflict);
    Project taken = TakeUpdates.all(mine, files.read()).applyTo(mine);
    assertThat(named(taken, "Panel body").properties().get(Properties.SIZE.key()))
        .contains(FontSize.points(12));
  }

  @Test
  void anUpdateThatIsLeftIsNotOfferedAgain() throws IOException {
    put(sized(museum, BODY, FontSize.points(11)), List.of(BODY));
    StyleId body = named(signs, "Panel body").id();
    Project left = new TakeUpdates(files.read(), Map.of(body, Set.of()), Map.of()).applyTo(signs);
    assertThat(named(left, "Panel body").properties())
        .isEqualTo(named(signs, "Panel body").properties());
    assertThat(Updates.newer(left, files.read())).isEmpty();
    put(sized(museum, BODY, FontSize.points(11.5)).withName("Museum"), List.of(BODY));
    assertThat(Updates.newer(left, files.read())).as("the next one is").hasSize(1);
  }

  @Test
  void whatTheShelfChangedSinceStaysWhenTheProjectPutsItsOwn() throws IOException {
    Shelf seen = files.read();
    Kept.OfStyle body = seen.named("Panel body").orElseThrow();
    files.apply(
        Change.of(seen, Action.Kind.CHANGE, new ChangeStyle(body.style().withNote("for panels"))),
        seen);
    put(sized(museum, BODY, FontSize.points(11)), List.of(BODY));
    Style now = files.read().named("Panel body").orElseThrow().style();
    assertThat(now.note()).isEqualTo("for panels");
    assertThat(now.properties().get(Properties.SIZE.key())).contains(FontSize.points(11));
  }

  @Test
  void theSameLookOfAnotherProjectIsNotPutThereTwice() throws IOException {
    Project linked = put(Looks.museum(), List.of(BODY, HEADING));
    assertThat(files.read().styles()).hasSize(2);
    assertThat(linked.styles()).isEqualTo(museum.styles());
    put(sized(Looks.museum(), BODY, FontSize.points(9)), List.of(BODY));
    assertThat(files.read().styles()).as("another look of that name").hasSize(3);
  }

  @Test
  void aFontOfTheProjectComesAlongUnlessItsMakerForbids() throws IOException {
    byte[] font =
        Files.readAllBytes(
            Path.of(
                "../typeset/src/main/resources/dynamorph/typeset/fonts/anton/Anton_400Regular.ttf"));
    Style poster =
        Style.text("poster", "Poster", "")
            .withProperties(
                Style.text("x", "x", "").properties().with(Properties.FONT_FAMILY, "Anton"));
    Project project =
        Project.empty("Posters")
            .withStyles(StyleBook.of(List.of(poster)))
            .withAssets(List.of(new Asset("fonts/Anton.ttf", font)));
    put(project, List.of(poster.id()));
    Shelf shelf = files.read();
    String entry = shelf.named("Poster").orElseThrow().id();
    assertThat(shelf.bundle(List.of(entry)).assets())
        .containsExactly(new Asset("fonts/Anton.ttf", font));
    assertThat(shelf.bundle(List.of(shelf.named("Panel body").orElseThrow().id())).assets())
        .as("a look in another family")
        .isEmpty();
    // OS/2 fsType 2: restricted licence embedding
    byte[] restricted = font.clone();
    ByteBuffer bytes = ByteBuffer.wrap(restricted);
    for (int table = 0; table < bytes.getShort(4); table++) {
      int record = 12 + 16 * table;
      if (bytes.getInt(record) == 0x4F532F32) {
        bytes.putShort(bytes.getInt(record + 8) + 8, (short) 2);
      }
    }
    Project closed =
        project
            .withStyles(StyleBook.of(List.of(poster.withName("Closed poster"))))
            .withAssets(List.of(new Asset("fonts/Anton.ttf", restricted)));
    PutOnShelf put = PutOnShelf.of(closed, shelf, List.of(poster.id()), random);
    assertThat(put.withheld()).containsExactly("Anton");
    assertThat(put.change().files()).isEmpty();
  }

  @Test
  void aNewBaseOnTheShelfComesWithTheUpdate() throws IOException {
    Project rebased =
        new ChangeStyle(
                named(museum, "Panel heading")
                    .withBasedOn(java.util.Optional.of(new StyleId("note"))))
            .applyTo(museum);
    put(rebased, List.of(HEADING));
    Project taken = TakeUpdates.all(signs, files.read()).applyTo(signs);
    assertThat(named(taken, "Panel heading").basedOn()).contains(named(taken, "Note").id());
    assertThat(Updates.of(taken, files.read()))
        .allSatisfy(update -> assertThat(update.differences()).isEmpty());
  }

  @Test
  void aProjectDoesNotNeedTheShelf() throws IOException {
    Project alone = Project.empty("Signs");
    assertThat(Updates.of(signs, Looks.folder(folder.resolve("none"), "").read())).isEmpty();
    assertThat(Updates.of(alone, files.read())).isEmpty();
    assertThat(TakeUpdates.all(signs, files.read()).applyTo(signs)).isEqualTo(signs);
  }

  @Test
  void whatIsDeletedOnTheShelfStaysInTheProjectAndCanBePutThereAgain() throws IOException {
    Shelf seen = files.read();
    Kept.OfStyle heading = seen.named("Panel heading").orElseThrow();
    files.apply(
        new Change(
            Action.Kind.DELETE,
            "",
            Map.of(heading.id(), java.util.Optional.empty()),
            Map.of(),
            java.util.Optional.empty()),
        seen);
    assertThat(Updates.newer(museum, files.read())).isEmpty();
    assertThat(Updates.of(museum, files.read())).anyMatch(Update::isDeleted);
    put(museum, List.of(HEADING));
    assertThat(files.read().kept(heading.id())).contains(heading);
  }
}
