package dynamorph.model.value;

/**
 * Whether a layer or a track is seen, and whether it can be changed by hand.
 *
 * @param hidden neither seen nor exported
 * @param locked not picked, moved or deleted on the stage or the timeline; its styles reach it
 *     still
 */
public record ItemState(boolean hidden, boolean locked) {
  public static final ItemState OPEN = new ItemState(false, false);

  public ItemState withHidden(boolean changed) {
    return new ItemState(changed, locked);
  }

  public ItemState withLocked(boolean changed) {
    return new ItemState(hidden, changed);
  }
}
