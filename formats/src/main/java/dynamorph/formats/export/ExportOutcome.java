package dynamorph.formats.export;

import java.nio.file.Path;
import java.util.List;

/**
 * How an export ended.
 *
 * @param unchanged files that were there and are what they would become
 * @param complete whether it was not cancelled
 */
public record ExportOutcome(
    List<Path> written, List<Path> unchanged, List<Remark> remarks, boolean complete) {
  /**
   * Something to know about what was written.
   *
   * @param artboard its name
   */
  public record Remark(String artboard, String what) {
    @Override
    public String toString() {
      return artboard + ": " + what;
    }
  }

  public ExportOutcome {
    written = List.copyOf(written);
    unchanged = List.copyOf(unchanged);
    remarks = List.copyOf(remarks);
  }
}
