package dynamorph.model.reach;

import static org.assertj.core.api.Assertions.assertThat;

import dynamorph.model.Artboard;
import dynamorph.model.Layer;
import dynamorph.model.LayerId;
import dynamorph.model.LengthUnit;
import dynamorph.model.Project;
import dynamorph.model.edit.Target;
import dynamorph.model.edit.layer.ArrangeLayers;
import dynamorph.model.edit.layer.MoveLayers;
import dynamorph.model.edit.style.ChangeStyle;
import dynamorph.model.edit.text.EditText;
import dynamorph.model.property.Address;
import dynamorph.model.property.Level;
import dynamorph.model.property.Properties;
import dynamorph.model.property.PropertySet;
import dynamorph.model.style.Style;
import dynamorph.model.style.StyleBook;
import dynamorph.model.style.StyleId;
import dynamorph.model.style.StyleLevel;
import dynamorph.model.text.Paragraph;
import dynamorph.model.text.Span;
import dynamorph.model.text.Story;
import dynamorph.model.text.TextRange;
import dynamorph.model.value.CoatKind;
import dynamorph.model.value.EffectKind;
import java.util.List;
import java.util.Optional;
import org.junit.jupiter.api.Test;

class ReachTest {
  private static final StyleId LABEL = new StyleId("label");
  private static final StyleId QUIET = new StyleId("quiet");
  private static final Address RIM = Address.coat("rim");
  private static final PropertySet SPACED = PropertySet.EMPTY.with(Properties.TRACKING, 9.0);

  private final Project project =
      Project.empty("P")
          .withStyles(
              StyleBook.of(
                  List.of(
                      Style.text("label", "Label", ""),
                      Style.text("quiet", "Quiet", "").withLevel(StyleLevel.CHARACTER))))
          .plus(
              Artboard.empty("a", "A", 100, 100, LengthUnit.POINT)
                  .plus(Layer.of("one", "One", "x").withFollows(List.of(LABEL)))
                  .plus(
                      Layer.of("two", "Two", "")
                          .withStory(
                              Story.of(
                                  Paragraph.of(
                                      Span.of("a"), Span.of("b").withFollows(List.of(QUIET))))))
                  .plus(Layer.of("three", "Three", "z")));

  private List<String> reached(Project after) {
    return Reach.between(project, after).stream().map(LayerId::value).toList();
  }

  @Test
  void aStyleReachesThoseThatFollowItAnywhereInThem() {
    assertThat(reached(changed(LABEL))).containsExactly("one");
    assertThat(reached(changed(QUIET))).containsExactly("two");
    assertThat(Followers.of(project).direct(QUIET))
        .extracting(follower -> follower.layer().name())
        .containsExactly("Two");
  }

  /** Where tabs stop is not seen where there are none. */
  @Test
  void tabStopsReachTextsThatHaveTabs() {
    Project tabbed =
        project.plus(
            Artboard.empty("b", "B", 100, 100, LengthUnit.POINT)
                .plus(Layer.of("four", "Four", "a\tb").withFollows(List.of(LABEL))));
    Style style = tabbed.styles().get(LABEL);
    Project after =
        new ChangeStyle(
                style.withProperties(
                    PropertySet.EMPTY.with(
                        Properties.DEFAULT_TAB_STOPS, dynamorph.model.value.Length.points(50))))
            .applyTo(tabbed);
    assertThat(Reach.between(tabbed, after)).containsExactly(new LayerId("four"));
  }

  private Project changed(StyleId id) {
    Style style = project.styles().get(id);
    return new ChangeStyle(style.withProperties(SPACED)).applyTo(project);
  }

  @Test
  void aValueThatChangesNothingReachesNobody() {
    Style label = project.styles().get(LABEL);
    Style same = label.withProperties(PropertySet.EMPTY.with(Properties.TRACKING, 0.0));
    assertThat(reached(new ChangeStyle(same).applyTo(project))).isEmpty();
    assertThat(reached(new ChangeStyle(label.withName("Other")).applyTo(project))).isEmpty();
    assertThat(reached(project)).isEmpty();
  }

  @Test
  void wordsPlaceAndNewLayersCount() {
    assertThat(
            reached(EditText.plain(new LayerId("three"), TextRange.caret(0), "y").applyTo(project)))
        .containsExactly("three");
    assertThat(reached(new MoveLayers(Target.Layers.of("two"), 1, 0).applyTo(project)))
        .containsExactly("two");
    assertThat(
            reached(
                new ArrangeLayers.Add(
                        project.artboards().getFirst().id(),
                        List.of(Layer.of("four", "Four", "")),
                        "Set")
                    .applyTo(project)))
        .containsExactly("four");
  }

  @Test
  void localChangesAreListedFromWideToNarrow() {
    Span span = Span.of("x").withLocal(SPACED);
    Layer layer =
        Layer.of("t", "T", "")
            .withLocal(SPACED)
            .withStory(
                Story.of(new Paragraph(List.of(Span.of("w"), span), Optional.empty(), SPACED)));
    assertThat(LocalChanges.of(layer))
        .extracting(
            LocalChanges.Change::level, LocalChanges.Change::paragraph, LocalChanges.Change::span)
        .containsExactly(
            org.assertj.core.groups.Tuple.tuple(Level.LAYER, -1, -1),
            org.assertj.core.groups.Tuple.tuple(Level.PARAGRAPH, 0, -1),
            org.assertj.core.groups.Tuple.tuple(Level.SPAN, 0, 1));
  }

  @Test
  void aCoatPutInByHandIsOneChangeAndAPatchIsOneEach() {
    PropertySet patched =
        PropertySet.EMPTY
            .with(Properties.COAT_ORDER.at(RIM), 3.0)
            .with(Properties.COAT_OPACITY.at(RIM), 0.5);
    assertThat(LocalChanges.count(Layer.of("t", "T", "").withLocal(patched))).isEqualTo(2);
    PropertySet put = patched.with(Properties.COAT_KIND.at(RIM), CoatKind.STROKE);
    PropertySet withShadow =
        put.with(Properties.EFFECT_KIND.at(RIM.effect("cast")), EffectKind.DROP_SHADOW);
    assertThat(LocalChanges.count(Layer.of("t", "T", "").withLocal(put))).isEqualTo(1);
    assertThat(LocalChanges.count(Layer.of("t", "T", "").withLocal(withShadow))).isEqualTo(1);
  }
}
