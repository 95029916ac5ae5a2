package dynamorph.app.artboards.arrange;

import dynamorph.app.action.Actions;
import dynamorph.app.artboards.stage.StageView;
import dynamorph.app.message.Messages;
import dynamorph.app.session.Conditions;
import dynamorph.app.session.Notice;
import dynamorph.app.session.Workspace;
import dynamorph.model.LayerId;
import dynamorph.model.edit.layer.MoveEach;
import dynamorph.paint.arrange.Alignment;
import dynamorph.paint.arrange.Axis;
import dynamorph.paint.arrange.Distribution;
import java.util.HashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.function.Function;

/** What can be done with where the selected texts stand among each other. */
public final class ArrangeActions {
  private final Workspace workspace;
  private final StageView stage;

  public ArrangeActions(Workspace workspace, StageView stage) {
    this.workspace = workspace;
    this.stage = stage;
  }

  public void register(Actions actions, Conditions when) {
    for (Alignment alignment : Alignment.values()) {
      actions.add(id(alignment), "", when.selected(), () -> align(alignment));
    }
    for (Axis axis : Axis.values()) {
      actions.add(id(axis), "", when.selected(), () -> distribute(axis));
    }
  }

  /** The id of the action that aligns so. */
  public static String id(Alignment alignment) {
    return "arrange.align-" + alignment.name().toLowerCase(Locale.ROOT);
  }

  /** The id of the action that makes gaps in a direction equal. */
  public static String id(Axis axis) {
    return "arrange.distribute-" + axis.name().toLowerCase(Locale.ROOT);
  }

  /** Aligns what is selected: several to each other unless the artboard is wanted, one to it. */
  public void align(Alignment alignment) {
    boolean toArtboard = workspace.view().alignsToArtboardProperty().get();
    move(
        alignment.axis(),
        on ->
            alignment.moves(
                on.texts(), toArtboard || on.texts().size() == 1 ? on.frame() : on.bounds()),
        Messages.of("action." + id(alignment)),
        Optional.empty());
  }

  /** Makes the gaps between the selected texts equal. */
  public void distribute(Axis axis) {
    if (selected().stream().noneMatch(on -> on.texts().size() > 2)) {
      workspace.tell(Notice.info(Messages.of("arrange-actions.select-three")));
      return;
    }
    move(
        axis,
        on -> new Distribution(axis, on.texts()).equal(),
        Messages.of("action." + id(axis)),
        Optional.empty());
  }

  /**
   * Gives all gaps between the selected texts a size.
   *
   * @param gap in points
   */
  void space(Axis axis, double gap, Optional<Object> gesture) {
    move(
        axis,
        on -> new Distribution(axis, on.texts()).spaced(gap),
        Messages.of("arrange-actions.set-the-gaps"),
        gesture);
  }

  /** The gap between the selected texts, in points; empty where they differ. */
  OptionalDouble gap(Axis axis) {
    List<OptionalDouble> gaps =
        selected().stream()
            .filter(on -> on.texts().size() > 1)
            .map(on -> new Distribution(axis, on.texts()).gap())
            .distinct()
            .toList();
    return gaps.size() == 1 ? gaps.getFirst() : OptionalDouble.empty();
  }

  private List<ArrangedSelection> selected() {
    return ArrangedSelection.of(workspace, stage);
  }

  private void move(
      Axis axis,
      Function<ArrangedSelection, Map<LayerId, Double>> along,
      String verb,
      Optional<Object> gesture) {
    Map<LayerId, MoveEach.Shift> moves = new HashMap<>();
    for (ArrangedSelection on : selected()) {
      along
          .apply(on)
          .forEach((id, by) ->
              moves.put(
                  id, axis == Axis.ACROSS ? new MoveEach.Shift(by, 0) : new MoveEach.Shift(0, by)));
    }
    workspace.apply(new MoveEach(moves, verb), gesture);
  }
}
