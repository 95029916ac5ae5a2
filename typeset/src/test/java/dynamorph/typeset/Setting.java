package dynamorph.typeset;

import dynamorph.model.Artboard;
import dynamorph.model.Layer;
import dynamorph.model.LengthUnit;
import dynamorph.model.Project;
import dynamorph.model.cascade.Cascade;
import dynamorph.model.cascade.ResolvedLayer;
import dynamorph.model.property.Properties;
import dynamorph.model.property.PropertySet;
import dynamorph.model.text.Story;
import dynamorph.model.value.BoxFit;
import dynamorph.model.value.FontSize;
import dynamorph.typeset.font.FontLibrary;
import dynamorph.typeset.layout.TextLayout;
import dynamorph.typeset.layout.Typesetter;

/** Sets texts for tests, with the shipped fonts only. */
public record Setting(Story story, PropertySet values) {
  private static final FontLibrary FONTS = FontLibrary.shipped();

  /** Plain text in Source Sans 3 at 20 pt, as a point. */
  public static Setting of(String text) {
    return of(Story.of(text));
  }

  public static Setting of(Story story) {
    return new Setting(story, PropertySet.EMPTY.with(Properties.SIZE, FontSize.points(20)));
  }

  public <T> Setting with(dynamorph.model.property.Property<T> property, T value) {
    return new Setting(story, values.with(property, value));
  }

  /** In a box of this measure that grows. */
  public Setting inBox(double width) {
    return with(Properties.BOX, BoxFit.GROW).with(Properties.BOX_WIDTH, width);
  }

  /** In a fixed box. */
  public Setting inBox(double width, double height) {
    return with(Properties.BOX, BoxFit.FIXED)
        .with(Properties.BOX_WIDTH, width)
        .with(Properties.BOX_HEIGHT, height);
  }

  public ResolvedLayer look() {
    Layer layer = layer();
    Project project =
        Project.empty("t").plus(Artboard.empty("a", "A", 500, 500, LengthUnit.POINT).plus(layer));
    return Cascade.of(project).resolve(layer);
  }

  private Layer layer() {
    return Layer.of("t", "T", "").withStory(story).withLocal(values);
  }

  public TextLayout layout() {
    return layout(typesetter());
  }

  /** Set by a typesetter that may remember it. */
  public TextLayout layout(Typesetter typesetter) {
    return typesetter.layout(story, look());
  }

  public static FontLibrary fonts() {
    return FONTS;
  }

  /** One that remembers nothing, so that every test sets its text itself. */
  public static Typesetter typesetter() {
    return new Typesetter(FONTS);
  }
}
