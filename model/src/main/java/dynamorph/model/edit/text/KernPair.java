package dynamorph.model.edit.text;

import dynamorph.model.Layer;
import dynamorph.model.LayerId;
import dynamorph.model.Project;
import dynamorph.model.cascade.Cascade;
import dynamorph.model.edit.Edit;
import dynamorph.model.edit.Target;
import dynamorph.model.edit.layer.SetValues;
import dynamorph.model.message.Messages;
import dynamorph.model.property.Properties;
import dynamorph.model.property.PropertySet;
import dynamorph.model.text.Paragraph;
import dynamorph.model.text.Span;
import dynamorph.model.text.TextRange;
import java.util.Optional;

/**
 * Moves the two letters at an offset towards each other, or apart.
 *
 * @param offset between the letters; nothing happens at the start of a paragraph
 * @param by thousandths of an em, on top of what is set there
 */
public record KernPair(LayerId layer, int offset, double by) implements Edit {
  @Override
  public Project applyTo(Project before) {
    Optional<Layer> found = before.layer(layer);
    if (found.isEmpty()) {
      return before;
    }
    String text = found.get().story().text();
    if (offset < 1 || offset > text.length() || text.charAt(offset - 1) == '\n') {
      return before;
    }
    int letter = offset - Character.charCount(text.codePointBefore(offset));
    PropertySet kerned =
        PropertySet.EMPTY.with(Properties.MANUAL_KERNING, now(before, found.get(), letter) + by);
    Target pair = new Target.Words(layer, new TextRange(letter, offset));
    return SetValues.of(pair, kerned).applyTo(before);
  }

  private static double now(Project project, Layer layer, int letter) {
    int index = layer.story().paragraphAt(letter);
    Paragraph paragraph = layer.story().paragraphs().get(index);
    int end = layer.story().startOf(index);
    for (Span span : paragraph.spans()) {
      end += span.length();
      if (letter < end) {
        return Cascade.of(project)
            .values(layer, paragraph, span)
            .get(Properties.MANUAL_KERNING.key())
            .orElse(0.0);
      }
    }
    return 0;
  }

  @Override
  public String label(Project before) {
    return Messages.of("kern-pair.kern-a-pair");
  }
}
