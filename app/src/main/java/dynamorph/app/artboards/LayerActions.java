package dynamorph.app.artboards;

import dynamorph.app.action.Actions;
import dynamorph.app.artboards.stage.TextClipboard;
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
import dynamorph.model.edit.Edit;
import dynamorph.model.edit.Target;
import dynamorph.model.edit.film.DetachFromTrack;
import dynamorph.model.edit.importing.ImportLayers;
import dynamorph.model.edit.importing.ImportLook;
import dynamorph.model.edit.importing.StyleBundle;
import dynamorph.model.edit.layer.ArrangeLayers;
import dynamorph.model.edit.style.Sample;
import dynamorph.model.edit.style.StampSample;
import dynamorph.model.property.Properties;
import java.io.IOException;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.function.IntFunction;
import java.util.function.Supplier;
import javafx.scene.control.TextInputDialog;
import javafx.scene.input.Clipboard;
import javafx.scene.input.DataFormat;
import javafx.stage.Window;

/** What can be done with whole texts. */
public final class LayerActions {
  /** How far a copy stands off its original on the same artboard, in points. */
  private static final double OFFSET = 24;

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
    actions.add("edit.send-to-back", "Shortcut+Shift+DOWN", when.selected(), () -> restack(false));
  }

  public void selectAll() {
    Optional<Artboard> film = workspace.playback().board();
    List<Layer> all =
        film.map(board -> List.copyOf(board.layers()))
            .orElseGet(() ->
                workspace.project().still().flatMap(board -> board.layers().stream()).toList());
    workspace.select(all.stream().map(Layer::id).toList());
  }

  public void delete() {
    workspace.apply(new ArrangeLayers.Delete(workspace.selection().layers()));
  }

  /** Asks for another name of the first selected text. */
  public void rename(Window owner) {
    selected().stream()
        .findFirst()
        .ifPresent(layer -> {
          TextInputDialog dialog = new TextInputDialog(layer.name());
          dialog.initOwner(owner);
          dialog.setTitle(Messages.of("layer-actions.rename-the-text"));
          dialog.setHeaderText(null);
          dialog.setContentText(Messages.of("common.name"));
          dialog
              .showAndWait()
              .filter(name -> !name.isBlank())
              .ifPresent(name -> workspace.apply(new ArrangeLayers.Rename(layer.id(), name)));
        });
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

  /** Puts the copied texts on the artboard of the selection, else on the one they came from. */
  public void paste() {
    Optional<byte[]> foreign =
        TextClipboard.in(Clipboard.getSystemClipboard())
            .filter(bytes -> !TextClipboard.isOf(bytes, own));
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
    target.ifPresent(board -> {
      if (copiedIn == workspace.openedProperty().get()) {
        add(
            Messages.of("layer-actions.paste"),
            copies -> Messages.of("layer-actions.paste-texts", copies),
            Map.of(board.id(), copied.stream().map(layer -> on(board, layer)).toList()));
      } else {
        bring(
            copiedFrom,
            copied.stream().map(layer -> DetachFromTrack.of(copiedFrom, layer)).toList(),
            board);
      }
    });
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

  /** Texts of another project bring their styles. */
  private void bring(Project from, List<Layer> texts, Artboard board) {
    List<Layer> copies =
        texts.stream()
            .map(this::copyOf)
            .map(layer -> workspace.playback().timed(board, layer))
            .toList();
    workspace
        .attempts()
        .importStyles(
            StyleBundle.of(from, texts), styles -> new ImportLayers(styles, board.id(), copies));
    workspace.select(copies.stream().map(Layer::id).toList());
  }

  /** Takes the look of the first selected text, to be put on others. */
  public void copyLook() {
    selected().stream()
        .findFirst()
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
    Target target = workspace.selection().target();
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

  public void duplicate() {
    Map<ArtboardId, List<Layer>> byBoard = new LinkedHashMap<>();
    for (Layer layer : selected()) {
      workspace
          .project()
          .artboardOf(layer.id())
          .ifPresent(
              board -> byBoard.computeIfAbsent(board.id(), _ -> new ArrayList<>()).add(layer));
    }
    add(
        Messages.of("layer-actions.duplicate"),
        copies -> Messages.of("layer-actions.duplicate-texts", copies),
        byBoard);
  }

  /**
   * Adds copies of texts, and selects them.
   *
   * @param verb what is done on one artboard
   * @param label what is done with so many texts
   */
  private void add(String verb, IntFunction<String> label, Map<ArtboardId, List<Layer>> byBoard) {
    List<Edit> edits = new ArrayList<>();
    List<LayerId> added = new ArrayList<>();
    byBoard.forEach((board, layers) -> {
      List<Layer> copies = layers.stream().map(this::copyOf).toList();
      copies.forEach(copy -> added.add(copy.id()));
      edits.add(new ArrangeLayers.Add(board, copies, verb));
    });
    if (workspace.apply(Edit.together(label.apply(added.size()), edits.toArray(Edit[]::new)))) {
      workspace.select(added);
    }
  }

  private Layer copyOf(Layer layer) {
    double x = layer.frame().get(Properties.POSITION_X.key()).orElse(0.0) + OFFSET;
    double y = layer.frame().get(Properties.POSITION_Y.key()).orElse(0.0) + OFFSET;
    return layer
        .withId(new LayerId(workspace.ids().next("text")))
        .withFrame(layer.frame().with(Properties.POSITION_X, x).with(Properties.POSITION_Y, y));
  }
}
