package dynamorph.footage.sound;

import dynamorph.footage.FootageException;

/** Sound in two channels at {@value #RATE} samples a second. One thread at a time uses it. */
public interface Sound extends AutoCloseable {
  int RATE = 48_000;

  /**
   * Adds a stretch of it to what is there; silence adds nothing.
   *
   * @param from number of its first sample, from 0
   * @param left of as many samples as are read, -1 to 1
   * @param right as long as left
   * @param offset of the first sample in both
   * @param count how many samples
   * @throws FootageException if it cannot be read
   */
  void add(long from, float[] left, float[] right, int offset, int count) throws FootageException;

  @Override
  void close();
}
