package dynamorph.app.help;

import dynamorph.formats.guide.Guide;
import dynamorph.formats.guide.GuidePage;
import dynamorph.formats.guide.GuideReader;
import java.io.IOException;
import java.io.InputStream;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import java.util.List;

/** The pages that come with the program: those that lie in {@code docs}. */
public final class GuidePages {
  private static final String FOLDER = "/dynamorph/guide/";

  /** In the order in which they are listed. */
  private static final List<String> IDS =
      List.of(
          "guide",
          "typesetting",
          "finishes",
          "captions",
          "documents",
          "shelf",
          "survey",
          "trust",
          "glossary",
          "command-line");

  private GuidePages() {}

  /** Reads all pages. */
  public static Guide read() {
    return new Guide(IDS.stream().map(GuidePages::page).toList());
  }

  private static GuidePage page(String id) {
    try (InputStream stream = GuidePages.class.getResourceAsStream(FOLDER + id + ".md")) {
      if (stream == null) {
        throw new IllegalStateException(id + " is missing in the program");
      }
      return GuideReader.read(id, new String(stream.readAllBytes(), StandardCharsets.UTF_8));
    } catch (IOException unreadable) {
      throw new UncheckedIOException(unreadable);
    }
  }
}
