package dynamorph.app.session;

import static org.assertj.core.api.Assertions.assertThat;

import dynamorph.demo.LongHour;
import dynamorph.model.LayerId;
import dynamorph.model.Project;
import dynamorph.model.cascade.Cascade;
import dynamorph.model.cascade.ResolvedLayer;
import dynamorph.model.edit.Target;
import dynamorph.model.edit.layer.MoveLayers;
import dynamorph.model.property.Address;
import dynamorph.model.style.StyleId;
import java.util.List;
import java.util.Optional;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;

/** What is shown while looking, and is never kept. */
class LookingTest {
  private static final LayerId TITLE = new LayerId("entrance-title");
  private static final LayerId TAG = new LayerId("web-open");
  private static final Address RIM = Address.coat("rim");

  private final Project demo = LongHour.project();
  private final Workspace workspace = new Workspace(prefix -> prefix + "-1", demo);

  @BeforeEach
  void select() {
    workspace.select(List.of(TITLE));
  }

  private ResolvedLayer shown(LayerId id) {
    Project shown = workspace.shownProperty().get();
    return Cascade.of(shown).resolve(shown.layer(id).orElseThrow());
  }

  @Test
  void aCoatShownAloneHidesTheOthersOfTheSelectionOnly() {
    int all = shown(TITLE).finish().coats().size();
    workspace.soloCoatProperty().set(Optional.of(RIM));
    assertThat(all).isGreaterThan(1);
    assertThat(shown(TITLE).finish().coats()).hasSize(1);
    assertThat(shown(TAG)).isEqualTo(Cascade.of(demo).resolve(demo.layer(TAG).orElseThrow()));
    assertThat(workspace.project()).isSameAs(demo);
    assertThat(workspace.historyProperty().get().canUndo()).isFalse();
    workspace.soloCoatProperty().set(Optional.empty());
    assertThat(workspace.shownProperty().get()).isSameAs(demo);
  }

  @Test
  void aPlateShownAloneIsWithoutLetters() {
    workspace.select(List.of(TAG));
    workspace.soloCoatProperty().set(Optional.of(Address.plateCoat("ground")));
    assertThat(shown(TAG).finish().coats()).isEmpty();
    assertThat(shown(TAG).plate().coats()).hasSize(1);
  }

  @Test
  void anEditGoesOnWhileACoatIsAloneAndAnotherSelectionEndsIt() {
    workspace.soloCoatProperty().set(Optional.of(RIM));
    workspace.apply(new MoveLayers(new Target.Layers(List.of(TITLE)), 5, 0));
    assertThat(shown(TITLE).finish().coats()).hasSize(1);
    assertThat(workspace.project()).isNotEqualTo(demo);
    workspace.select(List.of(TAG));
    assertThat(workspace.soloCoatProperty().get()).isEmpty();
    assertThat(workspace.shownProperty().get()).isSameAs(workspace.project());
  }

  @Test
  void theGradientInHandIsLetGoWithTheDeskThatHeldIt() {
    workspace
        .gradientInHandProperty()
        .set(Optional.of(new Workspace.GradientInHand(RIM, (_, _) -> {})));
    workspace.attempts().openDesk(new StyleId("enamel-title"));
    assertThat(workspace.attempts().present().desk()).isPresent();
    assertThat(workspace.gradientInHandProperty().get()).isEmpty();
    workspace
        .gradientInHandProperty()
        .set(Optional.of(new Workspace.GradientInHand(RIM, (_, _) -> {})));
    workspace
        .attempts()
        .draft(
            workspace.attempts().present().desk().orElseThrow().draft().withName("Other"),
            Optional.empty());
    assertThat(workspace.gradientInHandProperty().get()).as("a draft goes on").isPresent();
    workspace.attempts().discardPending();
    assertThat(workspace.gradientInHandProperty().get()).isEmpty();
  }
}
