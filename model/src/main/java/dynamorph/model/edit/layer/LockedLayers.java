package dynamorph.model.edit.layer;

import dynamorph.model.Layer;
import dynamorph.model.LayerId;
import dynamorph.model.Project;
import dynamorph.model.edit.EditRefused;
import dynamorph.model.message.Messages;
import java.util.Collection;
import java.util.LinkedHashSet;
import java.util.Optional;
import java.util.Set;

/** What may not be moved, resized or deleted by hand. */
public final class LockedLayers {
  private LockedLayers() {}

  static boolean isLocked(Project project, LayerId id) {
    Optional<Layer> layer = project.layer(id);
    return layer.isPresent() && layer.get().state().locked();
  }

  /**
   * Those of the layers that are not locked.
   *
   * @throws EditRefused if all are
   */
  public static Set<LayerId> free(Project project, Collection<LayerId> layers) {
    Set<LayerId> free = new LinkedHashSet<>(layers);
    free.removeIf(id -> isLocked(project, id));
    if (free.isEmpty() && !layers.isEmpty()) {
      throw new EditRefused(Messages.of("locked-layers.unlock", layers.size()));
    }
    return free;
  }
}
