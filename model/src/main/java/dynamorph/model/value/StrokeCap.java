package dynamorph.model.value;

/** How a stroke or a dash ends. */
public enum StrokeCap {
  BUTT,
  ROUND,
  SQUARE
}
