package dynamorph.app.session;

import dynamorph.model.style.Style;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;

/**
 * A style that is being edited, with the drafts it went through.
 *
 * @param original as it is in the project
 * @param drafts all drafts so far, the first being the original
 * @param at index of the draft that shows
 * @param gesture what the latest draft was made by; the next of the same gesture takes its place
 */
public record Desk(Style original, List<Style> drafts, int at, Optional<Object> gesture) {
  static Desk open(Style style) {
    return new Desk(style, List.of(style), 0, Optional.empty());
  }

  public Style draft() {
    return drafts.get(at);
  }

  public boolean isChanged() {
    return !draft().equals(original);
  }

  public boolean canUndo() {
    return at > 0;
  }

  public boolean canRedo() {
    return at + 1 < drafts.size();
  }

  Desk with(Style draft, Optional<Object> by) {
    if (draft.equals(draft())) {
      return this;
    }
    boolean merges = by.isPresent() && by.equals(gesture) && at > 0;
    List<Style> changed = new ArrayList<>(drafts.subList(0, merges ? at : at + 1));
    changed.add(draft);
    return new Desk(original, List.copyOf(changed), changed.size() - 1, by);
  }

  Desk undone() {
    return canUndo() ? new Desk(original, drafts, at - 1, Optional.empty()) : this;
  }

  Desk redone() {
    return canRedo() ? new Desk(original, drafts, at + 1, Optional.empty()) : this;
  }
}
