package dynamorph.app.session;

import dynamorph.app.message.Messages;
import dynamorph.app.session.Notice.Offer;
import dynamorph.app.session.Notice.Tick;
import dynamorph.model.edit.Edit;
import dynamorph.model.edit.Target;
import dynamorph.model.edit.style.ApplyOptions;
import dynamorph.model.edit.style.Follow;
import dynamorph.model.edit.style.Stamp;
import dynamorph.model.property.Facet;
import dynamorph.model.reach.LocalChanges;
import dynamorph.model.style.StyleId;
import dynamorph.model.style.StyleLevel;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.EnumSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import javafx.beans.property.BooleanProperty;
import javafx.beans.property.ObjectProperty;
import javafx.beans.property.SimpleBooleanProperty;
import javafx.beans.property.SimpleObjectProperty;

/**
 * Puts styles on text in the options that the person has chosen, which holds for the session, and
 * tells what became of local changes.
 */
public final class Following {
  private final Workspace workspace;
  private final ObjectProperty<ApplyOptions> options =
      new SimpleObjectProperty<>(ApplyOptions.PLAIN);
  private final BooleanProperty stamping = new SimpleBooleanProperty();

  Following(Workspace workspace) {
    this.workspace = workspace;
  }

  /** What is left alone and which local changes stay. */
  public ObjectProperty<ApplyOptions> applyOptionsProperty() {
    return options;
  }

  /** Whether values are copied once instead of followed. */
  public BooleanProperty stampingProperty() {
    return stamping;
  }

  /** Whether anything about the options is not as it is at first. */
  public boolean isUnusual() {
    return !options.get().equals(ApplyOptions.PLAIN) || stamping.get();
  }

  /**
   * The edit that puts a style on a target; with only a caret a text style is for the whole text.
   */
  public Edit edit(Target target, StyleId style, boolean onTop, boolean stamp) {
    Target meant =
        target.isOfParagraphs() && isForTexts(style) ? new Target.Layers(target.layers()) : target;
    ApplyOptions how = options.get().onTop(onTop);
    return stamp ? new Stamp(meant, style, how) : new Follow(meant, style, how);
  }

  private boolean isForTexts(StyleId style) {
    return workspace
        .project()
        .styles()
        .find(style)
        .filter(found -> found.level() == StyleLevel.TEXT)
        .isPresent();
  }

  /** Puts a style on the selection. */
  public void put(StyleId style, boolean onTop, boolean stamp) {
    put(workspace.target(), style, onTop, stamp);
  }

  /** Puts a style on a target; tells about local changes and offers the other choices. */
  public void put(Target target, StyleId style, boolean onTop, boolean stamp) {
    if (target.isWithinText() && !target.isOfParagraphs() && isForTexts(style) && !stamp) {
      offerForWords(target, style);
      return;
    }
    long deviating =
        target.layers().stream()
            .flatMap(id -> workspace.project().layer(id).stream())
            .filter(layer -> LocalChanges.count(layer) > 0)
            .count();
    Edit edit = edit(target, style, onTop, stamp);
    if (!workspace.apply(edit)) {
      return;
    }
    workspace.pickedStyleProperty().set(Optional.of(style));
    if (edit instanceof Follow follow && deviating > 0 && target instanceof Target.Layers) {
      tellOfLocalChanges(follow, deviating);
    } else {
      tellDone(target, style, stamp);
    }
  }

  private void tellDone(Target target, StyleId style, boolean stamped) {
    String name = workspace.project().styles().get(style).name();
    int count =
        target instanceof Target.Passages several
            ? several.passages().size()
            : target.layers().size();
    workspace.tell(
        Notice.info(
            Messages.of(
                stamped ? "following.stamped" : "following.follows", count, target.label(), name)));
  }

  /** A text style cannot be followed by some words. */
  private void offerForWords(Target words, StyleId style) {
    String name = workspace.project().styles().get(style).name();
    workspace.tell(
        Notice.offering(
            Messages.of("following.is-a-text-style-and-goes", name),
            new Offer.Press(
                Messages.of("following.put-it-on-the-whole-text"),
                () -> put(new Target.Layers(words.layers()), style, false, false)),
            new Offer.Press(
                Messages.of("following.stamp-it-on-the-words"),
                () -> put(words, style, false, true))));
  }

  /** What was done with local changes, and the other choices, which then hold for the session. */
  private void tellOfLocalChanges(Follow done, long deviating) {
    int count = done.target().layers().size();
    Set<Facet> kept = done.options().keepsLocal();
    String which = Messages.of("following.which", count, deviating);
    String what =
        done.options().keepsAllLocal()
            ? Messages.of("following.kept", count, which)
            : Messages.of(
                kept.isEmpty() ? "following.all-dropped" : "following.some-dropped", which);
    List<Offer> offers = new ArrayList<>();
    if (!done.options().keepsAllLocal()) {
      offers.add(
          new Offer.Press(
              Messages.of("following.keep"), () -> again(done, EnumSet.allOf(Facet.class))));
    }
    if (!kept.isEmpty()) {
      offers.add(
          new Offer.Press(
              Messages.of("common.drop"), () -> again(done, EnumSet.noneOf(Facet.class))));
    }
    offers.add(
        new Offer.Ticks(
            Messages.of("following.keep-only"),
            Arrays.stream(Facet.values())
                .map(facet ->
                    new Tick(
                        facet.label(),
                        kept.contains(facet),
                        () -> again(done, flipped(kept, facet))))
                .toList()));
    workspace.tell(new Notice(what, false, offers));
  }

  private static Set<Facet> flipped(Set<Facet> facets, Facet facet) {
    EnumSet<Facet> changed = EnumSet.noneOf(Facet.class);
    changed.addAll(facets);
    if (!changed.remove(facet)) {
      changed.add(facet);
    }
    return changed;
  }

  private void again(Follow done, Set<Facet> kept) {
    options.set(options.get().keepingLocal(kept));
    Follow other = new Follow(done.target(), done.style(), done.options().keepingLocal(kept));
    workspace.undo();
    long deviating =
        done.target().layers().stream()
            .flatMap(id -> workspace.project().layer(id).stream())
            .filter(layer -> LocalChanges.count(layer) > 0)
            .count();
    if (workspace.apply(other)) {
      tellOfLocalChanges(other, deviating);
    }
  }
}
