package dynamorph.model;

import java.util.random.RandomGenerator;

/** Where new ids come from; tests give their own. */
@FunctionalInterface
public interface IdSource {
  /** An id that no other thing of the project has, in the form {@code prefix-xxxxxxxx}. */
  String next(String prefix);

  /** Ids out of 64 random bits: two alike in one project are out of reach. */
  static IdSource random(RandomGenerator random) {
    return prefix -> prefix + "-" + Long.toUnsignedString(random.nextLong(), 36);
  }
}
