package dynamorph.formats.guide;

import java.util.List;
import java.util.stream.Collectors;

/** A part of a section that stands on lines of its own. */
public sealed interface GuideBlock {
  /** Running text. */
  record Paragraph(List<GuideRun> runs) implements GuideBlock {}

  /**
   * An entry of a list.
   *
   * @param mark what stands before it: a bullet, or its number and a full stop
   * @param depth how many lists it is inside, from 1
   */
  record Entry(String mark, int depth, List<GuideRun> runs) implements GuideBlock {}

  /** Lines that are set as they are. */
  record Code(String text) implements GuideBlock {}

  /**
   * Rows of cells.
   *
   * @param rows the first is the head
   */
  record Table(List<List<List<GuideRun>>> rows) implements GuideBlock {}

  /** Its words, without looks. */
  default String text() {
    return switch (this) {
      case Paragraph paragraph -> GuideRun.text(paragraph.runs());
      case Entry entry -> GuideRun.text(entry.runs());
      case Code code -> code.text();
      case Table table ->
          table.rows().stream()
              .map(row -> row.stream().map(GuideRun::text).collect(Collectors.joining(" ")))
              .collect(Collectors.joining(" "));
    };
  }
}
