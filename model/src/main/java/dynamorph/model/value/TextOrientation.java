package dynamorph.model.value;

/** How letters stand in vertical lines; see CSS Writing Modes 4, 5.1. */
public enum TextOrientation {
  /** Each as UAX #50 has it: East Asian letters upright, Latin ones turned. */
  MIXED,
  UPRIGHT,
  SIDEWAYS
}
