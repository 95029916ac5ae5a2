package dynamorph.model.edit.layer;

import dynamorph.model.Layer;
import dynamorph.model.Project;
import dynamorph.model.cascade.Cascade;
import dynamorph.model.cascade.Source;
import dynamorph.model.edit.Edit;
import dynamorph.model.edit.KeptLook;
import dynamorph.model.edit.Target;
import dynamorph.model.edit.Tidy;
import dynamorph.model.message.Messages;
import dynamorph.model.property.Facet;
import dynamorph.model.property.Level;
import dynamorph.model.property.Properties;
import dynamorph.model.property.PropertyKey;
import dynamorph.model.property.PropertySet;
import dynamorph.model.text.Paragraph;
import dynamorph.model.text.Span;
import dynamorph.model.text.TextRange;
import java.util.List;
import java.util.Map;

/**
 * Sets values by hand, so that they count on all of the target.
 *
 * <p>On whole layers a value is set on the layer, and once more on each paragraph or span in it
 * where something nearer would otherwise win. On words it is set at the narrowest level its
 * property allows. Placement that no style decides changes the layer's own frame and is no local
 * change.
 */
public record SetValues(Target target, PropertySet values, String what) implements Edit {
  public static SetValues of(Target target, PropertySet values) {
    String what =
        values.size() == 1
            ? values.keys().getFirst().property().label().toLowerCase(java.util.Locale.ROOT)
            : Messages.of("set-values.properties", values.size());
    return new SetValues(target, values, what);
  }

  public static <T> SetValues of(Target target, PropertyKey<T> key, T value) {
    return of(target, PropertySet.EMPTY.with(key, value));
  }

  @Override
  public Project applyTo(Project before) {
    if (target instanceof Target.Passages several) {
      return several.each(before, passage -> of(passage, values));
    }
    Cascade cascade = Cascade.of(before);
    Project changed =
        before.mapLayers(
            target.layers(),
            layer -> {
              Layer after = layer;
              for (PropertyKey<?> key : values.keys()) {
                after = set(cascade, after, key);
              }
              return after;
            });
    return Tidy.layers(changed, target.layers());
  }

  private Layer set(Cascade cascade, Layer layer, PropertyKey<?> key) {
    return switch (target) {
      case Target.Layers _ -> onLayer(cascade, layer, key);
      case Target.Words(var _, TextRange range) -> onWords(cascade, layer, key, range);
      case Target.Passages _ -> throw new IllegalStateException("passages are set one by one");
    };
  }

  private Layer onWords(Cascade cascade, Layer layer, PropertyKey<?> key, TextRange range) {
    if (key.countsOn(Level.SPAN) && !range.isEmpty()) {
      return layer.withStory(layer.story().mapSpans(range, span -> onSpan(span, key)));
    }
    if (key.countsOn(Level.PARAGRAPH)) {
      return layer.withStory(
          layer.story().mapParagraphs(range, p -> onParagraph(cascade, layer, p, key)));
    }
    return onLayer(cascade, layer, key);
  }

  private Layer onLayer(Cascade cascade, Layer layer, PropertyKey<?> key) {
    if (key.property().facet() == Facet.PLACEMENT && isOwnFrame(cascade, layer, key)) {
      return layer.withFrame(layer.frame().withFrom(values, key));
    }
    Layer changed = layer.withLocal(layer.local().withFrom(values, key));
    if (!key.countsOn(Level.PARAGRAPH)) {
      return changed;
    }
    return changed.withStory(
        changed
            .story()
            .mapParagraphs(paragraph -> {
              boolean nearer =
                  cascade.trace(layer, paragraph, key).winner().source().level() == Level.PARAGRAPH;
              return nearer
                  ? onParagraph(cascade, layer, paragraph, key)
                  : onSpans(cascade, layer, paragraph, key);
            }));
  }

  private Paragraph onParagraph(
      Cascade cascade, Layer layer, Paragraph paragraph, PropertyKey<?> key) {
    Paragraph changed = paragraph.withLocal(paragraph.local().withFrom(values, key));
    return onSpans(cascade, layer, changed, key);
  }

  private Paragraph onSpans(Cascade cascade, Layer layer, Paragraph paragraph, PropertyKey<?> key) {
    // words in a nested style have something nearer, too
    Paragraph dressed = cascade.dressed(layer, paragraph);
    return paragraph.withSpans(
        KeptLook.pieces(dressed, paragraph).stream()
            .map(piece ->
                cascade.trace(layer, paragraph, piece.was(), key).winner().source().level()
                        == Level.SPAN
                    ? onSpan(piece.now(), key)
                    : piece.now())
            .toList());
  }

  /** Points move what a style places by shares of the frame, so they are a change of that. */
  private static final Map<PropertyKey<?>, List<PropertyKey<?>>> PLACED_BY =
      Map.of(
          Properties.POSITION_X.key(),
              List.of(Properties.SHARE_X.key(), Properties.RELATIVE_TO.key()),
          Properties.POSITION_Y.key(),
              List.of(Properties.SHARE_Y.key(), Properties.RELATIVE_TO.key()));

  private static boolean isOwnFrame(Cascade cascade, Layer layer, PropertyKey<?> key) {
    return comesFromFrame(cascade, layer, key)
        && PLACED_BY.getOrDefault(key, List.of()).stream()
            .allMatch(other -> comesFromFrame(cascade, layer, other));
  }

  private static boolean comesFromFrame(Cascade cascade, Layer layer, PropertyKey<?> key) {
    Source source = cascade.trace(layer, key).winner().source();
    return !(source instanceof Source.LocalChange
        || source instanceof Source.Followed
        || source instanceof Source.TrackStyle
        || source instanceof Source.TrackChange);
  }

  private Span onSpan(Span span, PropertyKey<?> key) {
    return span.withLocal(span.local().withFrom(values, key));
  }

  @Override
  public String label(Project before) {
    return Messages.of("set-values.set-of", what, target.label());
  }
}
