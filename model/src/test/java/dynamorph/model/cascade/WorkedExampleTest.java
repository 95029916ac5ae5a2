package dynamorph.model.cascade;

import static org.assertj.core.api.Assertions.assertThat;

import dynamorph.model.Artboard;
import dynamorph.model.Layer;
import dynamorph.model.LayerId;
import dynamorph.model.LengthUnit;
import dynamorph.model.Project;
import dynamorph.model.edit.Edit;
import dynamorph.model.edit.Target;
import dynamorph.model.edit.layer.SetValues;
import dynamorph.model.edit.style.ChangeStyle;
import dynamorph.model.edit.style.SaveIntoStyle;
import dynamorph.model.property.Address;
import dynamorph.model.property.Properties;
import dynamorph.model.property.PropertySet;
import dynamorph.model.reach.LocalChanges;
import dynamorph.model.style.Style;
import dynamorph.model.style.StyleBook;
import dynamorph.model.style.StyleId;
import dynamorph.model.style.StyleLevel;
import dynamorph.model.text.Paragraph;
import dynamorph.model.text.Span;
import dynamorph.model.text.Story;
import dynamorph.model.text.TextRange;
import dynamorph.model.value.Colour;
import dynamorph.model.value.FontSize;
import dynamorph.model.value.Leading;
import java.util.List;
import java.util.Optional;
import org.junit.jupiter.api.Test;

/**
 * Base size 12 pt; Body 10 pt with automatic leading; Heading based on Body, ×1.6 and weight 700;
 * Accent sets a colour. One layer with a heading, another with one more.
 */
class WorkedExampleTest {
  private static final StyleId BASE = new StyleId("base");
  private static final StyleId BODY = new StyleId("body");
  private static final StyleId HEADING = new StyleId("heading");
  private static final StyleId ACCENT = new StyleId("accent");
  private static final Address FILL = Address.coat("fill");
  private static final LayerId LAYER = new LayerId("one");
  private static final LayerId OTHER = new LayerId("two");

  private static Project project() {
    StyleBook styles =
        StyleBook.of(
            List.of(
                style(
                    BASE,
                    StyleLevel.TEXT,
                    Optional.empty(),
                    PropertySet.EMPTY.with(Properties.SIZE, FontSize.points(12))),
                style(
                    BODY,
                    StyleLevel.PARAGRAPH,
                    Optional.empty(),
                    PropertySet.EMPTY
                        .with(Properties.SIZE, FontSize.points(10))
                        .with(Properties.LEADING, Leading.AUTOMATIC)),
                style(
                    HEADING,
                    StyleLevel.PARAGRAPH,
                    Optional.of(BODY),
                    PropertySet.EMPTY
                        .with(Properties.SIZE, new FontSize.Times(1.6))
                        .with(Properties.FONT_WEIGHT, 700.0)),
                style(
                    ACCENT,
                    StyleLevel.CHARACTER,
                    Optional.empty(),
                    PropertySet.EMPTY.with(
                        Properties.COAT_COLOUR.at(FILL), Colour.hex("#b8470b")))));
    Paragraph heading =
        Paragraph.of(Span.of("Eight days "), Span.of("to wind").withFollows(List.of(ACCENT)))
            .withFollows(Optional.of(HEADING));
    Paragraph body = Paragraph.of("The clock had stopped.").withFollows(Optional.of(BODY));
    return Project.empty("Example")
        .withStyles(styles)
        .withBaseStyle(Optional.of(BASE))
        .plus(
            Artboard.empty("a", "A", 100, 100, LengthUnit.POINT)
                .plus(Layer.of("one", "One", "").withStory(Story.of(heading, body)))
                .plus(Layer.of("two", "Two", "").withStory(Story.of(heading))));
  }

  private static Style style(
      StyleId id, StyleLevel level, Optional<StyleId> base, PropertySet values) {
    return new Style(id, id.value(), "", level, base, values, "");
  }

  private static Layer layer(Project project, LayerId id) {
    return project.layer(id).orElseThrow();
  }

  /** Size of the accented words in the heading. */
  private static double headingSize(Project project, LayerId id) {
    return accent(project, id).type().size();
  }

  private static CharacterLook accent(Project project, LayerId id) {
    return Cascade.of(project).resolve(layer(project, id)).paragraphs().getFirst().spans().get(1);
  }

  private static Target headingOf(Project project) {
    return new Target.Words(LAYER, TextRange.caret(3));
  }

  @Test
  void accentInAHeading() {
    CharacterLook look = accent(project(), LAYER);
    assertThat(look.type().size()).isEqualTo(16);
    assertThat(look.type().weight()).isEqualTo(700);
    assertThat(look.type().leading()).isEqualTo(16 * Leading.AUTOMATIC_SHARE);
    assertThat(look.finish().coats())
        .singleElement()
        .extracting(coat -> coat.paint().colour())
        .hasToString("#b8470b");
  }

  @Test
  void bodyAt11MakesTheHeading17Point6() {
    Project before = project();
    Style body = before.styles().get(BODY);
    Edit edit =
        new ChangeStyle(
            body.withProperties(body.properties().with(Properties.SIZE, FontSize.points(11))));
    assertThat(headingSize(edit.applyTo(before), LAYER)).isEqualTo(17.6);
  }

  @Test
  void sizeOnTheLayerAloneChangesNothing() {
    Project before = project();
    Project after =
        before.mapLayers(
            layer -> layer.withLocal(PropertySet.EMPTY.with(Properties.SIZE, FontSize.points(20))));
    assertThat(headingSize(after, LAYER)).isEqualTo(16);
  }

  @Test
  void sizeOnTheParagraphIsOneLocalChange() {
    Project before = project();
    Project after =
        SetValues.of(headingOf(before), Properties.SIZE.key(), FontSize.points(20)).applyTo(before);
    assertThat(headingSize(after, LAYER)).isEqualTo(20);
    assertThat(LocalChanges.of(layer(after, LAYER))).hasSize(1);
    assertThat(headingSize(after, OTHER)).isEqualTo(16);
  }

  @Test
  void savedIntoTheStyleEveryHeadingFollows() {
    Project before = project();
    Project local =
        SetValues.of(headingOf(before), Properties.SIZE.key(), FontSize.points(20)).applyTo(before);
    Project after = SaveIntoStyle.all(headingOf(local)).applyTo(local);
    assertThat(after.styles().get(HEADING).properties().get(Properties.SIZE.key()))
        .contains(FontSize.points(20));
    assertThat(LocalChanges.of(layer(after, LAYER))).isEmpty();
    assertThat(headingSize(after, LAYER)).isEqualTo(20);
    assertThat(headingSize(after, OTHER)).isEqualTo(20);
  }

  @Test
  void theTraceOfTheHeadingsSize() {
    Project project = project();
    Layer layer = layer(project, LAYER);
    Paragraph heading = layer.story().paragraphs().getFirst();
    Trace<FontSize> trace =
        Cascade.of(project)
            .trace(layer, heading, heading.spans().getFirst(), Properties.SIZE.key());
    assertThat(trace.steps())
        .extracting(
            Trace.Step::source,
            step -> step.declared().toString(),
            step -> step.computed().toString())
        .containsExactly(
            org.assertj.core.groups.Tuple.tuple(
                new Source.Followed(dynamorph.model.property.Level.PARAGRAPH, HEADING, HEADING),
                "\u00d71.6",
                "16 pt"),
            org.assertj.core.groups.Tuple.tuple(
                new Source.Followed(dynamorph.model.property.Level.PARAGRAPH, HEADING, BODY),
                "10 pt",
                "10 pt"),
            org.assertj.core.groups.Tuple.tuple(new Source.Base(BASE), "12 pt", "12 pt"),
            org.assertj.core.groups.Tuple.tuple(new Source.Default(), "12 pt", "12 pt"));
  }
}
