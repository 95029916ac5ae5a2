package dynamorph.model.text;

import dynamorph.model.message.Messages;

/**
 * A stretch of a story.
 *
 * @param start first offset, inclusive
 * @param end last offset, exclusive; equal to start for a caret
 */
public record TextRange(int start, int end) {
  public TextRange {
    if (start < 0 || end < start) {
      throw new IllegalArgumentException(
          Messages.of("text-range.not-a-range-of-text-to", start, end));
    }
  }

  /** The range between two offsets in any order. */
  public static TextRange between(int one, int other) {
    return new TextRange(Math.min(one, other), Math.max(one, other));
  }

  public static TextRange caret(int offset) {
    return new TextRange(offset, offset);
  }

  public int length() {
    return end - start;
  }

  public boolean isEmpty() {
    return start == end;
  }

  /** Whether both have a letter in common. */
  public boolean overlaps(TextRange other) {
    return start < other.end && other.start < end;
  }

  /** The common part, or an empty range at the nearer end. */
  public TextRange within(TextRange other) {
    int from = Math.clamp(start, other.start, other.end);
    return new TextRange(from, Math.clamp(end, from, other.end));
  }
}
