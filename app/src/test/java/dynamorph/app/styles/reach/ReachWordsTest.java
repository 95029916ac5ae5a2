package dynamorph.app.styles.reach;

import static org.assertj.core.api.Assertions.assertThat;

import dynamorph.demo.LongHour;
import dynamorph.model.LayerId;
import dynamorph.model.Project;
import dynamorph.paint.layer.LayerPainter;
import dynamorph.paint.reach.Problem;
import dynamorph.paint.reach.ReachedText;
import dynamorph.paint.scene.Scene;
import dynamorph.paint.scene.SceneMaker;
import dynamorph.typeset.font.FontLibrary;
import dynamorph.typeset.layout.Typesetter;
import java.util.List;
import java.util.Optional;
import org.junit.jupiter.api.AfterAll;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.Test;

/** What the strip says before anybody clicks Commit. */
class ReachWordsTest {
  private static FontLibrary fonts;
  private static Scene scene;

  @BeforeAll
  static void makeScene() {
    Project demo = LongHour.project();
    fonts = FontLibrary.forProject(demo.assets());
    scene = new SceneMaker(new Typesetter(fonts), new LayerPainter()).make(demo);
  }

  @AfterAll
  static void close() {
    fonts.close();
  }

  private static ReachReport.Entry entry(String id, int local, boolean held, Problem... problems) {
    Scene.Found found = scene.find(new LayerId(id)).orElseThrow();
    ReachedText text = new ReachedText(Optional.of(found), found, List.of(problems), 0.2);
    return new ReachReport.Entry(text, local, held);
  }

  private static Problem fresh(Problem.Kind kind) {
    return new Problem(kind, "detail", true);
  }

  private static Problem old(Problem.Kind kind) {
    return new Problem(kind, "detail", false);
  }

  private static List<String> words(boolean comparing, ReachReport.Entry... entries) {
    return ReachWords.of(report(comparing, entries)).stream().map(ReachWords.Piece::text).toList();
  }

  private static ReachReport report(boolean comparing, ReachReport.Entry... entries) {
    return new ReachReport(
        "Label title", comparing, List.of(entries), entries.length, entries.length);
  }

  @Test
  void aChangeIsCountedWithItsNewProblemsWorstFirst() {
    assertThat(
            words(
                true,
                entry("label-3-title", 0, false, fresh(Problem.Kind.LINES)),
                entry(
                    "label-5-title",
                    2,
                    false,
                    fresh(Problem.Kind.OVERSET),
                    fresh(Problem.Kind.LINES)),
                entry("label-6-title", 0, false, old(Problem.Kind.LOW_CONTRAST))))
        .containsExactly("3 texts change", "1 overset", "2 reflow", "1 with local changes");
  }

  @Test
  void onlyRealProblemsAreDrawnAsSuch() {
    List<ReachWords.Piece> pieces =
        ReachWords.of(
            report(
                true,
                entry(
                    "label-5-title",
                    0,
                    false,
                    fresh(Problem.Kind.OVERSET),
                    fresh(Problem.Kind.LINES))));
    assertThat(pieces.stream().filter(ReachWords.Piece::isProblem))
        .extracting(ReachWords.Piece::text)
        .containsExactly("1 overset");
  }

  @Test
  void whatIsHeldBackDoesNotChangeAndHasNoProblems() {
    assertThat(
            words(
                true,
                entry("label-3-title", 0, false),
                entry("label-5-title", 0, true, fresh(Problem.Kind.OVERSET))))
        .containsExactly("1 text changes");
  }

  @Test
  void aChangeThatIsNotSeenSaysSo() {
    assertThat(words(true)).containsExactly("no text looks different");
    assertThat(words(false)).containsExactly("nothing follows it yet");
  }

  @Test
  void followersAreCountedByArtboardWithTheProblemsThatAreThere() {
    assertThat(words(false, entry("label-3-title", 0, false)))
        .containsExactly("1 text on 1 artboard");
    assertThat(
            words(
                false,
                entry("label-3-title", 0, false, old(Problem.Kind.OVERSET)),
                entry("web-open", 1, false)))
        .containsExactly("2 texts on 2 artboards", "1 overset", "1 with local changes");
  }

  @Test
  void longLooksTellHowFarTheyAre() {
    ReachReport looking =
        new ReachReport("Base", true, List.of(entry("label-3-title", 0, false)), 12, 400);
    assertThat(looking.isComplete()).isFalse();
    assertThat(ReachWords.of(looking))
        .extracting(ReachWords.Piece::text)
        .contains("400 texts change", "looking, 12 of 400");
    ReachReport few = new ReachReport("Base", true, List.of(), 1, 4);
    assertThat(ReachWords.of(few))
        .extracting(ReachWords.Piece::text)
        .as("over before it can be read")
        .containsExactly("4 texts change");
  }

  @Test
  void anotherCountOfLinesAloneIsNoTrouble() {
    assertThat(entry("label-3-title", 0, false, fresh(Problem.Kind.LINES)).isTroubled()).isFalse();
    ReachReport.Entry overset = entry("label-3-title", 0, false, old(Problem.Kind.OVERSET));
    assertThat(overset.isTroubled()).isTrue();
    assertThat(overset.isOverset()).isTrue();
    assertThat(report(true, overset).newly(Problem.Kind.OVERSET)).as("it was so before").isZero();
  }
}
