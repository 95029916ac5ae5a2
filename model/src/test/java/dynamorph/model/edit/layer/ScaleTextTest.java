package dynamorph.model.edit.layer;

import static org.assertj.core.api.Assertions.assertThat;

import dynamorph.model.Artboard;
import dynamorph.model.Layer;
import dynamorph.model.LayerId;
import dynamorph.model.LengthUnit;
import dynamorph.model.Project;
import dynamorph.model.cascade.Cascade;
import dynamorph.model.edit.Target;
import dynamorph.model.property.Properties;
import dynamorph.model.property.PropertySet;
import dynamorph.model.text.TextRange;
import dynamorph.model.value.FontSize;
import dynamorph.model.value.Leading;
import java.util.List;
import org.junit.jupiter.api.Test;

class ScaleTextTest {
  private static final LayerId TEXT = new LayerId("t");

  private static Project project(PropertySet local) {
    Layer text =
        Layer.of("t", "T", "Hours and minutes")
            .withFrame(
                PropertySet.EMPTY
                    .with(Properties.POSITION_X, 30.0)
                    .with(Properties.POSITION_Y, 40.0))
            .withLocal(local);
    return Project.empty("P").plus(Artboard.empty("a", "A", 400, 400, LengthUnit.POINT).plus(text));
  }

  private static List<Double> sizes(Project project) {
    return Cascade.of(project)
        .resolve(project.layer(TEXT).orElseThrow())
        .paragraphs()
        .getFirst()
        .spans()
        .stream()
        .map(span -> span.type().size())
        .toList();
  }

  private static Project scaled(Project project, double factor, double awayX, double awayY) {
    return new ScaleText(project.layer(TEXT).orElseThrow(), factor, awayX, awayY).applyTo(project);
  }

  @Test
  void allSizesGrowAndWordsKeepTheirRatio() {
    Project plain = project(PropertySet.EMPTY.with(Properties.SIZE, new FontSize.Absolute(20)));
    Project mixed =
        SetValues.of(
                new Target.Words(TEXT, new TextRange(10, 17)),
                Properties.SIZE.key(),
                (FontSize) new FontSize.Absolute(8))
            .applyTo(plain);
    assertThat(sizes(mixed)).containsExactly(20.0, 8.0);
    assertThat(sizes(scaled(mixed, 1.5, 0, 0))).containsExactly(30.0, 12.0);
  }

  @Test
  void aRelativeSizeBecomesWhatItIsScaledTo() {
    Project relative = project(PropertySet.EMPTY.with(Properties.SIZE, new FontSize.Times(2)));
    double before = sizes(relative).getFirst();
    assertThat(sizes(scaled(relative, 0.5, 0, 0))).containsExactly(before / 2);
  }

  @Test
  void leadingInPointsGrowsAndOneOfTheSizeDoesByItself() {
    PropertySet values =
        PropertySet.EMPTY
            .with(Properties.SIZE, new FontSize.Absolute(20))
            .with(Properties.LEADING, new Leading.Absolute(26));
    Layer after = scaled(project(values), 2, 0, 0).layer(TEXT).orElseThrow();
    assertThat(after.local().get(Properties.LEADING.key())).contains(new Leading.Absolute(52));
    PropertySet shared = values.with(Properties.LEADING, new Leading.Relative(1.3));
    Layer kept = scaled(project(shared), 2, 0, 0).layer(TEXT).orElseThrow();
    assertThat(kept.local().get(Properties.LEADING.key())).contains(new Leading.Relative(1.3));
  }

  @Test
  void theOppositeCornerStays() {
    Layer after = scaled(project(PropertySet.EMPTY), 1.5, 100, -60).layer(TEXT).orElseThrow();
    // the anchor was 100 right of it and 60 above it: 150 and 90 then
    assertThat(after.frame().get(Properties.POSITION_X.key())).contains(80.0);
    assertThat(after.frame().get(Properties.POSITION_Y.key())).contains(10.0);
  }

  @Test
  void sizesEndWhereTheyMayEnd() {
    Project project = project(PropertySet.EMPTY.with(Properties.SIZE, new FontSize.Absolute(20)));
    assertThat(sizes(scaled(project, 100_000, 0, 0))).containsExactly(FontSize.LARGEST);
    assertThat(sizes(scaled(project, 1e-6, 0, 0))).containsExactly(FontSize.SMALLEST);
  }
}
