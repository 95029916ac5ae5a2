package dynamorph.model.reach;

import dynamorph.model.Layer;
import dynamorph.model.property.Address;
import dynamorph.model.property.Level;
import dynamorph.model.property.PropertyKey;
import dynamorph.model.property.PropertySet;
import dynamorph.model.text.Paragraph;
import dynamorph.model.text.Span;
import java.util.ArrayList;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Set;
import java.util.function.Predicate;

/** What was set by hand on a layer. */
public final class LocalChanges {
  private LocalChanges() {}

  /**
   * One value set by hand.
   *
   * @param paragraph index, or -1 for the layer itself
   * @param span index within the paragraph, or -1
   */
  public record Change(Level level, int paragraph, int span, PropertyKey<?> key) {}

  /** All changes, widest first. A coat or effect put in by hand is one change, whatever it sets. */
  public static List<Change> of(Layer layer) {
    List<Change> changes = new ArrayList<>();
    collect(changes, layer.local(), Level.LAYER, -1, -1);
    for (int p = 0; p < layer.story().paragraphs().size(); p++) {
      Paragraph paragraph = layer.story().paragraphs().get(p);
      collect(changes, paragraph.local(), Level.PARAGRAPH, p, -1);
      for (int s = 0; s < paragraph.spans().size(); s++) {
        Span span = paragraph.spans().get(s);
        collect(changes, span.local(), Level.SPAN, p, s);
      }
    }
    return changes;
  }

  /** How many there are; most layers have none. */
  public static int count(Layer layer) {
    PropertySet local = layer.local();
    return local.size() < 2 && !layer.story().deviatesInside() ? local.size() : of(layer).size();
  }

  /** Whether there is any. */
  public static boolean isAny(Layer layer) {
    return any(layer, _ -> true);
  }

  /**
   * How many a part of a text has by itself, without those of the text around it.
   *
   * @param part the text with only the words of the part
   * @param paragraphs whether the part is whole paragraphs; else their own changes do not count
   */
  public static int countInside(Layer part, boolean paragraphs) {
    return (int)
        of(part).stream()
            .filter(change ->
                change.level() == Level.SPAN || paragraphs && change.level() == Level.PARAGRAPH)
            .count();
  }

  /** Whether any value of these is set by hand anywhere in the layer. */
  public static boolean any(Layer layer, Predicate<PropertyKey<?>> wanted) {
    if (any(layer.local(), wanted)) {
      return true;
    }
    if (!layer.story().deviatesInside()) {
      return false;
    }
    for (Paragraph paragraph : layer.story().paragraphs()) {
      if (any(paragraph.local(), wanted)) {
        return true;
      }
      for (Span span : paragraph.spans()) {
        if (any(span.local(), wanted)) {
          return true;
        }
      }
    }
    return false;
  }

  private static boolean any(PropertySet local, Predicate<PropertyKey<?>> wanted) {
    if (!local.isEmpty()) {
      for (PropertyKey<?> key : local.keys()) {
        if (wanted.test(key)) {
          return true;
        }
      }
    }
    return false;
  }

  private static void collect(
      List<Change> changes, PropertySet local, Level level, int paragraph, int span) {
    Set<Address> inserted = new LinkedHashSet<>();
    for (PropertyKey<?> key : local.keys()) {
      if (key.isKind()) {
        inserted.add(key.address());
      }
    }
    for (PropertyKey<?> key : local.keys()) {
      boolean withItsCoat = inserted.contains(key.address()) && !key.isKind();
      boolean effectOfInserted =
          !key.address().effect().isEmpty() && inserted.contains(key.address().ownCoat());
      if (!withItsCoat && !effectOfInserted) {
        changes.add(new Change(level, paragraph, span, key));
      }
    }
  }
}
