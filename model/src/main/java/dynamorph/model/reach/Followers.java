package dynamorph.model.reach;

import dynamorph.model.Layer;
import dynamorph.model.LayerId;
import dynamorph.model.Project;
import dynamorph.model.style.Style;
import dynamorph.model.style.StyleId;
import dynamorph.model.text.Paragraph;
import dynamorph.model.text.Span;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;

/** Who follows which style, counted once for a whole project. */
public final class Followers {
  /** The following of one layer. */
  public record Follower(Layer layer, int localChanges) {}

  private final Map<StyleId, List<Follower>> direct = new HashMap<>();
  private final List<Follower> all = new ArrayList<>();
  private final Project project;

  private Followers(Project project) {
    this.project = project;
    project
        .layers()
        .forEach(layer -> {
          Follower follower = new Follower(layer, LocalChanges.count(layer));
          all.add(follower);
          followed(layer)
              .forEach(id -> direct.computeIfAbsent(id, _ -> new ArrayList<>()).add(follower));
        });
  }

  public static Followers of(Project project) {
    return new Followers(project);
  }

  /** The styles that anything in the layer follows itself. */
  public static Set<StyleId> followed(Layer layer) {
    Set<StyleId> followed = new HashSet<>(layer.follows());
    for (Paragraph paragraph : layer.story().paragraphs()) {
      paragraph.follows().ifPresent(followed::add);
      for (Span span : paragraph.spans()) {
        followed.addAll(span.follows());
      }
    }
    return followed;
  }

  /** The layers that follow the style itself. */
  public List<Follower> direct(StyleId style) {
    return direct.getOrDefault(style, List.of());
  }

  /**
   * The layers that follow the style or one based on it, in project order; all of them for the base
   * style.
   */
  public List<Follower> of(StyleId style) {
    Set<StyleId> family = project.styles().family(style);
    if (project.baseStyle().filter(family::contains).isPresent()) {
      return all;
    }
    Set<LayerId> ids = new HashSet<>();
    family.forEach(id -> direct(id).forEach(follower -> ids.add(follower.layer().id())));
    return all.stream().filter(follower -> ids.contains(follower.layer().id())).toList();
  }

  /** The styles that nothing follows and nothing is based on. */
  public List<Style> unused() {
    return project.styles().stream()
        .filter(style -> of(style.id()).isEmpty())
        .filter(style -> project.styles().derivedFrom(style.id()).findAny().isEmpty())
        .toList();
  }
}
