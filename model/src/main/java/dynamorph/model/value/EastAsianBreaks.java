package dynamorph.model.value;

/**
 * How strictly lines of Chinese and Japanese are kept from ending or beginning with certain signs.
 */
public enum EastAsianBreaks {
  LOOSE,
  NORMAL,
  STRICT
}
