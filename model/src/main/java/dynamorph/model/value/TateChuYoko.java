package dynamorph.model.value;

/** What is set across a vertical line in the room of one letter (CSS text-combine-upright). */
public enum TateChuYoko {
  NONE(0),
  TWO_DIGITS(2),
  THREE_DIGITS(3),
  FOUR_DIGITS(4),
  ALL(0);

  private final int digits;

  TateChuYoko(int digits) {
    this.digits = digits;
  }

  /** The longest group of digits that is set so by itself; 0 for none. */
  public int digits() {
    return digits;
  }
}
