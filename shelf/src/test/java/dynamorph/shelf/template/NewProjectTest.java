package dynamorph.shelf.template;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import dynamorph.formats.project.ProjectFile;
import dynamorph.model.Artboard;
import dynamorph.model.LengthUnit;
import dynamorph.model.Project;
import dynamorph.model.cascade.Cascade;
import dynamorph.model.property.Properties;
import dynamorph.model.style.Style;
import dynamorph.model.style.StyleId;
import dynamorph.model.timeline.FrameRate;
import dynamorph.model.timeline.Time;
import dynamorph.model.timeline.Track;
import dynamorph.shelf.Shelf;
import dynamorph.shelf.entry.Kept;
import dynamorph.shelf.starter.StarterKits;
import java.io.IOException;
import java.nio.file.Path;
import java.util.List;
import java.util.Optional;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;

class NewProjectTest {
  @TempDir Path folder;

  static List<ArtboardSize> sizes() {
    return ArtboardSize.ALL;
  }

  /** Every size there is makes a project that a file can hold. */
  @ParameterizedTest
  @MethodSource("sizes")
  void everySizeMakesAProject(ArtboardSize size) throws IOException {
    Project project =
        new NewProject("Wall \u0634", size, Optional.empty(), Optional.empty()).project();
    Path file = folder.resolve("new.dmorph");
    ProjectFile.write(project, file);
    assertThat(ProjectFile.read(file)).isEqualTo(project);
    assertThat(size.turned().turned()).isEqualTo(size);
  }

  @Test
  void paperIsMeasuredInMillimetresAndHasABaseStyleThatSuitsIt() {
    ArtboardSize paper = ArtboardSize.named("a4").orElseThrow();
    assertThat(paper.words()).isEqualTo("210 \u00d7 297 mm");
    Project project = new NewProject("", paper, Optional.empty(), Optional.empty()).project();
    Artboard board = project.artboards().getFirst();
    // 210 mm are 595.28 points (72 to the inch)
    assertThat(board.width()).isCloseTo(595.2756, within(1e-3));
    assertThat(board.unit()).isEqualTo(LengthUnit.MILLIMETRE);
    // a thirtieth of the shorter side
    StyleId base = project.baseStyle().orElseThrow();
    assertThat(
            project
                .styles()
                .get(base)
                .properties()
                .get(Properties.SIZE.key())
                .orElseThrow()
                .over(0))
        .isEqualTo(20);
    assertThat(project.name()).isEqualTo("Untitled");
  }

  @Test
  void aFilmRunsAtItsRateWithATrackForTitlesAndOneForFootage() {
    ArtboardSize frame = ArtboardSize.of(ArtboardSize.Purpose.FILM).findFirst().orElseThrow();
    NewProject.Film film = new NewProject.Film(FrameRate.NTSC, Time.ofMillis(90_000));
    Artboard board =
        new NewProject("Reel", frame, Optional.of(film), Optional.empty())
            .project()
            .films()
            .findFirst()
            .orElseThrow();
    assertThat(board.sizeText()).contains("1920").contains("1080");
    assertThat(board.timeline().orElseThrow().rate()).isEqualTo(FrameRate.NTSC);
    // ninety seconds at 30000/1001 frames a second are 2697.3 frames
    assertThat(board.timeline().orElseThrow().frames()).isBetween(2697L, 2698L);
    assertThat(board.timeline().orElseThrow().tracks())
        .hasExactlyElementsOfTypes(Track.Titles.class, Track.Footage.class);
  }

  @Test
  void aKitComesAlongAndLooksAsItDoesThere() {
    Shelf kit = StarterKits.read("poster");
    Project project =
        new NewProject(
                "",
                ArtboardSize.named("a2").orElseThrow(),
                Optional.empty(),
                Optional.of(kit.bundle(kit.styles().stream().map(Kept::id).toList())))
            .project();
    assertThat(project.styles().size()).isEqualTo(kit.styles().size() + 1);
    assertThat(project.styles().list().getFirst().id())
        .isEqualTo(project.baseStyle().orElseThrow());
    Cascade there = Cascade.of(kit.asProject());
    Cascade here = Cascade.of(project.withBaseStyle(Optional.empty()));
    for (Kept.OfStyle look : kit.styles()) {
      Style taken = project.styles().named(look.name()).orElseThrow();
      Style own = kit.asProject().styles().get(look.style().id());
      assertThat(here.values(taken)).as(look.name()).isEqualTo(there.values(own));
    }
  }

  @Test
  void templatesAreKeptListedAndBroughtBack() throws IOException {
    Templates templates = new Templates(folder.resolve("templates"));
    assertThat(templates.list()).isEmpty();
    Project wall = NewProject.standard().project().withName("Wall: \u201CNorth\u201D / 1");
    Templates.Template first = templates.save(wall, Optional.empty());
    Templates.Template second = templates.save(wall, Optional.empty());
    assertThat(first.read()).isEqualTo(wall);
    assertThat(templates.list())
        .extracting(Templates.Template::name)
        .containsExactly("Wall- \u201CNorth\u201D - 1", "Wall- \u201CNorth\u201D - 1 2");
    Path aside = templates.delete(first);
    assertThat(templates.list()).containsExactly(second);
    assertThat(templates.bringBack(aside)).isEqualTo(first);
    assertThat(templates.list()).hasSize(2);
    assertThat(templates.save(wall.withName(".."), Optional.empty()).name()).isEqualTo("Untitled");
  }
}
