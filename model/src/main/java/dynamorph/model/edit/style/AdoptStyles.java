package dynamorph.model.edit.style;

import dynamorph.model.Layer;
import dynamorph.model.LayerId;
import dynamorph.model.Project;
import dynamorph.model.cascade.Cascade;
import dynamorph.model.cascade.DominantLook;
import dynamorph.model.edit.Edit;
import dynamorph.model.edit.EditRefused;
import dynamorph.model.edit.LiftedLook;
import dynamorph.model.edit.Target;
import dynamorph.model.edit.Tidy;
import dynamorph.model.message.Messages;
import dynamorph.model.property.PropertyKey;
import dynamorph.model.property.PropertySet;
import dynamorph.model.style.Style;
import dynamorph.model.style.StyleBook;
import dynamorph.model.style.StyleId;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;

/**
 * Puts styles into a project that were hiding in it, and lets the texts follow them that look like
 * them. No text changes its look: in what it deviates it keeps by local changes, except for pieces
 * that are to be snapped to their style.
 *
 * @param adoptions the styles with what is to follow them
 */
public record AdoptStyles(List<Adoption> adoptions) implements Edit {
  public AdoptStyles {
    adoptions = List.copyOf(adoptions);
  }

  /**
   * A style and its followers.
   *
   * @param pieces whole texts, paragraphs or words, as the level of the style says
   * @param snapped those that take on all values of the style
   */
  public record Adoption(Style style, Set<Target.Words> pieces, Set<Target.Words> snapped) {
    public Adoption {
      pieces = Set.copyOf(pieces);
      snapped = Set.copyOf(snapped);
    }
  }

  /** A piece and the style that it is to follow. */
  private record Following(Style style, Target.Words piece, boolean snapped) {}

  @Override
  public Project applyTo(Project before) {
    Project added = before.withStyles(withAdopted(before.styles()));
    Map<LayerId, List<Following>> byLayer = new HashMap<>();
    for (Adoption adoption : adoptions) {
      for (Target.Words piece : adoption.pieces()) {
        byLayer
            .computeIfAbsent(piece.layer(), _ -> new ArrayList<>())
            .add(new Following(adoption.style(), piece, adoption.snapped().contains(piece)));
      }
    }
    Looks looks = new Looks(before, added);
    Project followed =
        added.mapLayers(
            byLayer.keySet(),
            layer -> looks.adopted(layer, byLayer.getOrDefault(layer.id(), List.of())));
    return Tidy.layers(followed, byLayer.keySet());
  }

  private StyleBook withAdopted(StyleBook styles) {
    List<Style> all = new ArrayList<>(styles.list());
    adoptions.forEach(adoption -> all.add(adoption.style()));
    try {
      return StyleBook.of(all);
    } catch (IllegalArgumentException apart) {
      throw new EditRefused(
          Messages.of("adopt-styles.do-not-go-together", String.valueOf(apart.getMessage())));
    }
  }

  /** Follows styles without changing a look. */
  private static final class Looks {
    private final StyleBook styles;
    private final Cascade before;
    private final LiftedLook kept;

    Looks(Project was, Project now) {
      this.styles = now.styles();
      this.before = Cascade.of(was);
      this.kept = new LiftedLook(before, Cascade.of(now));
    }

    Layer adopted(Layer was, List<Following> followings) {
      Layer follows = was;
      for (Following following : followings) {
        follows = follow(follows, following);
      }
      Layer looks = kept.of(was, follows);
      Layer snapped = looks;
      for (Following following : followings) {
        snapped = following.snapped() ? snap(was, snapped, following) : snapped;
      }
      return snapped;
    }

    private static Layer follow(Layer layer, Following following) {
      StyleId id = following.style().id();
      return switch (following.style().level()) {
        case TEXT ->
            layer.withFollows(
                following
                    .style()
                    .basedOn()
                    .filter(layer.follows()::contains)
                    .map(base -> replaced(layer.follows(), base, id))
                    .orElseGet(() -> with(layer.follows(), id)));
        case PARAGRAPH ->
            layer.withStory(
                layer
                    .story()
                    .mapParagraphs(
                        following.piece().range().within(layer.story().all()),
                        paragraph -> paragraph.withFollows(Optional.of(id))));
        case CHARACTER ->
            layer.withStory(
                layer
                    .story()
                    .mapSpans(
                        following.piece().range().within(layer.story().all()),
                        span -> span.withFollows(with(span.follows(), id))));
      };
    }

    private static List<StyleId> with(List<StyleId> follows, StyleId id) {
      List<StyleId> changed = new ArrayList<>(follows);
      changed.add(id);
      return changed;
    }

    private static List<StyleId> replaced(List<StyleId> follows, StyleId base, StyleId id) {
      return follows.stream().map(one -> one.equals(base) ? id : one).toList();
    }

    /** Takes away what a piece has instead of the values of its style. */
    private Layer snap(Layer was, Layer layer, Following following) {
      Set<PropertyKey<?>> keys = new HashSet<>();
      styles.chain(following.style().id()).forEach(style -> keys.addAll(style.properties().keys()));
      PropertySet dominant = DominantLook.of(before, was);
      return switch (following.style().level()) {
        case TEXT ->
            layer
                .withLocal(layer.local().where(key -> !keys.contains(key)))
                .withStory(
                    layer
                        .story()
                        .mapParagraphs(paragraph ->
                            paragraph
                                .withLocal(unlike(paragraph.local(), keys, dominant))
                                .mapSpans(
                                    span -> span.withLocal(unlike(span.local(), keys, dominant)))));
        case PARAGRAPH ->
            layer.withStory(
                layer
                    .story()
                    .mapParagraphs(
                        following.piece().range().within(layer.story().all()),
                        paragraph ->
                            paragraph.withLocal(
                                paragraph.local().where(key -> !keys.contains(key)))));
        case CHARACTER ->
            layer.withStory(
                layer
                    .story()
                    .mapSpans(
                        following.piece().range().within(layer.story().all()),
                        span -> span.withLocal(span.local().where(key -> !keys.contains(key)))));
      };
    }

    /** Without those of some values that are as most of the text has them. */
    private static PropertySet unlike(
        PropertySet local, Set<PropertyKey<?>> keys, PropertySet dominant) {
      return local.where(key -> !keys.contains(key) || !local.get(key).equals(dominant.get(key)));
    }
  }

  @Override
  public String label(Project before) {
    return adoptions.size() == 1
        ? Messages.of("adopt-styles.adopt", adoptions.getFirst().style().name())
        : Messages.of("adopt-styles.adopt-styles", adoptions.size());
  }
}
