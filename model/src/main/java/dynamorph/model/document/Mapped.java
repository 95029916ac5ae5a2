package dynamorph.model.document;

import dynamorph.model.style.StyleId;

/** What a style of a document becomes in a project. */
public sealed interface Mapped {
  /**
   * Its words follow a style that is there. Paragraphs that follow a text style stand in a text of
   * their own.
   */
  record Follow(StyleId style) implements Mapped {}

  /** Its words follow a new style that has its look. */
  record NewStyle(String name) implements Mapped {}

  /** Its words keep its look as local changes. */
  record Local() implements Mapped {}

  /** Its words come without its look. */
  record WordsOnly() implements Mapped {}
}
