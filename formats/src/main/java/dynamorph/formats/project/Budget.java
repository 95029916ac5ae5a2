package dynamorph.formats.project;

/**
 * How much a file may ask for: far more than real ones do, and less than what fills the memory.
 *
 * @param bytes of all its documents and assets, unpacked
 * @param entries how many documents and assets it has
 */
public record Budget(long bytes, int entries) {
  /** Half of the memory there is; set by {@code dynamorph.budget} in MB. */
  public static Budget standard() {
    long given = Long.getLong("dynamorph.budget", 0);
    return new Budget(given > 0 ? given << 20 : Runtime.getRuntime().maxMemory() / 2, 100_000);
  }
}
