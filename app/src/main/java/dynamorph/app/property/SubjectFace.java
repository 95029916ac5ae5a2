package dynamorph.app.property;

import dynamorph.app.field.Face;
import dynamorph.app.render.PictureService;
import dynamorph.app.render.Studio;
import dynamorph.app.theme.Theme;
import dynamorph.model.cascade.FontRequest;
import dynamorph.model.property.Address;
import dynamorph.model.property.Properties;
import dynamorph.model.property.Property;
import dynamorph.model.property.PropertySet;
import dynamorph.model.value.Colour;
import dynamorph.model.value.FontSize;
import dynamorph.model.value.Rgba;
import dynamorph.typeset.font.FontFace;
import java.util.List;
import java.util.Optional;
import java.util.function.Supplier;
import javafx.scene.image.ImageView;

/** The face of what the inspector or the desk shows. */
public final class SubjectFace implements Face {
  private static final FontSize SIZE = FontSize.points(15);
  private static final double SCALE = 2;
  private static final Rgba CLEAR = new Rgba(0);

  private final Supplier<Studio> studio;
  private final Supplier<Subject> subject;
  private final PictureService pictures;
  private final Supplier<Theme> theme;

  public SubjectFace(
      Supplier<Studio> studio,
      Supplier<Subject> subject,
      PictureService pictures,
      Supplier<Theme> theme) {
    this.studio = studio;
    this.subject = subject;
    this.pictures = pictures;
    this.theme = theme;
  }

  @Override
  public Optional<FontFace> current() {
    if (subject.get().isEmpty()) {
      return Optional.empty();
    }
    Optional<String> family = value(Properties.FONT_FAMILY);
    Optional<Double> weight = value(Properties.FONT_WEIGHT);
    return family.map(name ->
        studio
            .get()
            .fonts()
            .match(
                new FontRequest(
                    name,
                    weight.orElse(Properties.FONT_WEIGHT.defaultValue()),
                    value(Properties.FONT_WIDTH).orElse(Properties.FONT_WIDTH.defaultValue()),
                    value(Properties.SLANT).orElse(Properties.SLANT.defaultValue()),
                    value(Properties.FONT_AXES).orElse(Properties.FONT_AXES.defaultValue()),
                    false,
                    Properties.FALLBACK_FONTS.defaultValue()))
            .face());
  }

  private <T> Optional<T> value(Property<T> property) {
    return subject.get().shown(property.key()).value();
  }

  @Override
  public void show(ImageView view, String letters, PropertySet over, int width, int height) {
    PropertySet values = PropertySet.EMPTY.with(Properties.SIZE, SIZE);
    for (Property<?> property :
        List.of(
            Properties.FONT_FAMILY,
            Properties.FONT_WEIGHT,
            Properties.SLANT,
            Properties.FONT_AXES)) {
      values = withShown(values, property);
    }
    PropertySet all =
        values
            .with(Properties.COAT_COLOUR.at(Address.coat("fill")), Colour.of(theme.get().ink()))
            .overlaidBy(over);
    Theme now = theme.get();
    pictures.show(
        view,
        List.of("letters", letters, all, width, height, now),
        () -> studio.get().specimens().letters(all, letters, CLEAR, width, height, SCALE));
  }

  private <T> PropertySet withShown(PropertySet values, Property<T> property) {
    Optional<T> shown = value(property);
    return shown.isPresent() ? values.with(property, shown.get()) : values;
  }
}
