package dynamorph.model.edit.film;

import dynamorph.model.Layer;
import dynamorph.model.Project;
import dynamorph.model.cascade.Cascade;
import dynamorph.model.edit.KeptLook;
import dynamorph.model.style.StyleId;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;

/** Takes titles and cues out of their film. */
public final class DetachFromTrack {
  private DetachFromTrack() {}

  /**
   * The text as it stands for itself, looking the same: what its track brings becomes its own. The
   * styles of the track are followed, the rest are local changes.
   */
  public static Layer of(Project project, Layer layer) {
    Layer alone = layer.withTiming(Optional.empty());
    return project
        .captionsOf(layer)
        .map(track -> {
          List<StyleId> follows = new ArrayList<>(track.follows());
          follows.removeAll(layer.follows());
          follows.addAll(layer.follows());
          Cascade cascade = Cascade.of(project);
          return new KeptLook(cascade, cascade).of(layer, alone.withFollows(follows));
        })
        .orElse(alone);
  }
}
