package dynamorph.typeset.compose;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.ArrayList;
import java.util.List;
import org.junit.jupiter.api.Test;

class RecentCacheTest {
  private final List<Integer> made = new ArrayList<>();
  private final RecentCache<Integer, String> recent = new RecentCache<>(2);

  @Test
  void keepsWhatWasMadeLastAndMakesTheRestAgain() {
    List<Integer> asked = List.of(1, 2, 1, 2, 3, 2, 1);

    assertThat(asked).allSatisfy(key -> assertThat(ask(key)).isEqualTo("made of " + key));
    assertThat(made).containsExactly(1, 2, 3, 1);
  }

  private String ask(int key) {
    return recent.get(
        key,
        wanted -> {
          made.add(wanted);
          return "made of " + wanted;
        });
  }
}
