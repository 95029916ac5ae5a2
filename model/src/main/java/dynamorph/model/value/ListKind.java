package dynamorph.model.value;

/** What stands before a paragraph of a list. */
public enum ListKind {
  NONE,
  BULLETS,
  NUMBERS
}
