package dynamorph.model.edit;

import dynamorph.model.Layer;
import dynamorph.model.cascade.Cascade;
import dynamorph.model.property.Address;
import dynamorph.model.property.Level;
import dynamorph.model.property.Properties;
import dynamorph.model.property.PropertyKey;
import dynamorph.model.property.PropertySet;
import dynamorph.model.text.Paragraph;
import dynamorph.model.text.Span;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.function.Predicate;

/** Keeps the look of a layer, by local changes, when what it follows has changed. */
public final class KeptLook {
  private final Cascade before;
  private final Cascade after;
  private final Predicate<PropertyKey<?>> kept;

  public KeptLook(Cascade before, Cascade after) {
    this(before, after, _ -> true);
  }

  /**
   * @param kept which values are kept; the others are taken as they are now
   */
  public KeptLook(Cascade before, Cascade after, Predicate<PropertyKey<?>> kept) {
    this.before = before;
    this.after = after;
    this.kept = kept;
  }

  /**
   * The layer as it is now, with the look it had.
   *
   * @param was the layer under the earlier styles; with the same words as {@code now}
   */
  public Layer of(Layer was, Layer now) {
    Layer layer = now.withLocal(restored(now.local(), before.values(was), after.values(now)));
    List<Paragraph> paragraphs = new ArrayList<>();
    for (int index = 0; index < now.story().paragraphs().size(); index++) {
      Paragraph paragraphWas = was.story().paragraphs().get(index);
      Paragraph paragraphNow = layer.story().paragraphs().get(index);
      paragraphs.add(of(was, layer, paragraphWas, paragraphNow));
    }
    return layer.withStory(new dynamorph.model.text.Story(paragraphs));
  }

  private Paragraph of(Layer layerWas, Layer layerNow, Paragraph was, Paragraph now) {
    Paragraph paragraph =
        now.withLocal(
            restored(
                now.local(),
                counting(before.values(layerWas, was), Level.PARAGRAPH),
                counting(after.values(layerNow, now), Level.PARAGRAPH)));
    List<Span> pieces = new ArrayList<>();
    for (Piece piece : pieces(was, now)) {
      pieces.add(
          piece.now.withLocal(
              restored(
                  piece.now.local(),
                  counting(before.values(layerWas, was, piece.was), Level.SPAN),
                  counting(after.values(layerNow, paragraph, piece.now), Level.SPAN))));
    }
    return paragraph.withSpans(pieces);
  }

  /** Where a text stands is nothing that its words could keep. */
  private static PropertySet counting(PropertySet values, Level level) {
    return values.where(key -> key.countsOn(level));
  }

  /** The same words in their span before and in their span now. */
  public record Piece(Span was, Span now) {}

  /** The finest cut of a paragraph in which each piece lies in one span on either side. */
  public static List<Piece> pieces(Paragraph was, Paragraph now) {
    List<Piece> pieces = new ArrayList<>();
    int wasIndex = 0;
    int wasLeft = was.spans().getFirst().length();
    for (Span span : now.spans()) {
      int taken = 0;
      do {
        while (wasLeft == 0 && wasIndex + 1 < was.spans().size()) {
          wasLeft = was.spans().get(++wasIndex).length();
        }
        int length = Math.min(wasLeft, span.length() - taken);
        Span piece = span.withText(span.text().substring(taken, taken + length));
        pieces.add(new Piece(was.spans().get(wasIndex), piece));
        taken += length;
        wasLeft -= length;
      } while (taken < span.length());
    }
    return pieces;
  }

  /**
   * Local changes with which something has complete values that it had.
   *
   * @param local its local changes now
   * @param wanted the values that it had
   * @param actual the values that it has now
   */
  public PropertySet restored(PropertySet local, PropertySet wanted, PropertySet actual) {
    PropertySet restored = local;
    for (PropertyKey<?> key : wanted.keys()) {
      if (kept.test(key)) {
        restored = restored(restored, key, wanted, actual);
      }
    }
    List<PropertyKey<?>> kinds = new ArrayList<>();
    for (PropertyKey<?> key : actual.keys()) {
      if (!wanted.has(key) && kept.test(key) && !isGone(key.address(), wanted, actual)) {
        if (key.isKind()) {
          kinds.add(key);
        } else {
          restored = takenBack(restored, key);
        }
      }
    }
    // last, since a style may say of what comes that it is not removed
    for (PropertyKey<?> kind : kinds) {
      restored = takenBack(restored, kind);
    }
    return restored;
  }

  /** Whether something that was not there before was removed on a level above. */
  private static boolean isGone(Address at, PropertySet wanted, PropertySet actual) {
    if (at.coat().isEmpty()) {
      return false;
    }
    Address coat = at.ownCoat();
    boolean effect = !at.effect().isEmpty();
    return isGone(wanted, Properties.COAT_KIND.at(coat), actual, Properties.COAT_REMOVED.at(coat))
        || effect
            && isGone(
                wanted, Properties.EFFECT_KIND.at(at), actual, Properties.EFFECT_REMOVED.at(at));
  }

  private static boolean isGone(
      PropertySet wanted, PropertyKey<?> kind, PropertySet actual, PropertyKey<Boolean> removed) {
    return !wanted.has(kind) && actual.get(removed).orElse(false);
  }

  /** A colour by a swatch is kept as it was even if the swatch has changed. */
  private <T> PropertySet restored(
      PropertySet local, PropertyKey<T> key, PropertySet wanted, PropertySet actual) {
    T was = wanted.get(key).orElseThrow();
    if (!actual.get(key).equals(Optional.of(was))) {
      return local.with(key, repainted(was) ? Recoloured.literal(was, before::colour) : was);
    }
    return repainted(was) ? local.with(key, Recoloured.literal(was, before::colour)) : local;
  }

  private boolean repainted(Object value) {
    return !Recoloured.literal(value, before::colour)
        .equals(Recoloured.literal(value, after::colour));
  }

  public static <T> PropertySet takenBack(PropertySet local, PropertyKey<T> key) {
    if (key.property().equals(Properties.COAT_KIND)) {
      return local.with(Properties.COAT_REMOVED.at(key.address()), true);
    }
    if (key.property().equals(Properties.EFFECT_KIND)) {
      return local.with(Properties.EFFECT_REMOVED.at(key.address()), true);
    }
    return local.with(key, key.property().defaultValue());
  }
}
