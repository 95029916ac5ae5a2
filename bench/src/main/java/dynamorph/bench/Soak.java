package dynamorph.bench;

import dynamorph.model.Artboard;
import dynamorph.model.Layer;
import dynamorph.model.LengthUnit;
import dynamorph.model.Project;
import dynamorph.model.edit.style.ChangeStyle;
import dynamorph.model.property.Properties;
import dynamorph.model.property.PropertySet;
import dynamorph.model.style.Style;
import dynamorph.model.style.StyleBook;
import dynamorph.model.style.StyleId;
import dynamorph.model.value.Length;
import dynamorph.model.value.Rgba;
import dynamorph.paint.Pixels;
import dynamorph.paint.layer.LayerPainter;
import dynamorph.paint.scene.Scene;
import dynamorph.paint.scene.SceneMaker;
import dynamorph.paint.stage.StageRenderer;
import dynamorph.paint.stage.View;
import dynamorph.typeset.font.FontLibrary;
import dynamorph.typeset.layout.Typesetter;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;

/**
 * Ten thousand edits of a style in the riveted finish, each drawn: tells how much memory the
 * process has after 500 and at the end. It fails if that is more than a tenth apart.
 */
public final class Soak {
  private static final int EDITS = 10_000;
  private static final int SETTLED = 500;
  private static final View VIEW = new View(640, 400, 0.5, 0, 0);
  private static final Rgba SURROUND = Rgba.of(218, 214, 205);

  private Soak() {}

  public static void main(String[] arguments) throws IOException {
    StyleId id = new StyleId("riveted");
    PropertySet look = FinishBench.layer("title", 0, 0, PropertySet.EMPTY).local();
    Style style = Style.text("riveted", "Riveted", "").withProperties(look);
    Layer layer =
        Layer.of("title", "Title", "HARBOUR")
            .withFrame(
                PropertySet.EMPTY
                    .with(Properties.POSITION_X, 120.0)
                    .with(Properties.POSITION_Y, 150.0))
            .withFollows(List.of(id));
    Project project =
        Project.empty("Soak")
            .withStyles(StyleBook.of(List.of(style)))
            .plus(Artboard.empty("a", "A", 1280, 800, LengthUnit.PIXEL).plus(layer));
    try (FontLibrary fonts = FontLibrary.shipped()) {
      SceneMaker maker = new SceneMaker(new Typesetter(fonts), new LayerPainter());
      Pixels pixels = Pixels.blank(VIEW.width(), VIEW.height());
      long settled = 0;
      try (StageRenderer renderer = new StageRenderer(maker.painter(), Runnable::run, 0)) {
        Scene scene = maker.make(project);
        for (int edit = 1; edit <= EDITS; edit++) {
          project = new ChangeStyle(style.withProperties(changed(look, edit))).applyTo(project);
          scene = maker.make(project, scene);
          renderer.render(scene, VIEW, SURROUND, pixels, () -> false);
          if (edit == SETTLED || edit % 2500 == 0) {
            long now = resident();
            settled = edit == SETTLED ? now : settled;
            System.out.printf("after %d edits: %d MB%n", edit, now >> 20);
          }
        }
      }
      double ratio = resident() / (double) settled;
      System.out.printf("at the end %.2f times what it was after %d%n", ratio, SETTLED);
      System.exit(ratio > 1.1 ? 1 : 0);
    }
  }

  /** Each edit changes a colour, and now and then a width, a blur and an offset. */
  private static PropertySet changed(PropertySet look, int edit) {
    PropertySet changed =
        look.withText(
            Properties.key("finish/fill/colour"),
            new Rgba(0xFF000000 | edit * 7919 & 0xFFFFFF).toString());
    if (edit % 3 == 0) {
      changed =
          changed.with(
              Properties.STROKE_WIDTH.at(dynamorph.model.property.Address.coat("rim")),
              Length.points(3 + edit % 40 / 8.0));
    }
    if (edit % 5 == 0) {
      changed =
          changed.withText(Properties.key("finish/dots/glow/blur"), 4 + edit % 60 / 4.0 + " pt");
    }
    return edit % 7 == 0
        ? changed.withText(Properties.key("finish/near/offset"), 1 + edit % 30 / 10.0 + " pt")
        : changed;
  }

  /** The memory of the process in bytes, after what is no longer used has gone. */
  private static long resident() throws IOException {
    for (int round = 0; round < 3; round++) {
      System.gc();
      try {
        Thread.sleep(200);
      } catch (InterruptedException ended) {
        Thread.currentThread().interrupt();
      }
    }
    for (String line : Files.readAllLines(Path.of("/proc/self/status"))) {
      if (line.startsWith("VmRSS:")) {
        return Long.parseLong(line.replaceAll("\\D", "")) << 10;
      }
    }
    throw new IOException("the system does not tell how much memory is used");
  }
}
