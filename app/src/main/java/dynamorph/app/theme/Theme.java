package dynamorph.app.theme;

import atlantafx.base.theme.PrimerDark;
import atlantafx.base.theme.PrimerLight;
import dynamorph.app.message.Messages;
import dynamorph.model.value.Rgba;
import java.io.IOException;
import java.io.InputStream;
import java.io.UncheckedIOException;
import java.net.URL;
import java.util.List;
import java.util.Objects;
import javafx.application.Application;
import javafx.scene.Scene;
import javafx.scene.paint.Color;
import javafx.scene.text.Font;

/** A theme of the window. */
public enum Theme {
  /** Paper whites and slate ink. */
  CHALK("chalk.css", 0xFFDAD6CD),
  /** Dark and warm. */
  LAMP("lamp.css", 0xFF3A3733);

  private static final String FOLDER = "/dynamorph/app/theme/";

  private static final List<String> FONTS =
      List.of(
          "SourceSans3_400Regular.ttf",
          "SourceSans3_600SemiBold.ttf",
          "SourceSans3_400Regular_Italic.ttf");

  private final String sheet;
  private final Rgba stage;

  Theme(String sheet, int stage) {
    this.sheet = sheet;
    this.stage = new Rgba(stage);
  }

  public String label() {
    return Messages.of("theme." + name().toLowerCase(java.util.Locale.ROOT));
  }

  /** The colour around artboards, neutral in lightness. */
  public Rgba stage() {
    return stage;
  }

  /** The colour of marks on the stage. */
  public Color mark() {
    return this == CHALK ? Color.web("#24313C") : Color.web("#F2EADD");
  }

  /** The colour of words on paper. */
  public Rgba ink() {
    return this == CHALK ? Rgba.of(0x24, 0x31, 0x3C) : Rgba.of(0xF2, 0xEA, 0xDD);
  }

  /** The colour of words on a mark. */
  public Color onMark() {
    return this == CHALK ? Color.web("#FFFDF9") : Color.web("#24211E");
  }

  /** The other theme. */
  public Theme other() {
    return this == CHALK ? LAMP : CHALK;
  }

  /** Reads the interface font; once, before the first window. */
  public static void loadFonts() {
    for (String file : FONTS) {
      try (InputStream stream =
          dynamorph.typeset.font.FontLibrary.class.getResourceAsStream(
              "/dynamorph/typeset/fonts/source-sans-3/" + file)) {
        Font.loadFont(stream, 13);
      } catch (IOException unreadable) {
        throw new UncheckedIOException(unreadable);
      }
    }
  }

  /** Dresses the controls; before the first of them, or the toolkit reads its own theme first. */
  public void dressControls() {
    Application.setUserAgentStylesheet(
        this == CHALK
            ? new PrimerLight().getUserAgentStylesheet()
            : new PrimerDark().getUserAgentStylesheet());
  }

  /** Dresses a window. */
  public void dress(Scene scene) {
    dressControls();
    scene.getStylesheets().setAll(resource(sheet), resource("dynamorph.css"));
  }

  /** In the form that is read at once, where the build made it. */
  private static String resource(String name) {
    URL binary = Theme.class.getResource(FOLDER + SheetCompiler.binary(name));
    URL found = binary == null ? Theme.class.getResource(FOLDER + name) : binary;
    return Objects.requireNonNull(found, name).toExternalForm();
  }
}
