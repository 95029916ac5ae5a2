package dynamorph.formats.project;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import dynamorph.model.Layer;
import dynamorph.model.Project;
import dynamorph.model.cascade.Cascade;
import dynamorph.model.edit.film.DetachFromTrack;
import dynamorph.model.random.RandomProjects;
import java.io.IOException;
import java.util.List;
import java.util.Optional;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

class TextFragmentTest {
  @ParameterizedTest
  @ValueSource(longs = {1, 2, 3, 4, 5, 6, 7, 8})
  void textsLookTheSameInAnotherWindow(long seed) throws IOException {
    Project project =
        new RandomProjects(seed)
            .project()
            .withBaseStyle(Optional.empty())
            .mapArtboards(board -> board.withBaseStyle(Optional.empty()));
    List<Layer> texts = project.layers().filter(Layer::isText).toList();
    Project there = TextFragment.read(TextFragment.write(project, texts));
    List<Layer> came = there.layers().toList();
    Cascade before = Cascade.of(project);
    Cascade after = Cascade.of(there);
    for (int index = 0; index < texts.size(); index++) {
      Layer alone = DetachFromTrack.of(project, texts.get(index));
      assertThat(came.get(index).story().text()).isEqualTo(alone.story().text());
      assertThat(after.resolve(came.get(index)).paragraphs())
          .isEqualTo(before.resolve(alone).paragraphs());
    }
  }

  @Test
  void whatIsNoTextsIsRefused() {
    assertThatThrownBy(() -> TextFragment.read(new byte[] {1, 2, 3}))
        .isInstanceOf(IOException.class);
  }
}
