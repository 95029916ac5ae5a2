package dynamorph.model.survey.rule;

import java.util.Objects;

/**
 * A finding that is known and is to stay.
 *
 * @param mark what it is told from others by
 * @param note why, for people; may be empty
 */
public record Ignored(String mark, String note) {
  public Ignored {
    Objects.requireNonNull(mark, "mark");
    Objects.requireNonNull(note, "note");
  }
}
