package dynamorph.app.styles.reach;

import dynamorph.app.message.Messages;
import dynamorph.paint.reach.Problem;
import java.util.ArrayList;
import java.util.List;

/** Tells in words what a change reaches, problems first. */
final class ReachWords {
  /**
   * Some words and the look that says what they are about.
   *
   * @param styleClass how they are drawn
   */
  record Piece(String text, String styleClass) {
    boolean isProblem() {
      return styleClass.equals("problem-text");
    }
  }

  private ReachWords() {}

  static List<Piece> of(ReachReport report) {
    List<Piece> pieces = new ArrayList<>();
    long held = report.count(ReachReport.Entry::heldBack);
    long boards =
        report.entries().stream()
            .map(entry -> entry.text().after().board().artboard().id())
            .distinct()
            .count();
    long texts =
        report.total() - held - report.count(entry -> !entry.heldBack() && entry.isFurtherBox());
    if (report.comparing()) {
      long coming = report.count(entry -> !entry.heldBack() && entry.text().before().isEmpty());
      if (coming < texts || coming == 0) {
        pieces.add(
            new Piece(
                report.total() == 0
                    ? Messages.of("reach-words.no-text-looks-different")
                    : Messages.of("count.text-changes", texts - coming),
                "quiet-words"));
      }
      if (coming > 0) {
        pieces.add(new Piece(Messages.of("reach-words.coming", coming), "quiet-words"));
      }
      for (Problem.Kind kind : Problem.Kind.values()) {
        long newly = report.newly(kind);
        if (newly > 0) {
          pieces.add(
              new Piece(
                  Messages.of("reach-words.problem", newly, kind.label()),
                  kind == Problem.Kind.LINES ? "quiet-words" : "problem-text"));
        }
      }
    } else {
      pieces.add(
          new Piece(
              report.total() == 0
                  ? Messages.of("reach-words.nothing-follows-it-yet")
                  : Messages.of("reach-words.on-artboard", texts, boards),
              "quiet-words"));
      for (Problem.Kind kind : Problem.Kind.values()) {
        long there = report.count(entry -> entry.text().has(kind));
        if (there > 0) {
          pieces.add(
              new Piece(Messages.of("reach-words.problem", there, kind.label()), "problem-text"));
        }
      }
    }
    long local = report.count(entry -> entry.local() > 0);
    if (local > 0) {
      pieces.add(new Piece(Messages.of("reach-words.with-local-changes", local), "local-text"));
    }
    if (!report.isComplete() && report.total() > 40) {
      pieces.add(
          new Piece(
              Messages.of("reach-words.looking", report.lookedAt(), report.total()), "quiet"));
    }
    return pieces;
  }
}
