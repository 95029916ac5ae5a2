package dynamorph.typeset.layout;

import dynamorph.typeset.message.Messages;

/**
 * What does not fit a box.
 *
 * @param hiddenLines lines that lie below a fixed box
 * @param hiddenUnits UTF-16 units on those lines
 * @param tooWide whether an unbreakable piece is wider than the measure
 */
public record Overset(int hiddenLines, int hiddenUnits, boolean tooWide) {
  /** How people are told: {@code 2 lines do not fit}. */
  public String text() {
    if (hiddenLines == 0) {
      return tooWide
          ? Messages.of("overset.a-word-is-wider-than-its")
          : Messages.of("overset.the-box-is-too-short");
    }
    return Messages.of("count.line-does-not-fit", hiddenLines);
  }
}
