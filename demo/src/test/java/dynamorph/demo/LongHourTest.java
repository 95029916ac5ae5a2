package dynamorph.demo;

import static org.assertj.core.api.Assertions.assertThat;

import dynamorph.formats.project.ProjectFile;
import dynamorph.model.Artboard;
import dynamorph.model.Layer;
import dynamorph.model.Project;
import dynamorph.model.reach.Followers;
import dynamorph.model.reach.LocalChanges;
import dynamorph.model.style.Style;
import dynamorph.model.style.StyleLevel;
import dynamorph.model.timeline.Timeline;
import dynamorph.model.timeline.Track;
import dynamorph.paint.layer.LayerPainter;
import dynamorph.paint.scene.Scene;
import dynamorph.paint.scene.SceneMaker;
import dynamorph.typeset.font.FontLibrary;
import dynamorph.typeset.layout.Typesetter;
import java.io.IOException;
import java.nio.file.Path;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

class LongHourTest {
  private final Project project = LongHour.project();

  @Test
  void itHasTheArtboardsAndStylesOfTheExhibition() {
    assertThat(project.artboards())
        .extracting(board -> board.name())
        .containsExactly(
            "Entrance panel",
            "Text panel 2",
            "Label 3",
            "Label 5",
            "Label 6",
            "Text panel 3",
            "Languages",
            "Web square",
            "Banner",
            "Label 7",
            "Label 8",
            "Label 9",
            "Label 10",
            "Ticket",
            "Eight Days to Wind");
    assertThat(project.artboards().getFirst().sizeText()).isEqualTo("900 \u00d7 600 mm");
    assertThat(project.styles().size()).isGreaterThanOrEqualTo(8);
    assertThat(project.styles().stream().filter(style -> style.basedOn().isPresent()))
        .hasSizeGreaterThanOrEqualTo(2);
    assertThat(project.styles().stream().map(Style::level)).contains(StyleLevel.values());
    assertThat(project.styles().stream().map(Style::group).distinct())
        .hasSizeGreaterThanOrEqualTo(3);
  }

  @Test
  void someFollowersDeviateAndOneLabelFollowsNothing() {
    assertThat(
            project
                .layers()
                .filter(
                    layer -> !Followers.followed(layer).isEmpty() && LocalChanges.count(layer) > 0))
        .hasSizeGreaterThanOrEqualTo(3);
    assertThat(
            project
                .layers()
                .filter(layer -> !layer.isFurtherBox())
                .filter(layer ->
                    Followers.followed(layer).isEmpty() && project.captionsOf(layer).isEmpty()))
        .extracting(Layer::name)
        .containsExactly("Title", "Text");
    assertThat(Followers.of(project).unused()).isEmpty();
  }

  @Test
  void itIsSetWithShippedFontsAndNothingIsOverset() {
    try (FontLibrary fonts = FontLibrary.shipped()) {
      Scene scene = new SceneMaker(new Typesetter(fonts), new LayerPainter()).make(project);
      for (Scene.Board board : scene.boards()) {
        board
            .texts()
            .forEach(text -> {
              String where = board.artboard().name() + ", " + text.layer().name();
              assertThat(text.layout().missingFamilies()).as(where).isEmpty();
              assertThat(text.layout().missingGlyphs()).as(where).isEmpty();
              assertThat(text.layout().overset()).as(where).isEmpty();
              assertThat(text.bounds().x()).as(where).isGreaterThanOrEqualTo(0);
              assertThat(text.bounds().right())
                  .as(where)
                  .isLessThanOrEqualTo(board.artboard().width());
              assertThat(text.bounds().bottom())
                  .as(where)
                  .isLessThanOrEqualTo(board.artboard().height());
            });
      }
    }
  }

  @Test
  void everyCallGivesAnEqualProjectAndItCanBeFiled(@TempDir Path folder) throws IOException {
    assertThat(LongHour.project()).isEqualTo(project);
    Path file = folder.resolve("hour.dmorph");
    ProjectFile.write(project, file);
    assertThat(ProjectFile.read(file)).isEqualTo(project);
  }

  @Test
  void theFilmHasTitlesAndCaptionsInThreeLanguages() {
    Artboard film = project.films().findFirst().orElseThrow();
    Timeline line = film.timeline().orElseThrow();
    assertThat(line.frames()).isEqualTo(1800);
    assertThat(line.captions().map(Track.Captions::language)).containsExactly("en-GB", "ar", "ja");
    assertThat(line.captions().allMatch(track -> film.on(track.id()).size() >= 10)).isTrue();
    assertThat(film.layers().stream().filter(layer -> layer.id().value().startsWith("name-")))
        .hasSize(6);
  }
}
