package dynamorph.model.edit.style;

import static java.util.Objects.requireNonNull;

import dynamorph.model.Layer;
import dynamorph.model.LayerId;
import dynamorph.model.Project;
import dynamorph.model.cascade.Cascade;
import dynamorph.model.edit.Edit;
import dynamorph.model.edit.EditRefused;
import dynamorph.model.edit.KeptLook;
import dynamorph.model.edit.Target;
import dynamorph.model.edit.Tidy;
import dynamorph.model.edit.layer.DropLocal;
import dynamorph.model.message.Messages;
import dynamorph.model.property.Facet;
import dynamorph.model.reach.Followers;
import dynamorph.model.style.Style;
import dynamorph.model.style.StyleId;
import dynamorph.model.text.TextRange;
import java.util.ArrayList;
import java.util.EnumSet;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;

/**
 * Lets the target follow a style. A paragraph style on whole layers goes to all their paragraphs, a
 * character style to all their spans; a text style on words is refused.
 *
 * @param options what is left alone, and whether it goes on top
 */
public record Follow(Target target, StyleId style, ApplyOptions options) implements Edit {
  public static Follow replacing(Target target, StyleId style) {
    return new Follow(target, style, ApplyOptions.PLAIN);
  }

  public static Follow onTop(Target target, StyleId style) {
    return new Follow(target, style, ApplyOptions.PLAIN.onTop(true));
  }

  public Follow droppingLocal() {
    return new Follow(target, style, options.droppingLocal());
  }

  @Override
  public Project applyTo(Project before) {
    if (target instanceof Target.Passages several) {
      return several.each(before, passage -> new Follow(passage, style, options));
    }
    Style followed =
        before
            .styles()
            .find(style)
            .orElseThrow(() -> new EditRefused(Messages.of("common.the-style-is-no-longer-in")));
    Project dropped =
        options.keepsAllLocal()
            ? before
            : DropLocal.in(target, EnumSet.complementOf(facetsKept())).applyTo(before);
    Project changed = dropped.mapLayers(target.layers(), layer -> unmuted(follow(layer, followed)));
    return Tidy.layers(
        options.leaves().isEmpty() ? changed : leftAlone(before, changed), target.layers());
  }

  private EnumSet<Facet> facetsKept() {
    EnumSet<Facet> kept = EnumSet.noneOf(Facet.class);
    kept.addAll(options.keepsLocal());
    return kept;
  }

  private Project leftAlone(Project before, Project changed) {
    Cascade cascade = Cascade.of(before);
    KeptLook look = new KeptLook(cascade, cascade.follow(changed), options::leavesAlone);
    Map<LayerId, Layer> were = before.layersOf(target.layers());
    return changed.mapLayers(
        target.layers(), layer -> look.of(requireNonNull(were.get(layer.id())), layer));
  }

  private Layer follow(Layer layer, Style followed) {
    TextRange range =
        switch (target) {
          case Target.Layers _ -> layer.story().all();
          case Target.Words words -> words.range();
          case Target.Passages _ -> throw new IllegalStateException("passages follow one by one");
        };
    return switch (followed.level()) {
      case TEXT -> {
        if (target instanceof Target.Words) {
          throw new EditRefused(Messages.of("follow.is-a-text-style-and-goes", followed.name()));
        }
        yield layer.withFollows(added(layer.follows()));
      }
      case PARAGRAPH ->
          layer.withStory(
              layer
                  .story()
                  .mapParagraphs(range, paragraph -> paragraph.withFollows(Optional.of(style))));
      case CHARACTER ->
          layer.withStory(
              layer.story().mapSpans(range, span -> span.withFollows(added(span.follows()))));
    };
  }

  /** What is put on counts; what is followed no more is not remembered as muted. */
  private Layer unmuted(Layer layer) {
    if (layer.muted().isEmpty()) {
      return layer;
    }
    Set<StyleId> muted = new HashSet<>(layer.muted());
    muted.retainAll(Followers.followed(layer));
    muted.remove(style);
    return layer.withMuted(muted);
  }

  private List<StyleId> added(List<StyleId> follows) {
    if (!options.onTop()) {
      return List.of(style);
    }
    List<StyleId> stacked = new ArrayList<>(follows);
    stacked.remove(style);
    stacked.add(style);
    return stacked;
  }

  @Override
  public String label(Project before) {
    String name = before.styles().find(style).map(Style::name).orElse("style");
    String verb = options.onTop() ? Messages.of("follow.add") : Messages.of("follow.follow");
    return Messages.of("follow.on", verb, name, target.label());
  }
}
