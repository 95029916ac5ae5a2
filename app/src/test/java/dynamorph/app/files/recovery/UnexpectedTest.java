package dynamorph.app.files.recovery;

import static org.assertj.core.api.Assertions.assertThat;

import dynamorph.app.session.Notice;
import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import java.util.concurrent.atomic.AtomicReference;
import org.junit.jupiter.api.Test;

class UnexpectedTest {
  private final List<Notice> told = new ArrayList<>();
  private final AtomicReference<Instant> now =
      new AtomicReference<>(Instant.parse("2026-03-01T10:00:00Z"));
  private final List<String> saved = new ArrayList<>();
  private final Unexpected unexpected =
      new Unexpected(() -> "text.fonts", told::add, () -> saved.add("saved"), now::get);

  private void fail(int afterSeconds) {
    now.set(now.get().plusSeconds(afterSeconds));
    unexpected.uncaughtException(Thread.currentThread(), new IllegalStateException("secret"));
  }

  @Test
  void aFailureIsToldInASentence() {
    fail(0);
    assertThat(told.getFirst().problem()).isTrue();
    assertThat(told.getFirst().text())
        .isEqualTo(
            "Something went wrong (IllegalStateException). Your work is kept; you can go on.");
    assertThat(told.getFirst().offers()).isEmpty();
  }

  @Test
  void thriceInAMinuteACopyIsOffered() {
    fail(0);
    fail(31);
    fail(31);
    assertThat(told.getLast().offers()).as("the first is longer ago").isEmpty();
    fail(10);
    assertThat(told.getLast().offers()).hasSize(1);
    ((Notice.Offer.Press) told.getLast().offers().getFirst()).run().run();
    assertThat(saved).containsExactly("saved");
  }

  @Test
  void aReportHasThePlaceAndNoWords() {
    Throwable cause = new IllegalArgumentException("the words of a client");
    String report = unexpected.report("painting", new IllegalStateException("more words", cause));
    assertThat(report)
        .contains("action: text.fonts", "thread: painting")
        .contains("java.lang.IllegalStateException\n\tat dynamorph.app.files.recovery.Unexpected")
        .contains("\njava.lang.IllegalArgumentException\n")
        .doesNotContain("words of a client", "more words");
  }
}
