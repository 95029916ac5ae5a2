package dynamorph.model.property;

/** How much text a value is set on, from wide to narrow. */
public enum Level {
  LAYER,
  PARAGRAPH,
  SPAN;

  public boolean isNarrowerThan(Level other) {
    return compareTo(other) > 0;
  }
}
