package dynamorph.model.value;

/** How the letters lean. */
public enum Slant {
  UPRIGHT,
  ITALIC
}
