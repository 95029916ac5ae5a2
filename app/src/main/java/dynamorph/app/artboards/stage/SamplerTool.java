package dynamorph.app.artboards.stage;

import dynamorph.app.message.Messages;
import dynamorph.app.session.Notice;
import dynamorph.app.session.Sampling;
import dynamorph.app.session.Selection;
import dynamorph.app.session.Workspace;
import dynamorph.model.Layer;
import dynamorph.model.LayerId;
import dynamorph.model.edit.Target;
import dynamorph.model.edit.style.Sample;
import dynamorph.model.text.TextRange;
import dynamorph.paint.scene.Scene;
import java.util.List;
import java.util.Optional;

/**
 * What clicking and dragging with the sampler does. Empty, a click takes the look of the letter
 * that is clicked; if texts were selected before, it goes onto them at once. Loaded, a click stamps
 * the whole text, with Shift the word; a drag over letters stamps what it covers, a drag from the
 * ground all texts that it touches, with Ctrl those it encloses. {@link #takeAnother()} lets the
 * next click take another sample.
 */
final class SamplerTool {
  private final Workspace workspace;
  private Optional<Target> previewed = Optional.empty();

  SamplerTool(Workspace workspace) {
    this.workspace = workspace;
  }

  /** Whether a click here takes a sample instead of stamping one. */
  boolean takes() {
    return workspace.tools().samplingProperty().get().map(Sampling::takesAnother).orElse(true);
  }

  /**
   * Takes the look at an offset of a text.
   *
   * @return whether it was put on what is selected, since that was chosen first
   */
  boolean take(Scene.Found found, int offset) {
    Selection before = workspace.selection();
    Target targets = workspace.target();
    LayerId text = found.text().text();
    Layer sampled = workspace.project().layer(text).orElse(found.text().layer());
    Sample sample = Sample.of(workspace.project(), sampled, offset);
    Sampling held = workspace.tools().samplingProperty().get().orElse(null);
    Sampling taken =
        held == null
            ? new Sampling(sample, Sampling.USUAL, true, false)
            : new Sampling(sample, held.facets(), held.withStyles(), false);
    boolean first = held == null && !before.isEmpty() && !targets.layers().contains(text);
    workspace.tools().samplingProperty().set(Optional.of(taken));
    if (first) {
      stamp(targets);
    }
    return first;
  }

  /** Puts what is held on a target. */
  void stamp(Target target) {
    endPreview();
    Optional<Sampling> held = workspace.tools().samplingProperty().get();
    if (held.isPresent() && !target.layers().isEmpty() && workspace.apply(held.get().on(target))) {
      workspace.tell(
          Notice.offering(
              Messages.of("sampler-tool.stamped-on", target.label()),
              Messages.of("common.undo"),
              workspace::undo));
    }
  }

  void stampLayers(List<LayerId> layers) {
    stamp(new Target.Layers(layers));
  }

  /** The word that an offset lies in. */
  static Target.Words word(Scene.Found found, int offset) {
    String text = found.text().story().text();
    java.text.BreakIterator words = java.text.BreakIterator.getWordInstance();
    words.setText(text);
    int at = Math.min(offset, Math.max(0, text.length() - 1));
    int end = words.following(at);
    int start = words.previous();
    return new Target.Words(
        found.text().text(), new TextRange(Math.max(0, start), Math.max(start, end)));
  }

  /** Shows what a click would do to the text under the pointer. */
  void preview(Optional<Target> target) {
    if (target.equals(previewed)) {
      return;
    }
    previewed = target;
    Optional<Sampling> held = workspace.tools().samplingProperty().get();
    if (target.isPresent() && held.isPresent()) {
      workspace.preview(held.get().on(target.get()));
    } else {
      workspace.endPreview();
    }
  }

  /** Lets the next click take another sample, or not after all. */
  void takeAnother() {
    endPreview();
    workspace.tools().takeAnotherSample();
  }

  void endPreview() {
    previewed = Optional.empty();
    workspace.endPreview();
  }

  /** Keeps the sample after all, or empties the sampler. Returns whether there was either. */
  boolean stepBack() {
    endPreview();
    Optional<Sampling> waiting =
        workspace.tools().samplingProperty().get().filter(Sampling::takesAnother);
    if (waiting.isPresent()) {
      takeAnother();
      return true;
    }
    boolean held = workspace.tools().samplingProperty().get().isPresent();
    workspace.tools().samplingProperty().set(Optional.empty());
    return held;
  }
}
