package dynamorph.model.edit.style;

import dynamorph.model.Layer;
import dynamorph.model.Project;
import dynamorph.model.cascade.Cascade;
import dynamorph.model.property.PropertySet;
import dynamorph.model.style.StyleId;
import dynamorph.model.text.Paragraph;
import dynamorph.model.text.Span;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;

/**
 * The look of one place in a text, taken to be put on others.
 *
 * @param from what people call the text it was taken from
 * @param layerFollows the text styles followed there
 * @param paragraphFollows the paragraph style followed there
 * @param spanFollows the character styles followed there
 * @param values everything as it comes to there, complete; with the placement of the layer
 */
public record Sample(
    String from,
    List<StyleId> layerFollows,
    Optional<StyleId> paragraphFollows,
    List<StyleId> spanFollows,
    PropertySet values) {
  public Sample {
    layerFollows = List.copyOf(layerFollows);
    spanFollows = List.copyOf(spanFollows);
  }

  /** The look of a layer at one of its letters; an offset of 0 is its first. */
  public static Sample of(Project project, Layer plain, int offset) {
    Cascade cascade = Cascade.of(project);
    Layer layer = cascade.dressed(plain);
    int index = layer.story().paragraphAt(offset);
    Paragraph paragraph = layer.story().paragraphs().get(index);
    Span span = layer.story().spanAt(Math.max(offset, layer.story().startOf(index) + 1));
    String board =
        project.artboardOf(layer.id()).map(artboard -> artboard.name() + " \u00B7 ").orElse("");
    return new Sample(
        board + layer.name(),
        layer.counting(project.taken(layer)),
        paragraph.follows().filter(style -> !layer.muted().contains(style)),
        layer.counting(span.follows()),
        cascade.valuesWithPlacement(layer, paragraph, span));
  }

  /** The styles followed there, widest first. */
  public List<StyleId> followed() {
    List<StyleId> followed = new ArrayList<>(layerFollows);
    paragraphFollows.ifPresent(followed::add);
    followed.addAll(spanFollows);
    return followed;
  }
}
