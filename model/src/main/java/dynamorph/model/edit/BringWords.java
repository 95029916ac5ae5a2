package dynamorph.model.edit;

import dynamorph.model.Layer;
import dynamorph.model.LayerId;
import dynamorph.model.Project;
import dynamorph.model.text.Story;
import dynamorph.model.text.TextRange;

/** Puts words of another project into a text; their styles and swatches come with them. */
public record BringWords(BringStyles styles, LayerId layer, TextRange range, Story words)
    implements Edit {
  @Override
  public Project applyTo(Project before) {
    BringStyles.Arrived arrived = styles.arrive(before);
    Story settled = arrived.settled(Layer.of("words", "words", "").withStory(words)).story();
    return new EditText(layer, range, new EditText.Replacement.Styled(settled))
        .applyTo(arrived.project());
  }

  @Override
  public String label(Project before) {
    return "Paste text";
  }
}
