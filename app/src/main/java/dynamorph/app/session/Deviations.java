package dynamorph.app.session;

import dynamorph.app.message.Messages;
import dynamorph.model.Layer;
import dynamorph.model.LayerId;
import dynamorph.model.Project;
import dynamorph.model.edit.Edit;
import dynamorph.model.edit.EditRefused;
import dynamorph.model.edit.Target;
import dynamorph.model.edit.layer.ClearFormatting;
import dynamorph.model.edit.layer.DropLocal;
import dynamorph.model.edit.style.CombineStyles;
import dynamorph.model.edit.style.DeriveFromLocal;
import dynamorph.model.edit.style.SaveIntoStyle;
import dynamorph.model.property.Facet;
import dynamorph.model.property.PropertyKey;
import dynamorph.model.property.PropertySet;
import dynamorph.model.reach.Followers;
import dynamorph.model.reach.Reach;
import dynamorph.model.style.Style;
import dynamorph.model.style.StyleId;
import dynamorph.model.style.StyleLevel;
import java.util.HashSet;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;

/** Settles what was set by hand on top of styles: on the selection, or on all that follow. */
public final class Deviations {
  private final Workspace workspace;

  Deviations(Workspace workspace) {
    this.workspace = workspace;
  }

  private Target target() {
    return workspace.target();
  }

  private Optional<Layer> first() {
    return workspace.texts().stream().findFirst().flatMap(workspace.project()::layer);
  }

  public void drop() {
    workspace.apply(DropLocal.all(target()));
  }

  public void drop(Facet facet) {
    workspace.apply(DropLocal.in(target(), Set.of(facet)));
  }

  /** Drops the local changes of everything that follows what the first selected text follows. */
  public void dropOnAllFollowers() {
    first()
        .map(workspace.project()::taken)
        .filter(taken -> !taken.isEmpty())
        .map(List::getLast)
        .ifPresentOrElse(this::dropOnFollowers, () -> tellNothingIsFollowed());
  }

  /**
   * Drops the local changes of everything that follows a style itself; what goes is shown first.
   */
  public void dropOnFollowers(StyleId style) {
    List<LayerId> deviating =
        Followers.of(workspace.project()).direct(style).stream()
            .filter(follower -> follower.localChanges() > 0)
            .map(follower -> follower.layer().id())
            .toList();
    String name = workspace.project().styles().get(style).name();
    if (deviating.isEmpty()) {
      workspace.tell(
          Notice.info(Messages.of("deviations.nothing-that-follows-has-local-changes", name)));
      return;
    }
    workspace
        .attempts()
        .review(
            new Review(
                Messages.of("deviations.drop-the-local-changes-of-what", name),
                DropLocal.all(new Target.Layers(deviating)),
                Messages.of("deviations.drop-on", deviating.size())));
  }

  private void tellNothingIsFollowed() {
    workspace.tell(Notice.info(Messages.of("deviations.the-text-follows-no-style")));
  }

  /** Saves all local changes of the selection into the styles it follows. */
  public void saveIntoStyle() {
    save(SaveIntoStyle.all(target()));
  }

  /** Saves the local change of one value. */
  public void saveIntoStyle(PropertyKey<?> key) {
    save(new SaveIntoStyle(target(), Optional.of(Set.of(key))));
  }

  private void save(SaveIntoStyle save) {
    List<Style> styles;
    try {
      styles = save.styles(workspace.project());
    } catch (EditRefused refused) {
      workspace.tell(Notice.problem(Messages.reason(refused)));
      return;
    }
    String into =
        styles.stream().map(style -> "\"" + style.name() + "\"").collect(Collectors.joining(", "));
    doOrReview(
        save,
        Messages.of("deviations.save-into", into),
        Messages.of("common.save"),
        Messages.of("deviations.saved-into", into));
  }

  /** Does an edit at once if it changes nothing but the selection; else shows what it reaches. */
  public void doOrReview(Edit edit, String title, String commit, String done) {
    Set<LayerId> others;
    try {
      others = new HashSet<>(Reach.between(workspace.project(), edit.applyTo(workspace.project())));
    } catch (EditRefused refused) {
      workspace.tell(Notice.problem(Messages.reason(refused)));
      return;
    }
    others.removeAll(workspace.texts());
    if (!others.isEmpty()) {
      String texts = Messages.of("count.more-text", others.size());
      workspace
          .attempts()
          .review(new Review(title, edit, Messages.of("deviations.change", commit, texts)));
    } else if (workspace.apply(edit)) {
      workspace.tell(Notice.offering(done, Messages.of("common.undo"), workspace::undo));
    }
  }

  /**
   * Makes a style of what the first selected text changes by hand. Every text that deviates just so
   * from the same style follows it too; with several texts selected, those of them that do.
   */
  public void deriveStyle() {
    Project project = workspace.project();
    PropertySet deviation =
        first().map(layer -> DeriveFromLocal.deviation(project, layer)).orElse(PropertySet.EMPTY);
    if (deviation.isEmpty()) {
      workspace.tell(Notice.problem(Messages.of("deviations.there-is-nothing-here-to-make")));
      return;
    }
    Style base =
        project.styles().get(DeriveFromLocal.base(project, first().orElseThrow()).orElseThrow());
    Set<LayerId> alike =
        DeriveFromLocal.deviatingAlike(project, base.id(), deviation).stream()
            .map(Layer::id)
            .collect(Collectors.toCollection(LinkedHashSet::new));
    if (workspace.texts().size() > 1) {
      alike.retainAll(workspace.texts());
    }
    StyleId id = new StyleId(workspace.ids().next("style"));
    String what =
        deviation.size() == 1
            ? deviation.keys().getFirst().property().label().toLowerCase(java.util.Locale.ROOT)
            : Messages.of("deviations.variant");
    Style derived =
        new Style(
            id,
            workspace.freeName(Messages.of("deviations.own", base.name(), what)),
            base.group(),
            StyleLevel.TEXT,
            Optional.of(base.id()),
            deviation,
            base.sample());
    if (workspace.apply(new DeriveFromLocal(derived, alike))) {
      workspace.pickedStyleProperty().set(Optional.of(id));
      workspace.tell(
          Notice.offering(
              Messages.of("deviations.is-followed-by-text-rename-it", derived.name(), alike.size()),
              Messages.of("common.undo"),
              workspace::undo));
    }
  }

  /** Keeps the styles that the first selected text stacks as one, for all that stack them so. */
  public void combine() {
    Project project = workspace.project();
    List<StyleId> stack = first().map(Layer::follows).orElse(List.of());
    if (stack.size() < 2) {
      workspace.tell(Notice.problem(Messages.of("deviations.the-selected-text-does-not-follow")));
      return;
    }
    Set<LayerId> alike =
        project
            .layers()
            .filter(layer -> layer.follows().equals(stack))
            .map(Layer::id)
            .collect(Collectors.toSet());
    Style top = project.styles().get(stack.getLast());
    String name =
        stack.stream()
            .map(id -> project.styles().get(id).name())
            .collect(Collectors.joining(Messages.of("deviations.with")));
    StyleId id = new StyleId(workspace.ids().next("style"));
    Style one =
        new Style(
            id,
            workspace.freeName(name),
            top.group(),
            StyleLevel.TEXT,
            Optional.empty(),
            CombineStyles.values(project.styles(), stack),
            top.sample());
    if (workspace.apply(new CombineStyles(alike, stack, one))) {
      workspace.pickedStyleProperty().set(Optional.of(id));
      workspace.tell(
          Notice.offering(
              Messages.of(
                  "deviations.stands-for-styles-on-text", one.name(), stack.size(), alike.size()),
              Messages.of("common.undo"),
              workspace::undo));
    }
  }

  public void clearFormatting() {
    workspace.apply(new ClearFormatting(target()));
  }
}
