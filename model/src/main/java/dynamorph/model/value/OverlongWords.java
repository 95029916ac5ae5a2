package dynamorph.model.value;

/** What becomes of a word that is longer than a line (CSS Text 3, overflow-wrap). */
public enum OverlongWords {
  STAND_OUT,
  BREAK
}
