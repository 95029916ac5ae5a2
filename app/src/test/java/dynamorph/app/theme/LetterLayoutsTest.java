package dynamorph.app.theme;

import static org.assertj.core.api.Assertions.assertThat;

import com.sun.javafx.text.GlyphLayout;
import com.sun.javafx.text.GlyphLayoutManager;
import javafx.stage.Stage;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.testfx.api.FxRobot;
import org.testfx.framework.junit5.ApplicationExtension;
import org.testfx.framework.junit5.Start;

@ExtendWith(ApplicationExtension.class)
class LetterLayoutsTest {
  @Start
  void start(Stage stage) {
    LetterLayouts.keepApart();
  }

  @Test
  void nobodyGetsWhatSomebodyElseHadBefore(FxRobot robot) {
    robot.interact(() -> {
      GlyphLayout first = GlyphLayoutManager.getInstance();
      first.dispose();
      GlyphLayout second = GlyphLayoutManager.getInstance();
      assertThat(second).isNotSameAs(first);
      LetterLayouts.keepApart();
      assertThat(GlyphLayoutManager.getInstance()).isNotSameAs(second).isNotSameAs(first);
    });
  }
}
