package dynamorph.model.value;

/** Whether letters are raised or lowered as small figures. */
public enum ScriptPosition {
  NORMAL,
  SUPERSCRIPT,
  SUBSCRIPT
}
