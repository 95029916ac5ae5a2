package dynamorph.formats.project;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import dynamorph.model.Artboard;
import dynamorph.model.Asset;
import dynamorph.model.LengthUnit;
import dynamorph.model.Project;
import dynamorph.model.property.PropertyKey;
import dynamorph.model.property.PropertySet;
import dynamorph.model.random.RandomProjects;
import dynamorph.model.timeline.Clip;
import dynamorph.model.timeline.FrameRate;
import dynamorph.model.timeline.Media;
import dynamorph.model.timeline.Time;
import dynamorph.model.timeline.Timeline;
import dynamorph.model.timeline.Track;
import dynamorph.model.timeline.TrackId;
import dynamorph.model.value.ItemState;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.zip.ZipEntry;
import java.util.zip.ZipFile;
import java.util.zip.ZipOutputStream;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;

class ProjectFileTest {
  @TempDir private Path folder;
  private Path file;

  @BeforeEach
  void nameFile() {
    file = folder.resolve("hour.dmorph");
  }

  @ParameterizedTest
  @ValueSource(longs = {1, 2, 3, 4, 5, 6, 7, 8, 9, 10, 11, 12, 13, 14, 15})
  void whatIsWrittenIsRead(long seed) throws IOException {
    Project project =
        new RandomProjects(seed)
            .project()
            .withAssets(List.of(new Asset("fonts/Bell.ttf", new byte[] {1, 2, 3})));
    ProjectFile.write(project, file);
    assertThat(ProjectFile.read(file)).isEqualTo(project);
  }

  /** A project and its footage may be moved together. */
  @Test
  void footageIsFoundFromWhereTheProjectLies() throws IOException {
    Project project = filmOf(folder.resolve("shots/sea.mp4"));
    ProjectFile.write(project, file);
    assertThat(ProjectFile.read(file)).isEqualTo(project);
    Path moved = Files.createDirectories(folder.resolve("elsewhere")).resolve("hour.dmorph");
    Files.move(file, moved);
    assertThat(ProjectFile.read(moved).media())
        .containsExactly(new Media.File(written(folder.resolve("elsewhere/shots/sea.mp4"))));
    ProjectFile.write(project, moved);
    assertThat(ProjectFile.read(moved)).as("saved elsewhere").isEqualTo(project);
  }

  private static String written(Path path) {
    return path.toAbsolutePath().normalize().toString().replace('\\', '/');
  }

  private static Project filmOf(Path footage) {
    Clip clip =
        new Clip(
            "c",
            "Sea",
            new Media.File(written(footage)),
            Time.ZERO,
            Time.ofMillis(1000),
            Time.ZERO);
    Timeline line =
        Timeline.of(FrameRate.PAL, Time.ofMillis(4000))
            .plus(new Track.Footage(new TrackId("f"), "Footage", ItemState.OPEN, List.of(clip)));
    return Project.empty("Hour")
        .plus(
            Artboard.empty("a", "Film", 640, 360, LengthUnit.PIXEL)
                .withTimeline(Optional.of(line)));
  }

  @Test
  void theSameProjectGivesTheSameBytes() throws IOException {
    Project project = new RandomProjects(7).project();
    ProjectFile.write(project, file);
    byte[] first = Files.readAllBytes(file);
    ProjectFile.write(project, file);
    assertThat(Files.readAllBytes(file)).isEqualTo(first);
    assertThat(folder).isDirectoryNotContaining("glob:**.part");
  }

  @Test
  void aWrittenFileCanBeReadByWhomeverOtherNewFilesCan() throws IOException {
    ProjectFile.write(new RandomProjects(7).project(), file);
    Path ordinary = Files.writeString(folder.resolve("ordinary.txt"), "x");
    if (Files.getFileStore(folder).supportsFileAttributeView("posix")) {
      assertThat(Files.getPosixFilePermissions(file))
          .isEqualTo(Files.getPosixFilePermissions(ordinary));
    }
  }

  // --- damaged and foreign files
  // ---------------------------------------------------------------------------------------

  @Test
  void aMissingFileAFolderAnEmptyAndAForeignFileAreTold() throws IOException {
    assertRefused("hour.dmorph: there is no such file");
    assertThatThrownBy(() -> ProjectFile.read(folder)).hasMessageContaining("this is a folder");
    Files.write(file, new byte[0]);
    assertRefused("hour.dmorph: the file is empty");
    Files.writeString(file, "%PDF-1.7 and so on");
    assertRefused("hour.dmorph: this is not a Dynamorph project");
    writeZip(Map.of("mimetype", "something else"));
    assertRefused("hour.dmorph: this is not a Dynamorph project: dynamorph.json is missing");
  }

  @Test
  void aTruncatedFileIsToldWhereverItEnds() throws IOException {
    ProjectFile.write(new RandomProjects(7).project(), file);
    byte[] whole = Files.readAllBytes(file);
    for (int length : new int[] {2, 30, whole.length / 2, whole.length - 1}) {
      Files.write(file, java.util.Arrays.copyOf(whole, length));
      assertRefused("hour.dmorph: the file is damaged or cut short");
    }
  }

  @Test
  void damagedBytesInsideAreNamedByTheirDocument() throws IOException {
    ProjectFile.write(new RandomProjects(7).project(), file);
    byte[] bytes = Files.readAllBytes(file);
    for (int at = 40; at < 400; at++) {
      bytes[at] ^= 0x55;
    }
    Files.write(file, bytes);
    assertThatThrownBy(() -> ProjectFile.read(file))
        .isInstanceOf(ProjectReadException.class)
        .hasMessageStartingWith("hour.dmorph: ");
  }

  @ParameterizedTest
  @CsvSource(
      delimiter = '|',
      value = {
        "dynamorph.json | \"version\" : 1 | \"version\" : 9 | hour.dmorph: dynamorph.json /version: this file has version 9",
        "dynamorph.json | dynamorph-project | other | hour.dmorph: dynamorph.json /format: expected \"dynamorph-project\"",
        "styles.json | \"size\" : \"20 pt\" | \"size\" : true | styles.json /styles/0/properties/size: expected a size such as",
        "styles.json | \"size\" : \"20 pt\" | \"size\" : \"big\" | styles.json /styles/0/properties/size: \"big\" is not a number",
        "styles.json | \"size\" | \"sise\" | unknown property \"sise\"; did you mean \"size\"?",
        "styles.json | \"level\" : \"text\" | \"level\" : \"page\" | styles.json /styles/0/level: expected one of text",
        "styles.json | \"name\" : \"Label\" | \"name\" : 7 | styles.json /styles/0/name: expected text, found the number 7",
        "styles.json | \"name\" : \"Label\" | \"title\" : \"Label\" | styles.json /styles/0: unknown field \"title\"",
        "styles.json | \"basedOn\" : \"label\" | \"basedOn\" : \"loan\" | styles are based on each other in a circle",
        "styles.json | \"basedOn\" : \"label\" | \"basedOn\" : \"gone\" | which is not there",
        "styles.json | swatch:copper | swatch:gold | there is no swatch with the id \"gold\"",
        "styles.json | { | [ | styles.json line 2",
        "project.json | #a9522b | copper | project.json /palette/0/colour: \"copper\" is not a colour",
        "project.json | \"palette\" : [ | \"palette\" : [ 3, | project.json /palette/0: expected an object, found the number 3",
        "project.json | \"group\" : \"style\" | \"group\" : \"page\" | project.json /sheetViews/0/group: expected one of style, artboard",
        "project.json | \"font-family\" | \"sise\" | project.json /sheetViews/0/columns/3: unknown property \"sise\"",
        "project.json | \"pictureWidth\" : 96 | \"pictureWidth\" : 9600 | project.json /sheetViews/0: pictures 9600 wide: expected a number from 64 to 360",
        "artboards/a.json | \"width\" : 300.0 | \"width\" : -3 | artboards/a.json: an artboard is between 1 pt and 10 m",
        "artboards/a.json | \"width\" : 300.0 | \"width\" : null | artboards/a.json /width: expected a number, found null",
        "artboards/a.json | \"unit\" : \"pt\" | \"unit\" : \"ell\" | artboards/a.json /unit: expected one of pt, mm, in, px",
        "artboards/a.json | [ \"loan\" ] | [ \"gone\" ] | artboards/a.json /layers/0/follows/0: there is no style with the id \"gone\"",
        "artboards/a.json | \"tracking\" : 10.0 | \"tracking\" : 1e999 | /layers/0/local/tracking",
        "artboards/a.json | \"id\" : \"t2\" | \"id\" : \"t1\" | two layers have the id \"t1\"",
        "artboards/a.json | \"position-x\" | \"tracking\" | the frame of a layer holds placement only"
      })
  void whatIsWrongIsToldWithItsPlace(String entry, String from, String to, String message)
      throws IOException {
    Map<String, String> documents = documents();
    assertThat(documents.get(entry.strip()))
        .as("the document that is spoiled")
        .contains(from.strip());
    documents.computeIfPresent(
        entry.strip(),
        (_, text) ->
            text.replaceFirst(
                java.util.regex.Pattern.quote(from.strip()),
                java.util.regex.Matcher.quoteReplacement(to.strip())));
    writeZip(documents);
    assertThatThrownBy(() -> ProjectFile.read(file))
        .isInstanceOf(ProjectReadException.class)
        .hasMessageContaining(message.strip())
        .message()
        .startsWith("hour.dmorph: ")
        .hasLineCount(1);
  }

  /** A newer version's data survive an older program. */
  @Test
  void whatIsNotKnownInAFileIsKept() throws IOException {
    Path copy = folder.resolve("copy.dmorph");
    Map<String, String> documents = documents();
    documents.put("reviews/notes.txt", "Keep me");
    documents.put("../../escaped.txt", "Nobody means this well");
    documents.put("artboards/gone.json", "{}");
    writeZip(documents);
    Project read = ProjectFile.read(file);
    ProjectFile.write(read, copy, Optional.of(file));
    ProjectFile.write(read, file, Optional.of(file));
    for (Path written : List.of(file, copy)) {
      try (ZipFile zip = new ZipFile(written.toFile())) {
        assertThat(zip.getInputStream(zip.getEntry("reviews/notes.txt"))).hasContent("Keep me");
        assertThat(zip.stream().map(ZipEntry::getName))
            .doesNotContain("../../escaped.txt", "artboards/gone.json");
      }
      assertThat(ProjectFile.read(written)).isEqualTo(read);
    }
    ProjectFile.write(read, copy, Optional.of(folder.resolve("nowhere.dmorph")));
    assertThat(ProjectFile.read(copy)).isEqualTo(read);
  }

  @Test
  void aMissingDocumentAndAnEmptyFontAreNamed() throws IOException {
    Map<String, String> documents = documents();
    documents.remove("artboards/a.json");
    writeZip(documents);
    assertRefused("hour.dmorph: artboards/a.json: the document is missing");
    documents = documents();
    documents.put("assets/fonts/Bell.ttf", "");
    writeZip(documents);
    assertRefused("hour.dmorph: assets/fonts/Bell.ttf: the font is empty (0 bytes)");
  }

  private void assertRefused(String message) {
    assertThatThrownBy(() -> ProjectFile.read(file))
        .isInstanceOf(ProjectReadException.class)
        .hasMessage(message);
  }

  /** The documents of a small sound project, as text. */
  private Map<String, String> documents() throws IOException {
    ProjectFile.write(SmallProject.project(), file);
    Map<String, String> documents = new LinkedHashMap<>();
    try (ZipFile zip = new ZipFile(file.toFile())) {
      zip.stream()
          .forEach(entry -> {
            try {
              documents.put(
                  entry.getName(),
                  new String(zip.getInputStream(entry).readAllBytes(), StandardCharsets.UTF_8));
            } catch (IOException broken) {
              throw new UncheckedIOException(broken);
            }
          });
    }
    return documents;
  }

  private void writeZip(Map<String, String> documents) throws IOException {
    try (ZipOutputStream zip = new ZipOutputStream(Files.newOutputStream(file))) {
      for (Map.Entry<String, String> document : documents.entrySet()) {
        zip.putNextEntry(new ZipEntry(document.getKey()));
        zip.write(document.getValue().getBytes(StandardCharsets.UTF_8));
        zip.closeEntry();
      }
    }
  }

  @Test
  void everyPropertyOfTheRegistryCanBeFiled() throws IOException {
    PropertySet seen = PropertySet.EMPTY;
    for (long seed = 1; seed < 40; seed++) {
      seen =
          seen.overlaidBy(
              new RandomProjects(seed).values(60, dynamorph.model.property.Level.LAYER));
    }
    assertThat(seen.keys().stream().<Object>map(PropertyKey::property).distinct())
        .containsAll(dynamorph.model.property.Properties.all());
    Project project = SmallProject.project();
    PropertySet all =
        seen.where(key -> key.property().facet() != dynamorph.model.property.Facet.PLACEMENT);
    Project filled = project.mapLayers(layer -> layer.withLocal(withoutSwatches(all)));
    ProjectFile.write(filled, file);
    assertThat(ProjectFile.read(file)).isEqualTo(filled);
  }

  private static PropertySet withoutSwatches(PropertySet set) {
    return set.where(key -> !String.valueOf(set.get(key).orElseThrow()).startsWith("swatch:"));
  }
}
