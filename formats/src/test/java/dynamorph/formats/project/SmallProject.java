package dynamorph.formats.project;

import dynamorph.model.Artboard;
import dynamorph.model.Layer;
import dynamorph.model.LengthUnit;
import dynamorph.model.Project;
import dynamorph.model.property.Address;
import dynamorph.model.property.Properties;
import dynamorph.model.property.PropertySet;
import dynamorph.model.sheet.view.SheetView;
import dynamorph.model.style.Palette;
import dynamorph.model.style.Style;
import dynamorph.model.style.StyleBook;
import dynamorph.model.style.StyleId;
import dynamorph.model.style.Swatch;
import dynamorph.model.value.Colour;
import dynamorph.model.value.FontSize;
import dynamorph.model.value.Rgba;
import java.util.List;
import java.util.Optional;

/** A project small enough to be spoiled by hand. */
final class SmallProject {
  private SmallProject() {}

  static Project project() {
    Style label =
        Style.text("label", "Label", "Labels")
            .withProperties(PropertySet.EMPTY.with(Properties.SIZE, FontSize.points(20)));
    Style loan =
        Style.text("loan", "Loan", "Labels")
            .withBasedOn(Optional.of(label.id()))
            .withProperties(
                PropertySet.EMPTY.with(
                    Properties.COAT_COLOUR.at(Address.coat("fill")), Colour.swatch("copper")));
    Layer one =
        Layer.of("t1", "Title", "Bell")
            .withFollows(List.of(new StyleId("loan")))
            .withFrame(PropertySet.EMPTY.with(Properties.POSITION_X, 5.0))
            .withLocal(PropertySet.EMPTY.with(Properties.TRACKING, 10.0));
    return Project.empty("Small")
        .withPalette(new Palette(List.of(new Swatch("copper", "Copper", Rgba.parse("#a9522b")))))
        .withStyles(StyleBook.of(List.of(label, loan)))
        .withSheetViews(List.of(SheetView.USUAL.withName("Everything")))
        .plus(
            Artboard.empty("a", "A", 300, 200, LengthUnit.POINT)
                .plus(one)
                .plus(Layer.of("t2", "Text", "founded in Halm")));
  }
}
