package dynamorph.app.journey;

import static org.assertj.core.api.Assertions.assertThat;

import dynamorph.app.files.FileActions;
import dynamorph.app.shelf.ShelfLooks;
import dynamorph.formats.project.KitAbout;
import dynamorph.formats.project.KitFile;
import dynamorph.formats.project.ProjectFile;
import dynamorph.model.Project;
import dynamorph.model.edit.importing.StyleBundle;
import dynamorph.model.edit.style.ChangeStyle;
import dynamorph.model.property.Properties;
import dynamorph.model.style.Origin;
import dynamorph.model.style.Style;
import dynamorph.model.style.StyleId;
import dynamorph.model.value.FontSize;
import dynamorph.shelf.Action;
import dynamorph.shelf.Change;
import dynamorph.shelf.Shelf;
import dynamorph.shelf.entry.Kept;
import dynamorph.shelf.folder.ShelfFolder;
import dynamorph.shelf.follow.PutOnShelf;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.InstantSource;
import java.util.List;
import java.util.Optional;
import java.util.SplittableRandom;
import javafx.scene.Node;
import javafx.scene.control.CheckBox;
import javafx.scene.control.Labeled;
import javafx.scene.control.ListView;
import javafx.scene.control.RadioButton;
import javafx.scene.control.TextField;
import javafx.scene.image.Image;
import javafx.scene.image.ImageView;
import javafx.scene.input.KeyCode;
import org.junit.jupiter.api.Test;
import org.pcollections.TreePVector;

class ShelfJourneyTest extends JourneyTest {

  /** Somebody else who has the same folder. */
  private ShelfFolder colleague() {
    return new ShelfFolder(
        folder.resolve("user/shelf"),
        "Nour Abadi",
        InstantSource.system(),
        new SplittableRandom(5));
  }

  private Shelf shelf() {
    return driver.window().shelf().shelf();
  }

  private void put(String... names) {
    driver.settle();
    List<StyleId> ids = List.of(names).stream().map(driver::styleNamed).toList();
    driver.robot().interact(() -> driver.window().shelf().put(ids));
    driver.waitFor("on the shelf", () -> shelf().named(names[0]).isPresent());
    driver.settle();
  }

  private String id(String name) {
    return shelf().named(name).orElseThrow().id();
  }

  /** The colleague makes a style of the shelf larger; the open window sees it by itself. */
  private void enlargedByColleague(String name, double points) throws IOException {
    ShelfFolder other = colleague();
    Shelf seen = other.read();
    Style style = seen.named(name).orElseThrow().style();
    Change change =
        Change.of(
                seen,
                Action.Kind.CHANGE,
                new ChangeStyle(
                    style.withProperties(
                        style.properties().with(Properties.SIZE, FontSize.points(points)))))
            .withNote("for the long corridor");
    other.apply(change, seen);
    driver.waitFor("seen in the window", () -> !driver.window().shelf().newer().isEmpty());
    driver.settle();
  }

  private FontSize size(String name) {
    return driver
        .project()
        .styles()
        .named(name)
        .orElseThrow()
        .properties()
        .get(Properties.SIZE.key())
        .orElseThrow();
  }

  private void showShelf() {
    driver.press("scope-shelf");
  }

  private Node card(String entry) {
    driver.waitFor("its card", () -> driver.isShown("#shelf-" + entry));
    return driver.node("shelf-" + entry);
  }

  @Test
  void aLookIsPutOnTheShelfAndFollowedInAnotherProject() {
    driver.robot().rightClickOn(driver.reveal("#style-" + driver.styleNamed("Notice")));
    clickItem("Put on the shelf");
    driver.waitFor("on the shelf", () -> shelf().named("Notice").isPresent());
    driver.settle();
    assertThat(driver.project().styles().named("Notice").orElseThrow().origin())
        .map(Origin::entry)
        .contains(id("Notice"));
    driver.waitFor("told", () -> driver.notice().contains("put on My shelf"));
    // another project, with a text that follows nothing
    Project bare =
        Project.empty("Signs")
            .withPalette(demo.palette())
            .withAssets(demo.assets())
            .withArtboards(
                TreePVector.from(
                    demo.still()
                        .map(board ->
                            board
                                .withBaseStyle(Optional.empty())
                                .mapLayers(layer -> layer.mapFollows(_ -> Optional.empty())))
                        .toList()));
    driver.robot().interact(() -> driver.workspace().open(bare, Optional.empty()));
    driver.settle();
    driver.pressText("label-6-title");
    showShelf();
    driver.robot().moveTo(card(id("Notice")));
    driver.waitFor(
        "the text in the look, before anything is done",
        () -> driver.workspace().shownProperty().get().styles().named("Notice").isPresent());
    assertThat(driver.project()).isEqualTo(bare);
    driver.robot().clickOn(card(id("Notice")));
    driver.settle();
    StyleId notice = driver.styleNamed("Notice");
    assertThat(driver.layer("label-6-title").follows()).containsExactly(notice);
    assertThat(driver.project().styles().size()).as("only what it needs").isEqualTo(1);
    driver.robot().push(KeyCode.CONTROL, KeyCode.Z);
    driver.settle();
    assertThat(driver.project()).as("one step").isEqualTo(bare);
  }

  @Test
  void aColleaguesChangeArrivesAndIsTakenAfterALook() throws IOException {
    put("Notice", "Label title");
    Project before = driver.project();
    FontSize was = size("Notice");
    enlargedByColleague("Notice", 120);
    assertThat(text("shelf-updates")).contains("1 look is newer");
    driver.press("shelf-updates");
    assertThat(driver.project()).as("nothing is done yet").isEqualTo(before);
    assertThat(
            driver
                .workspace()
                .shownProperty()
                .get()
                .styles()
                .named("Notice")
                .orElseThrow()
                .properties()
                .get(Properties.SIZE.key()))
        .as("the stage shows it")
        .contains(FontSize.points(120));
    assertThat(words("#updates-pane"))
        .anySatisfy(one -> assertThat(one).contains("for the long corridor", "Nour Abadi"))
        .contains("84 pt", "120 pt");
    driver.press("updates-commit");
    assertThat(size("Notice")).isEqualTo(FontSize.points(120));
    assertThat(driver.isShown("#shelf-updates")).isFalse();
    driver.robot().push(KeyCode.CONTROL, KeyCode.Z);
    driver.settle();
    assertThat(size("Notice")).isEqualTo(was);
    assertThat(driver.project()).isEqualTo(before);
    assertThat(text("shelf-updates")).as("offered again").contains("1 look");
  }

  @Test
  void whatBothChangedIsSettledByThePerson() throws IOException {
    put("Notice");
    driver
        .robot()
        .interact(() -> {
          Style notice = driver.project().styles().named("Notice").orElseThrow();
          driver
              .workspace()
              .apply(
                  new ChangeStyle(
                      notice.withProperties(
                          notice.properties().with(Properties.SIZE, FontSize.points(70)))));
        });
    enlargedByColleague("Notice", 120);
    driver.press("shelf-updates");
    assertThat(words("#updates-pane")).contains("changed on both sides", "70 pt", "120 pt");
    driver.press("updates-commit");
    assertThat(size("Notice")).as("mine stays at first").isEqualTo(FontSize.points(70));
    driver.undoAll();
    driver.robot().interact(() -> driver.workspace().redo());
    driver.robot().interact(() -> driver.workspace().redo());
    driver.settle();
    driver.press("shelf-updates");
    driver
        .robot()
        .clickOn(
            driver
                .robot()
                .lookup("#updates-pane .radio-button")
                .match((RadioButton one) -> one.getText().equals("shelf"))
                .<Node>query());
    driver.settle();
    driver.press("updates-commit");
    assertThat(size("Notice")).isEqualTo(FontSize.points(120));
  }

  @Test
  void theProjectsChangeIsPutBack() {
    put("Notice");
    driver
        .robot()
        .interact(() -> {
          Style notice = driver.project().styles().named("Notice").orElseThrow();
          driver
              .workspace()
              .apply(
                  new ChangeStyle(
                      notice.withProperties(
                          notice
                              .properties()
                              .with(Properties.SIZE, FontSize.points(70))
                              .with(Properties.TRACKING, 12.0))));
        });
    driver.run("Updates from the shelf");
    assertThat(text("updates-put")).contains("1");
    // all but the size
    driver
        .robot()
        .clickOn(
            driver
                .robot()
                .lookup("#updates-pane .check-box")
                .match((CheckBox one) -> one.getText().equals("Size"))
                .<Node>query());
    ((TextField) driver.node("updates-note")).setText("a little air");
    driver.press("updates-commit");
    driver.waitFor(
        "a new version", () -> shelf().find(id("Notice")).orElseThrow().versions().size() == 2);
    driver.settle();
    Style now = shelf().named("Notice").orElseThrow().style();
    assertThat(now.properties().get(Properties.TRACKING.key())).contains(12.0);
    assertThat(now.properties().get(Properties.SIZE.key())).contains(FontSize.points(84));
    assertThat(shelf().find(id("Notice")).orElseThrow().head().version().note())
        .isEqualTo("a little air");
    assertThat(size("Notice")).isEqualTo(FontSize.points(70));
  }

  @Test
  void updatesThatAreLeftAreNotOfferedAgain() throws IOException {
    put("Notice");
    FontSize was = size("Notice");
    enlargedByColleague("Notice", 120);
    driver.press("shelf-updates");
    driver.press("updates-leave");
    assertThat(size("Notice")).isEqualTo(was);
    assertThat(driver.isShown("#shelf-updates")).isFalse();
    enlargedByColleague("Notice", 130);
    assertThat(driver.isShown("#shelf-updates")).as("the next one is").isTrue();
  }

  @Test
  void whatWasDeletedComesBackAfterARestart() {
    put("Notice", "Label title", "Enamel title");
    showShelf();
    String notice = id("Notice");
    driver.robot().clickOn(card(notice));
    driver.robot().interact(() -> driver.node("shelf-list").requestFocus());
    driver.robot().push(KeyCode.DELETE);
    driver.waitFor("gone", () -> shelf().named("Notice").isEmpty());
    driver.settle();
    assertThat(driver.project().styles().named("Notice")).as("the project keeps it").isPresent();
    driver
        .robot()
        .interact(() ->
            driver =
                Driver.open(
                    (javafx.stage.Stage) driver.window().scene().getWindow(),
                    demo,
                    folder.resolve("user")));
    driver.settle();
    driver.waitFor("read again", () -> shelf().named("Label title").isPresent());
    driver.run("Shelf history");
    assertThat(words("#shelf-history")).contains("Deleted: Notice");
    Action deletion = shelf().actions().getLast();
    driver.press("undo-" + deletion.id());
    driver.waitFor("back", () -> shelf().kept(notice).isPresent());
  }

  @Test
  void versionsAreSeenAndRestored() throws IOException {
    put("Notice");
    enlargedByColleague("Notice", 120);
    showShelf();
    driver.robot().rightClickOn(card(id("Notice")));
    clickItem("Versions and where used\u2026");
    assertThat(words("#shelf-history"))
        .anySatisfy(one -> assertThat(one).contains("Version 2", "Nour Abadi"));
    driver.press("restore-1");
    driver.waitFor(
        "as it was",
        () ->
            shelf()
                .named("Notice")
                .orElseThrow()
                .style()
                .properties()
                .get(Properties.SIZE.key())
                .equals(Optional.of(FontSize.points(84))));
  }

  @Test
  void otherProjectsAreLookedAtUpdatedAndBroughtBack() throws IOException {
    put("Notice");
    Path other = folder.resolve("mondays.dmorph");
    ProjectFile.write(driver.project().withName("Winding Mondays"), other);
    byte[] before = Files.readAllBytes(other);
    driver.answers().file(folder);
    enlargedByColleague("Notice", 120);
    driver.run("Shelf history");
    driver.run("Update other projects from the shelf");
    driver.run("Shelf history");
    assertThat(driver.isShown("#shelf-history")).isTrue();
    assertThat(driver.isShown("#projects-pane")).as("one at a time").isFalse();
    driver.run("Update other projects from the shelf");
    assertThat(driver.isShown("#shelf-history")).isFalse();
    assertThat(words("#projects-pane")).anySatisfy(one -> assertThat(one).contains("No other"));
    driver.press("projects-folder");
    driver.waitFor("looked at", () -> driver.isShown("#project-mondays"));
    driver.settle();
    assertThat(words("#projects-pane"))
        .contains("Winding Mondays")
        .anySatisfy(one -> assertThat(one).contains("1 update, 3 texts change"));
    assertThat(Files.readAllBytes(other)).isEqualTo(before);
    driver.press("projects-update");
    driver.waitFor("written", () -> driver.isShown("#undo-mondays"));
    assertThat(
            ProjectFile.read(other)
                .styles()
                .named("Notice")
                .orElseThrow()
                .properties()
                .get(Properties.SIZE.key()))
        .contains(FontSize.points(120));
    driver.press("undo-mondays");
    driver.waitFor("as before", () -> !driver.isShown("#undo-mondays"));
    assertThat(Files.readAllBytes(other)).isEqualTo(before);
  }

  @Test
  void aLookIsKeptInTheProjectAndOnTheShelf() {
    driver.pressText("label-6-title");
    driver.press("keep-look");
    typeInto("keep-name", "Bell label");
    driver.press("keep-on-shelf");
    driver.press("keep-style");
    driver.waitFor("on the shelf", () -> shelf().named("Bell label").isPresent());
    driver.settle();
    assertThat(driver.project().styles().named("Bell label").orElseThrow().origin()).isPresent();
  }

  @Test
  void aFolderThatIsSharedIsAnotherShelf() throws IOException {
    Path team = folder.resolve("team");
    ShelfFolder theirs =
        new ShelfFolder(team, "Nour Abadi", InstantSource.system(), new SplittableRandom(6));
    Shelf seen = theirs.read();
    theirs.apply(
        PutOnShelf.of(demo, seen, List.of(driver.styleNamed("Notice")), new SplittableRandom(8))
            .change(),
        seen);
    driver.answers().file(team);
    showShelf();
    driver.press("shelf-which");
    clickItem("Add a shared shelf\u2026");
    driver.waitFor("their look", () -> shelf().named("Notice").isPresent());
    assertThat(text("shelf-which")).isEqualTo("team");
    Kept.OfStyle theirLook = shelf().named("Notice").orElseThrow();
    driver.pressText("label-6-title");
    driver.robot().clickOn(card(id("Notice")));
    driver.settle();
    Project taken = driver.project();
    assertThat(taken.styles().stream().filter(style -> style.origin().isPresent())).isNotEmpty();
    Shelf now = theirs.read();
    Style notice = now.named("Notice").orElseThrow().style();
    theirs.apply(
        Change.of(now, Action.Kind.CHANGE, new ChangeStyle(notice.withNote("larger in spring"))),
        now);
    // the own shelf is looked at, and the other one is told of; a look that was rested on just then
    // is not there any more
    driver
        .robot()
        .interact(() -> driver.window().shelf().open(driver.window().shelf().places().getFirst()));
    ShelfLooks looks = new ShelfLooks(driver.workspace(), driver.window().shelf());
    driver.robot().interact(() -> looks.preview(theirLook));
    driver.robot().interact(() -> looks.apply(theirLook));
    assertThat(driver.project()).isEqualTo(taken);
    driver.waitFor("told", () -> driver.isShown("#shelf-updates"));
    assertThat(text("shelf-updates")).contains("1 look is newer on team");
    driver.press("shelf-updates");
    driver.waitFor("their updates", () -> words("#updates-pane").contains("larger in spring"));
    driver.press("updates-commit");
    assertThat(
            driver.project().styles().stream()
                .filter(style -> style.note().equals("larger in spring")))
        .hasSize(1);
  }

  @Test
  void aKitIsLookedIntoBeforeAnythingIsTaken() throws IOException {
    Path kit = folder.resolve("signs.dmkit");
    KitFile.write(
        "Signs",
        StyleBundle.of(demo, List.of(driver.styleNamed("Enamel title")), List.of()),
        new KitAbout("Dessa Okafor", "CC BY 4.0", "For long walls", Optional.empty()),
        kit);
    Project bare = Project.empty("Signs");
    driver.robot().interact(() -> driver.workspace().open(bare, Optional.empty()));
    driver.answers().file(kit);
    showShelf();
    driver.press("shelf-which");
    clickItem("Look into a kit or tokens\u2026");
    driver.waitFor("its look", () -> shelf().named("Enamel title").isPresent());
    assertThat(driver.isShown("#kit-about")).isTrue();
    assertThat(driver.robot().lookup("Dessa Okafor \u00B7 CC BY 4.0").tryQuery()).isPresent();
    assertThat(driver.project()).isEqualTo(bare);
    driver.robot().rightClickOn(card(id("Enamel title")));
    clickItem("Take into the project");
    assertThat(driver.project().styles().named("Enamel title")).isPresent();
    driver
        .robot()
        .interact(() -> driver.window().shelf().put(List.of(driver.styleNamed("Enamel title"))));
    driver.waitFor(
        "told that it is not in the kit", () -> driver.notice().contains("put on My shelf"));
    driver.press("shelf-which");
    clickItem("My shelf");
    driver.waitFor("on the own shelf", () -> shelf().named("Enamel title").isPresent());
    // the way back leads to where it was put, whatever is looked at
    driver.press("shelf-which");
    clickItem("Kit: signs.dmkit");
    driver.settle();
    driver.offer("Undo");
    driver.press("shelf-which");
    clickItem("My shelf");
    driver.settle();
    driver.waitFor("taken back", () -> shelf().styles().isEmpty());
  }

  @Test
  void anEmptyProjectBeginsWithAStarterKit() {
    driver.robot().interact(() -> driver.workspace().open(FileActions.blank(), Optional.empty()));
    driver.settle();
    Project blank = driver.project();
    driver.press("starter-lower-thirds");
    driver.waitFor("its looks", () -> shelf().named("Name").isPresent());
    assertThat(text("shelf-which")).contains("Lower thirds");
    assertThat(driver.project()).as("looked into").isEqualTo(blank);
    driver.robot().rightClickOn(card("name-guest"));
    clickItem("Take into the project");
    assertThat(driver.project().styles().named("Name, guest").orElseThrow().basedOn())
        .contains(driver.styleNamed("Name"));
    driver.press("shelf-take-all");
    assertThat(driver.project().styles().size()).isEqualTo(11);
    driver.press("scope-project");
    assertThat(driver.isShown("#starter-kits")).as("there are looks now").isFalse();
  }

  @Test
  void theShelfIsUsedByKeyboardAlone() {
    put("Notice", "Label title");
    driver.undoAll();
    driver.pressText("label-6-title");
    List<StyleId> follows = driver.layer("label-6-title").follows();
    driver.run("Show the shelf");
    ListView<?> list = (ListView<?>) driver.node("shelf-list");
    driver.robot().interact(list::requestFocus);
    int at = 0;
    while (!(list.getSelectionModel().getSelectedItem() != null
        && list.getSelectionModel().getSelectedItem().toString().contains("name=Notice"))) {
      driver.robot().push(at == 0 ? KeyCode.HOME : KeyCode.DOWN);
      driver.settle();
      assertThat(at++).isLessThan(30);
    }
    driver.robot().push(KeyCode.ENTER);
    driver.settle();
    assertThat(driver.layer("label-6-title").follows())
        .isNotEqualTo(follows)
        .containsExactly(driver.styleNamed("Notice"));
    driver.press("shelf-dense");
    assertThat(words("#shelf-list")).contains("Label title");
  }

  private Image specimen(String look) {
    card(id(look));
    driver.waitFor("drawn", () -> driver.window().isUpToDate());
    // a list keeps cells that it only measures with
    return driver.robot().lookup("#shelf-" + id(look)).queryAll().stream()
        .flatMap(cell ->
            driver
                .robot()
                .from(cell)
                .lookup((Node node) -> node instanceof ImageView)
                .queryAllAs(ImageView.class)
                .stream())
        .findFirst()
        .orElseThrow()
        .getImage();
  }

  private static boolean same(Image one, Image other) {
    for (int y = 0; y < one.getHeight(); y += 2) {
      for (int x = 0; x < one.getWidth(); x += 2) {
        if (one.getPixelReader().getArgb(x, y) != other.getPixelReader().getArgb(x, y)) {
          return false;
        }
      }
    }
    return true;
  }

  private void clickItem(String label) {
    driver
        .robot()
        .clickOn(
            driver
                .robot()
                .lookup(".context-menu .label")
                .match((javafx.scene.control.Label item) -> item.getText().equals(label))
                .<Node>query());
    driver.settle();
  }

  private List<String> words(String pane) {
    return driver.node(pane.substring(1)).lookupAll("*").stream()
        .filter(Labeled.class::isInstance)
        .map(node -> ((Labeled) node).getText())
        .filter(text -> text != null && !text.isBlank())
        .toList();
  }

  @Test
  void looksAreDraggedOnTheShelfAndFromItOnTexts() {
    Node notice = driver.reveal("#style-" + driver.styleNamed("Notice"));
    driver.robot().drag(notice).dropTo(driver.node("scope-shelf"));
    driver.waitFor("on the shelf", () -> shelf().named("Notice").isPresent());
    driver.settle();
    driver.robot().interact(() -> driver.workspace().open(demo, Optional.empty()));
    driver.settle();
    assertThat(driver.layer("label-6-title").follows()).doesNotContain(driver.styleNamed("Notice"));
    showShelf();
    driver.robot().drag(card(id("Notice"))).moveTo(driver.middleOf("label-6-title"));
    driver.waitFor(
        "the text in the look, before it is dropped",
        () -> !driver.workspace().shownProperty().get().equals(demo));
    assertThat(driver.project()).isEqualTo(demo);
    driver.robot().drop();
    driver.settle();
    StyleId here = driver.styleNamed("Notice");
    assertThat(driver.layer("label-6-title").follows()).contains(here);
    driver.robot().push(KeyCode.CONTROL, KeyCode.Z);
    assertThat(driver.project()).isEqualTo(demo);
    driver.robot().interact(() -> driver.workspace().open(Project.empty("New"), Optional.empty()));
    driver.settle();
    driver.robot().drag(card(id("Notice"))).dropTo(driver.node("scope-project"));
    driver.waitFor("in the project", () -> driver.project().styles().named("Notice").isPresent());
  }

  @Test
  void looksAreSortedAndThoseThatAreNearlyTheSameBecomeOne() throws IOException {
    Style notice = demo.styles().named("Notice").orElseThrow();
    Style near =
        notice
            .withId(new StyleId("notice-too"))
            .withName("A notice too")
            .withProperties(
                notice
                    .properties()
                    .with(
                        Properties.SIZE,
                        FontSize.points(
                            notice.properties().get(Properties.SIZE.key()).orElseThrow().over(0)
                                + 1)));
    driver
        .robot()
        .interact(() ->
            driver.workspace().open(demo.withStyles(demo.styles().with(near)), Optional.empty()));
    put("Notice");
    put("A notice too");
    showShelf();
    driver.robot().clickOn("#shelf-arrange");
    clickItem("name");
    driver.settle();
    Image own = specimen("Notice");
    driver.pressText("label-3-title");
    driver.robot().clickOn("#shelf-arrange");
    clickItem("in the selected words");
    driver.waitFor("drawn in other words", () -> !same(own, specimen("Notice")));
    driver.robot().clickOn("#shelf-arrange");
    clickItem("in the selected words");
    driver.waitFor("drawn in its own words", () -> same(own, specimen("Notice")));
    double first = card(id("A notice too")).localToScene(0, 0).getY();
    assertThat(first).isLessThan(card(id("Notice")).localToScene(0, 0).getY());
    driver.robot().clickOn("#shelf-arrange");
    clickItem("nearly the same");
    driver.waitFor("found", () -> driver.robot().lookup("Merge").tryQuery().isPresent());
    driver.robot().clickOn("Merge");
    clickItem("Into Notice, which stays");
    driver.waitFor("merged", () -> shelf().named("A notice too").isEmpty());
    driver.settle();
    assertThat(shelf().named("Notice")).isPresent();
    driver.offer("Undo");
    driver.waitFor("both are back", () -> shelf().named("A notice too").isPresent());
    Path kit = folder.resolve("all.dmkit");
    driver.answers().file(kit);
    driver.press("shelf-which");
    clickItem("Export all looks\u2026");
    driver.waitFor("written", () -> Files.exists(kit));
    KitFile.Kit written = KitFile.read(kit);
    assertThat(written.bundle().styles())
        .extracting(Style::name)
        .contains("Notice", "A notice too");
    assertThat(written.about().author()).isEqualTo("Dessa Okafor");
    assertThat(written.about().picture()).isPresent();
  }
}
