package dynamorph.app.styles.reach;

import dynamorph.model.value.Numbers;
import dynamorph.paint.reach.Problem;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;

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
    long texts = report.total() - held;
    String on = " on " + Numbers.counted(boards, "artboard");
    if (report.comparing()) {
      pieces.add(
          new Piece(
              report.total() == 0
                  ? "no text looks different"
                  : texts == 1 ? "1 text changes" : texts + " texts change",
              "quiet-words"));
      for (Problem.Kind kind : Problem.Kind.values()) {
        long newly = report.newly(kind);
        if (newly > 0) {
          pieces.add(
              new Piece(
                  newly + " " + kind.label(),
                  kind == Problem.Kind.LINES ? "quiet-words" : "problem-text"));
        }
      }
    } else {
      pieces.add(
          new Piece(
              report.total() == 0 ? "nothing follows it yet" : Numbers.counted(texts, "text") + on,
              "quiet-words"));
      for (Problem.Kind kind : Problem.Kind.values()) {
        long there = report.count(entry -> entry.text().has(kind));
        if (there > 0) {
          pieces.add(new Piece(there + " " + kind.label(), "problem-text"));
        }
      }
    }
    long local = report.count(entry -> entry.local() > 0);
    if (local > 0) {
      pieces.add(new Piece(local + " with local changes", "local-text"));
    }
    if (!report.isComplete() && report.total() > 40) {
      pieces.add(
          new Piece(
              String.format(Locale.ROOT, "looking, %d of %d", report.lookedAt(), report.total()),
              "quiet"));
    }
    return pieces;
  }
}
