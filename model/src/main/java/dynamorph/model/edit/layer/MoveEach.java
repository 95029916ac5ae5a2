package dynamorph.model.edit.layer;

import dynamorph.model.LayerId;
import dynamorph.model.Project;
import dynamorph.model.cascade.Cascade;
import dynamorph.model.edit.Edit;
import dynamorph.model.message.Messages;
import java.util.Map;
import java.util.Objects;

/**
 * Moves layers on their artboards, each by points of its own; what is locked stays.
 *
 * @param verb what is done to them: {@code Align left}
 */
public record MoveEach(Map<LayerId, Shift> moves, String verb) implements Edit {
  /** Moves of less than this are none, in points. */
  private static final double LEAST = 1e-6;

  /** To the right and down, in points. */
  public record Shift(double across, double down) {
    boolean isSeen() {
      return Math.abs(across) > LEAST || Math.abs(down) > LEAST;
    }
  }

  public MoveEach {
    moves = Map.copyOf(moves);
  }

  @Override
  public Project applyTo(Project before) {
    Cascade cascade = Cascade.of(before);
    Project project = before;
    for (LayerId id : LockedLayers.free(before, moves.keySet())) {
      Shift by = Objects.requireNonNull(moves.get(id));
      if (by.isSeen()) {
        project = MoveLayers.moved(project, cascade, id, by.across(), by.down());
      }
    }
    return project;
  }

  @Override
  public String label(Project before) {
    return Messages.of("move-each.label", verb, moves.size());
  }
}
