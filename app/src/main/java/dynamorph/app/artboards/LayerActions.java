package dynamorph.app.artboards;

import dynamorph.app.action.Actions;
import dynamorph.app.artboards.stage.TextClipboard;
import dynamorph.app.field.NameQuestion;
import dynamorph.app.message.Messages;
import dynamorph.app.session.Conditions;
import dynamorph.app.session.Notice;
import dynamorph.app.session.Sampling;
import dynamorph.app.session.Workspace;
import dynamorph.formats.project.TextFragment;
import dynamorph.model.Artboard;
import dynamorph.model.ArtboardId;
import dynamorph.model.Layer;
import dynamorph.model.LayerId;
import dynamorph.model.Project;
import dynamorph.model.cascade.Cascade;
import dynamorph.model.cascade.Placement;
import dynamorph.model.edit.Edit;
import dynamorph.model.edit.Target;
import dynamorph.model.edit.film.DetachFromTrack;
import dynamorph.model.edit.importing.ImportLayers;
import dynamorph.model.edit.importing.ImportLook;
import dynamorph.model.edit.importing.StyleBundle;
import dynamorph.model.edit.layer.ArrangeLayers;
import dynamorph.model.edit.layer.MoveLayers;
import dynamorph.model.edit.style.Sample;
import dynamorph.model.edit.style.StampSample;
import dynamorph.model.flow.LinkedBoxes;
import dynamorph.model.property.Properties;
import dynamorph.model.property.PropertySet;
import dynamorph.model.value.ItemState;
import java.io.IOException;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.function.IntFunction;
import java.util.function.Predicate;
import java.util.function.Supplier;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import javafx.geometry.Point2D;
import javafx.scene.input.Clipboard;
import javafx.scene.input.DataFormat;
import javafx.stage.Window;

/** What can be done with whole texts. */
public final class LayerActions {
  /** How far a copy stands off its original on the same artboard, in points. */
  private static final Point2D OFFSET = new Point2D(24, 24);

  private final Workspace workspace;
  private List<Layer> copied = List.of();
  private Project copiedFrom;
  private int copiedIn;

  public LayerActions(Workspace workspace) {
    this.workspace = workspace;
    this.copiedFrom = workspace.project();
    this.lookFrom = workspace.project();
  }

  private List<Layer> selected() {
    return workspace
        .project()
        .layers()
        .filter(layer -> workspace.selection().contains(layer.id()))
        .toList();
  }

  public void register(Actions actions, Conditions when, Supplier<Window> window) {
    actions.add("edit.duplicate", "Shortcut+D", when.selected(), this::duplicate);
    actions.add("edit.delete", "", when.selected(), this::delete);
    actions.add("edit.rename", "", when.selected(), () -> rename(window.get()));
    actions.add("edit.select-all", "Shortcut+A", when.seen(), this::selectAll);
    actions.add("edit.copy", "Shortcut+C", when.selected(), this::copy);
    actions.add("edit.cut", "Shortcut+X", when.selected(), this::cut);
    actions.add("edit.paste", "Shortcut+V", when.seen(), this::paste);
    actions.add("edit.copy-look", "F5", when.any(), this::copyLook);
    actions.add("edit.paste-look", "F6", when.any(), this::pasteLook);
    actions.add("edit.bring-to-front", "Shortcut+Shift+UP", when.selected(), () -> restack(true));
    actions.add("edit.bring-forward", "Shortcut+UP", when.selected(), () -> step(1));
    actions.add("edit.send-backward", "Shortcut+DOWN", when.selected(), () -> step(-1));
    actions.add("edit.send-to-back", "Shortcut+Shift+DOWN", when.selected(), () -> restack(false));
    actions.add("edit.hide", "Shortcut+Shift+H", when.selected(), this::hide);
    actions.add("edit.show-all", "", when.seen(), this::showAll);
    actions.add("edit.lock", "Shortcut+Shift+L", when.selected(), this::lock);
    actions.add("edit.unlock-all", "", when.seen(), this::unlockAll);
    actions.add("edit.select-alike", "", when.selected(), this::selectAlike);
  }

  public void selectAll() {
    workspace.select(inView().filter(LayerActions::isFree).map(Layer::id).toList());
  }

  /** The layers of the film that is looked at, else those of all artboards. */
  private Stream<Layer> inView() {
    Optional<Artboard> film = workspace.playback().board();
    return film.map(board -> board.layers().stream())
        .orElseGet(() -> workspace.project().still().flatMap(board -> board.layers().stream()));
  }

  private static boolean isFree(Layer layer) {
    return !layer.state().locked() && !layer.state().hidden();
  }

  /** Hides what is selected, or shows it. */
  public void setHidden(boolean hidden) {
    workspace.apply(new ArrangeLayers.Hide(workspace.selection().layers(), hidden));
  }

  /** Locks what is selected, or unlocks it. */
  public void setLocked(boolean locked) {
    workspace.apply(new ArrangeLayers.Lock(workspace.selection().layers(), locked));
  }

  /** Hides what is selected; who hides something is told where it is found again. */
  private void hide() {
    Set<LayerId> hidden = Set.copyOf(workspace.selection().layers());
    if (workspace.apply(new ArrangeLayers.Hide(hidden, true))) {
      workspace.select(List.of());
      tellUndo(Messages.of("layer-actions.hidden", hidden.size()));
    }
  }

  private void lock() {
    Set<LayerId> locked = Set.copyOf(workspace.selection().layers());
    if (workspace.apply(new ArrangeLayers.Lock(locked, true))) {
      workspace.select(List.of());
      tellUndo(Messages.of("layer-actions.locked", locked.size()));
    }
  }

  private void tellUndo(String words) {
    workspace.tell(Notice.offering(words, Messages.of("common.undo"), workspace::undo));
  }

  private void showAll() {
    Set<LayerId> hidden = ids(layer -> layer.state().hidden());
    if (hidden.isEmpty()) {
      workspace.tell(Notice.info(Messages.of("layer-actions.nothing-is-hidden")));
    } else if (workspace.apply(new ArrangeLayers.Hide(hidden, false))) {
      workspace.select(hidden);
    }
  }

  private void unlockAll() {
    Set<LayerId> locked = ids(layer -> layer.state().locked());
    if (locked.isEmpty()) {
      workspace.tell(Notice.info(Messages.of("layer-actions.nothing-is-locked")));
    } else if (workspace.apply(new ArrangeLayers.Lock(locked, false))) {
      workspace.select(locked);
    }
  }

  private Set<LayerId> ids(Predicate<Layer> wanted) {
    return inView().filter(wanted).map(Layer::id).collect(Collectors.toSet());
  }

  /** Selects all that follow just what the first selected text follows. */
  private void selectAlike() {
    selected().stream()
        .findFirst()
        .ifPresent(first -> {
          List<LayerId> alike =
              inView()
                  .filter(LayerActions::isFree)
                  .filter(layer -> layer.follows().equals(first.follows()))
                  .map(Layer::id)
                  .toList();
          workspace.select(alike);
          workspace.tell(Notice.info(Messages.of("layer-actions.alike", alike.size())));
        });
  }

  public void delete() {
    workspace.apply(new ArrangeLayers.Delete(workspace.selection().layers()));
  }

  /** Asks for another name of the first selected text. */
  public void rename(Window owner) {
    selected().stream()
        .findFirst()
        .ifPresent(layer -> {
          String title = Messages.of("layer-actions.rename-the-text");
          NameQuestion.ask(owner, title, Messages.of("common.name"), layer.name())
              .ifPresent(name -> workspace.apply(new ArrangeLayers.Rename(layer.id(), name)));
        });
  }

  private void step(int by) {
    workspace.apply(new ArrangeLayers.Step(workspace.selection().layers(), by));
  }

  public void restack(boolean toFront) {
    workspace.apply(new ArrangeLayers.Restack(workspace.selection().layers(), toFront));
  }

  public void copy() {
    remember();
    workspace.tell(Notice.info(Messages.of("layer-actions.text-copied", copied.size())));
  }

  private void remember() {
    copied = selected();
    copiedFrom = workspace.project();
    copiedIn = workspace.openedProperty().get();
    own = TextClipboard.content(copiedFrom, copied);
    Clipboard.getSystemClipboard().setContent(own);
  }

  /** What was put on the clipboard here; something else on it comes from another window. */
  private Map<DataFormat, Object> own = Map.of();

  /** Puts texts of another window onto an artboard; their styles come with them. */
  public void take(byte[] bytes, Artboard board) {
    try {
      Project from = TextFragment.read(bytes);
      bring(from, from.layers().toList(), board);
    } catch (IOException wrong) {
      workspace.tell(
          Notice.problem(
              Messages.of("layer-actions.these-are-no-texts-that-can", Messages.reason(wrong))));
    }
  }

  public void cut() {
    remember();
    delete();
  }

  /** Whether there is something that can be pasted as texts. */
  public boolean canPaste() {
    return !copied.isEmpty() || TextClipboard.in(Clipboard.getSystemClipboard()).isPresent();
  }

  /**
   * Puts the copied texts on an artboard, the anchor of the first of them at a place and the others
   * as far from it as they were.
   *
   * @param place in points of the artboard
   */
  public void pasteAt(Artboard board, Point2D place) {
    Optional<byte[]> foreign = foreign();
    if (foreign.isPresent()) {
      take(foreign.get(), board);
    } else if (!copied.isEmpty()) {
      Placement first = Cascade.of(copiedFrom).placement(copied.getFirst());
      Point2D anchor = new Point2D(first.anchorX(board.width()), first.anchorY(board.height()));
      pasteOn(board, place.subtract(anchor));
    }
  }

  private static Point2D position(Cascade cascade, Layer layer) {
    PropertySet values = cascade.values(layer);
    return new Point2D(
        values.get(Properties.POSITION_X.key()).orElse(0.0),
        values.get(Properties.POSITION_Y.key()).orElse(0.0));
  }

  public void selectAllOn(Artboard board) {
    workspace.select(
        inView()
            .filter(LayerActions::isFree)
            .filter(layer -> board.layer(layer.id()).isPresent())
            .map(Layer::id)
            .toList());
  }

  /** What another window put on the clipboard. */
  private Optional<byte[]> foreign() {
    return TextClipboard.in(Clipboard.getSystemClipboard())
        .filter(bytes -> !TextClipboard.isOf(bytes, own));
  }

  /** Puts the copied texts on the artboard of the selection, else on the one they came from. */
  public void paste() {
    Optional<byte[]> foreign = foreign();
    if (copied.isEmpty() && foreign.isEmpty() || workspace.selection().cursor().isPresent()) {
      return;
    }
    Project project = workspace.project();
    Optional<Artboard> target =
        workspace.selection().layers().stream()
            .findFirst()
            .flatMap(project::artboardOf)
            .or(() -> workspace.playback().board())
            .or(() -> project.still().findFirst());
    if (foreign.isPresent()) {
      target.ifPresent(board -> take(foreign.get(), board));
      return;
    }
    target.ifPresent(board -> pasteOn(board, OFFSET));
  }

  private void pasteOn(Artboard board, Point2D by) {
    if (copiedIn == workspace.openedProperty().get()) {
      add(
          Messages.of("layer-actions.paste"),
          copies -> Messages.of("layer-actions.paste-texts", copies),
          copiedFrom,
          Map.of(board.id(), copied.stream().map(layer -> on(board, layer)).toList()),
          by);
    } else {
      bring(
          copiedFrom,
          copied.stream().map(layer -> DetachFromTrack.of(copiedFrom, layer)).toList(),
          board);
    }
  }

  /** A text keeps its track in its own film and leaves it for another surface. */
  private Layer on(Artboard board, Layer layer) {
    boolean there =
        layer
            .track()
            .filter(id -> board.timeline().flatMap(line -> line.track(id)).isPresent())
            .isPresent();
    return there
        ? layer
        : workspace.playback().timed(board, DetachFromTrack.of(workspace.project(), layer));
  }

  private Layer beside(Layer layer) {
    double x = layer.frame().get(Properties.POSITION_X.key()).orElse(0.0) + OFFSET.getX();
    double y = layer.frame().get(Properties.POSITION_Y.key()).orElse(0.0) + OFFSET.getY();
    return copyOf(layer)
        .withFrame(layer.frame().with(Properties.POSITION_X, x).with(Properties.POSITION_Y, y));
  }

  /** Texts of another project bring their styles. */
  private void bring(Project from, List<Layer> texts, Artboard board) {
    Map<LayerId, LayerId> made = new LinkedHashMap<>();
    List<Layer> beside = new ArrayList<>();
    for (Layer text : texts) {
      Layer copy = beside(text);
      made.put(text.id(), copy.id());
      beside.add(workspace.playback().timed(board, copy));
    }
    LinkedBoxes links = LinkedBoxes.of(from);
    List<Layer> copies = beside.stream().map(copy -> links.relinked(copy, made)).toList();
    workspace
        .attempts()
        .importStyles(
            StyleBundle.of(from, texts), styles -> new ImportLayers(styles, board.id(), copies));
    workspace.select(copies.stream().map(Layer::id).toList());
  }

  /** Takes the look of the first selected text, to be put on others. */
  public void copyLook() {
    workspace.texts().stream()
        .findFirst()
        .flatMap(workspace.project()::layer)
        .ifPresent(layer -> {
          int offset = workspace.selection().cursor().map(at -> at.range().start()).orElse(0);
          lookCopied = Optional.of(Sample.of(workspace.project(), layer, offset));
          lookFrom = workspace.project();
          lookIn = workspace.openedProperty().get();
          workspace.tell(
              Notice.info(
                  Messages.of("layer-actions.copied-the-look-of", lookCopied.get().from())));
        });
  }

  /** Puts the look that was copied on the selection, with the styles it follows. */
  public void pasteLook() {
    if (lookCopied.isEmpty() || workspace.selection().isEmpty()) {
      workspace.tell(Notice.info(Messages.of("layer-actions.copy-the-look-of-a-text")));
      return;
    }
    Sample sample = lookCopied.get();
    Target target = workspace.target();
    if (lookIn == workspace.openedProperty().get()) {
      workspace.apply(new StampSample(target, sample, Sampling.USUAL, true));
    } else {
      workspace
          .attempts()
          .importStyles(
              StyleBundle.of(lookFrom, sample.followed(), List.of(sample.values())),
              styles -> new ImportLook(styles, target, sample, Sampling.USUAL));
    }
  }

  private Optional<Sample> lookCopied = Optional.empty();
  private Project lookFrom;
  private int lookIn;

  /**
   * Duplicates what is selected. A copy that was moved and is duplicated again is followed by the
   * next at the same distance.
   */
  public void duplicate() {
    Map<ArtboardId, List<Layer>> byBoard = new LinkedHashMap<>();
    for (Layer layer : selected()) {
      workspace
          .project()
          .artboardOf(layer.id())
          .ifPresent(
              board -> byBoard.computeIfAbsent(board.id(), _ -> new ArrayList<>()).add(layer));
    }
    Point2D by = step().orElse(OFFSET);
    List<LayerId> originals =
        byBoard.values().stream().flatMap(List::stream).map(Layer::id).toList();
    List<LayerId> copies =
        add(
            Messages.of("layer-actions.duplicate"),
            count -> Messages.of("layer-actions.duplicate-texts", count),
            workspace.project(),
            byBoard,
            by);
    duplicated.clear();
    for (int index = 0; index < copies.size(); index++) {
      duplicated.put(copies.get(index), originals.get(index));
    }
  }

  /** The copies that were made last, each with what it was made of. */
  private final Map<LayerId, LayerId> duplicated = new LinkedHashMap<>();

  /** How far all the last copies stand from their originals, if just they are selected. */
  private Optional<Point2D> step() {
    if (!Set.copyOf(workspace.selection().layers()).equals(duplicated.keySet())) {
      return Optional.empty();
    }
    Project project = workspace.project();
    Cascade cascade = Cascade.of(project);
    Set<Point2D> steps = new HashSet<>();
    for (Map.Entry<LayerId, LayerId> pair : duplicated.entrySet()) {
      Optional<Layer> copy = project.layer(pair.getKey());
      Optional<Layer> original = project.layer(pair.getValue());
      if (copy.isEmpty() || original.isEmpty()) {
        return Optional.empty();
      }
      Point2D by = position(cascade, copy.get()).subtract(position(cascade, original.get()));
      steps.add(new Point2D(Math.rint(by.getX() * 1e4) / 1e4, Math.rint(by.getY() * 1e4) / 1e4));
    }
    return steps.size() == 1 ? steps.stream().findFirst() : Optional.empty();
  }

  /**
   * Adds copies of texts, and selects them.
   *
   * @param verb what is done on one artboard
   * @param label what is done with so many texts
   * @param from the project that the texts are of
   * @param by how far they stand from where the texts do, in points
   * @return the copies; none if it was refused
   */
  private List<LayerId> add(
      String verb,
      IntFunction<String> label,
      Project from,
      Map<ArtboardId, List<Layer>> byBoard,
      Point2D by) {
    List<Edit> edits = new ArrayList<>();
    Map<LayerId, LayerId> copies = new LinkedHashMap<>();
    Map<ArtboardId, List<Layer>> copied = new LinkedHashMap<>();
    byBoard.forEach((board, layers) -> copied.put(board, copied(layers, copies)));
    LinkedBoxes links = LinkedBoxes.of(from);
    copied.forEach((board, layers) ->
        edits.add(
            new ArrangeLayers.Add(
                board, layers.stream().map(copy -> links.relinked(copy, copies)).toList(), verb)));
    List<LayerId> added = List.copyOf(copies.values());
    edits.add(new MoveLayers(new Target.Layers(added), by.getX(), by.getY()));
    if (workspace.apply(Edit.together(label.apply(added.size()), edits.toArray(Edit[]::new)))) {
      workspace.select(added);
      return added;
    }
    return List.of();
  }

  /** Copies of layers; what was made of each is noted. */
  private List<Layer> copied(List<Layer> layers, Map<LayerId, LayerId> copies) {
    return layers.stream()
        .map(layer -> {
          Layer copy = copyOf(layer);
          copies.put(layer.id(), copy.id());
          return copy;
        })
        .toList();
  }

  private Layer copyOf(Layer layer) {
    return layer.withId(new LayerId(workspace.ids().next("text"))).withState(ItemState.OPEN);
  }
}
