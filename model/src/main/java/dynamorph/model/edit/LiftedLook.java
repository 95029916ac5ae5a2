package dynamorph.model.edit;

import dynamorph.model.Layer;
import dynamorph.model.cascade.Cascade;
import dynamorph.model.cascade.CharacterLook;
import dynamorph.model.cascade.Coats;
import dynamorph.model.cascade.DominantLook;
import dynamorph.model.cascade.ParagraphLook;
import dynamorph.model.cascade.ResolvedLayer;
import dynamorph.model.property.Address;
import dynamorph.model.property.Level;
import dynamorph.model.property.Properties;
import dynamorph.model.property.PropertyKey;
import dynamorph.model.property.PropertySet;
import dynamorph.model.text.Paragraph;
import dynamorph.model.text.Span;
import dynamorph.model.text.Story;
import dynamorph.model.value.Length;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.function.Predicate;
import org.jspecify.annotations.Nullable;

/**
 * Keeps the look of a layer when what it follows has changed, with local changes as wide as they
 * can stand: what most letters have is set on the whole, however it was set before. Where that
 * cannot be done without another look, local changes stay at the levels where they are.
 */
public final class LiftedLook {
  /** A length that nobody sets, in points. */
  private static final double UNLIKELY = 1234.5;

  private final Cascade before;
  private final Cascade after;
  private final KeptLook kept;

  public LiftedLook(Cascade before, Cascade after) {
    this.before = before;
    this.after = after;
    this.kept = new KeptLook(before, after);
  }

  /**
   * The layer as it is now, with the look it had.
   *
   * @param was the layer under the earlier styles; with the same words as {@code now}
   */
  public Layer of(Layer was, Layer now) {
    Layer lifted = lifted(was, now);
    return isAlike(
            before.dressed(was), before.resolve(was), after.dressed(lifted), after.resolve(lifted))
        ? lifted
        : kept.of(was, now);
  }

  private Layer lifted(Layer was, Layer now) {
    PropertySet own = before.values(was);
    PropertySet wanted = DominantLook.of(before, was).overlaidBy(own.where(key -> !isInner(key)));
    Layer bare = now.withLocal(now.local().where(key -> !isInner(key)));
    Layer layer = bare.withLocal(kept.restored(bare.local(), wanted, after.values(bare)));
    layer =
        layer.withLocal(
            inPoints(
                layer.local(), own, after.values(layer), key -> !isInner(key) && hasPlate(own)));
    List<Paragraph> paragraphs = new ArrayList<>();
    for (int index = 0; index < was.story().paragraphs().size(); index++) {
      paragraphs.add(
          paragraph(
              was,
              layer,
              was.story().paragraphs().get(index),
              now.story().paragraphs().get(index)));
    }
    return layer.withStory(new Story(paragraphs));
  }

  private static boolean hasPlate(PropertySet values) {
    return !Coats.of(values, Address.PLATE).isEmpty();
  }

  /** Whether a value can be set on less than a layer. */
  private static boolean isInner(PropertyKey<?> key) {
    return key.countsOn(Level.PARAGRAPH);
  }

  private Paragraph paragraph(Layer wasLayer, Layer layer, Paragraph was, Paragraph now) {
    Paragraph bare = now.withLocal(PropertySet.EMPTY);
    PropertySet wanted = DominantLook.of(before, wasLayer, was).where(LiftedLook::isInner);
    PropertySet actual = after.values(layer, bare).where(LiftedLook::isInner);
    Paragraph paragraph = bare.withLocal(kept.restored(PropertySet.EMPTY, wanted, actual));
    PropertySet values = after.values(layer, paragraph);
    paragraph =
        paragraph.withLocal(
            inPoints(
                paragraph.local(),
                before.values(wasLayer, was),
                values,
                key -> isInner(key) && !key.countsOn(Level.SPAN) && counts(key, values, was)));
    List<Span> spans = new ArrayList<>();
    for (KeptLook.Piece piece : KeptLook.pieces(was, now)) {
      Span span = piece.now().withLocal(PropertySet.EMPTY);
      PropertySet wants =
          before.values(wasLayer, was, piece.was()).where(key -> key.countsOn(Level.SPAN));
      PropertySet has = after.values(layer, paragraph, span).where(key -> key.countsOn(Level.SPAN));
      spans.add(span.withLocal(kept.restored(PropertySet.EMPTY, wants, has)));
    }
    return paragraph.withSpans(spans);
  }

  /** Whether anything of a paragraph goes by a length; many are for lists and the like. */
  private static boolean counts(PropertyKey<?> key, PropertySet values, Paragraph paragraph) {
    PropertySet without = with(values, key, Length.points(UNLIKELY));
    return !seen(Cascade.paragraphLook(values), paragraph)
        .equals(seen(Cascade.paragraphLook(without), paragraph));
  }

  /** Lengths that go by the size keep what they come to, when the size they go by is another. */
  private static PropertySet inPoints(
      PropertySet local, PropertySet was, PropertySet now, Predicate<PropertyKey<?>> which) {
    double sizeWas = size(was);
    double sizeNow = size(now);
    PropertySet kept = local;
    if (sizeWas != sizeNow) {
      for (PropertyKey<?> key : now.keys()) {
        if (now.get(key).orElseThrow() instanceof Length length
            && length.unit() == Length.Unit.EM
            && length.amount() != 0
            && which.test(key)) {
          kept = with(kept, key, Length.points(length.toPoints(sizeWas)));
        }
      }
    }
    return kept;
  }

  @SuppressWarnings("unchecked") // a length takes the place of a length
  private static <T> PropertySet with(PropertySet local, PropertyKey<T> key, Length length) {
    return local.with(key, (T) length);
  }

  private static double size(PropertySet values) {
    return Coats.value(values, Properties.SIZE.key()).over(0);
  }

  // --- comparing ------------------------------------------------------------------------------

  /** Whether two texts of the same words look the same, however their spans are cut. */
  private static boolean isAlike(
      Layer was, ResolvedLayer wasLook, Layer now, ResolvedLayer nowLook) {
    boolean same =
        wasLook.placement().equals(nowLook.placement())
            && wasLook.plate().equals(nowLook.plate())
            && wasLook.form().equals(nowLook.form());
    for (int p = 0; same && p < was.story().paragraphs().size(); p++) {
      ResolvedLayer.ResolvedParagraph one = wasLook.paragraphs().get(p);
      ResolvedLayer.ResolvedParagraph other = nowLook.paragraphs().get(p);
      Paragraph paragraph = was.story().paragraphs().get(p);
      same =
          seen(one.look(), paragraph).equals(seen(other.look(), paragraph))
              && runs(paragraph, one).equals(runs(now.story().paragraphs().get(p), other));
    }
    return same;
  }

  /** What is seen of the settings of a paragraph. */
  private static ParagraphLook seen(ParagraphLook look, Paragraph paragraph) {
    return look.asSeen(paragraph.text().indexOf('\t') >= 0);
  }

  /** Where in a paragraph which look begins. */
  private static Map<Integer, CharacterLook> runs(
      Paragraph paragraph, ResolvedLayer.ResolvedParagraph resolved) {
    Map<Integer, CharacterLook> runs = new LinkedHashMap<>();
    int at = 0;
    @Nullable CharacterLook last = null;
    for (int index = 0; index < paragraph.spans().size(); index++) {
      CharacterLook look = resolved.spans().get(index);
      if (!look.equals(last)) {
        runs.put(at, look);
      }
      last = look;
      at += paragraph.spans().get(index).length();
    }
    return runs;
  }
}
