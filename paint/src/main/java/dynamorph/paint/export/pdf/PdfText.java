package dynamorph.paint.export.pdf;

import dynamorph.model.value.Rgba;
import dynamorph.paint.artwork.TextRun;
import dynamorph.paint.artwork.TextRun.Cluster;
import dynamorph.paint.artwork.TextRun.Glyph;
import dynamorph.typeset.font.FontFace;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.function.BiFunction;

/**
 * Text operators (ISO 32000-2, 9.4) for letters in reading order. Glyphs that do not stand for
 * letters one by one have their words beside them (14.9.4).
 */
final class PdfText {
  /** What a glyph is read as whose letters its neighbour stands for: nothing that is seen. */
  private static final String NOTHING = "\u200B";

  private final BiFunction<FontFace, Boolean, PdfFont> fonts;
  private final Map<PdfFont, String> names = new LinkedHashMap<>();
  private final StringBuilder out = new StringBuilder();
  private Optional<Rgba> colour = Optional.empty();
  private boolean isHidden;

  /**
   * @param fonts by face, and whether letters are painted with it
   */
  PdfText(BiFunction<FontFace, Boolean, PdfFont> fonts) {
    this.fonts = fonts;
  }

  /** Fonts by the name under which the operators call them. */
  Map<PdfFont, String> fonts() {
    return names;
  }

  /**
   * The operators for the letters of a paragraph.
   *
   * @param language of the paragraph; letters of others say so
   */
  String operators(List<TextRun> runs, String language) {
    out.append("BT\n");
    for (TextRun run : runs) {
      boolean isForeign = !run.language().equals(language) && !run.language().isEmpty();
      if (isForeign) {
        out.append("/Span <</Lang ").append(literal(run.language())).append(">> BDC\n");
      }
      put(run);
      if (isForeign) {
        out.append("EMC\n");
      }
    }
    return out.append("ET\n").toString();
  }

  private void put(TextRun run) {
    PdfFont font = fonts.apply(run.face(), run.colour().isPresent());
    paint(run.colour());
    out.append('/').append(names.computeIfAbsent(font, _ -> "F" + names.size())).append(" 1 Tf\n");
    Line line = new Line(run, font);
    for (Cluster cluster : run.clusters()) {
      if (cluster.glyphs().size() == 1 && !cluster.text().isEmpty()) {
        line.add(cluster.glyphs().getFirst(), cluster.text());
      } else if (!cluster.glyphs().isEmpty()) {
        line.end();
        out.append("/Span <</ActualText ").append(literal(cluster.text())).append(">> BDC\n");
        List<String> texts = shares(cluster);
        for (int index = 0; index < texts.size(); index++) {
          line.add(cluster.glyphs().get(index), texts.get(index));
        }
        line.end();
        out.append("EMC\n");
      }
    }
    line.end();
  }

  /** A letter for each glyph if there are as many; else the first has all. */
  private static List<String> shares(Cluster cluster) {
    List<String> letters = cluster.text().codePoints().mapToObj(Character::toString).toList();
    int glyphs = cluster.glyphs().size();
    return letters.size() == glyphs
        ? letters
        : java.util.stream.IntStream.range(0, glyphs)
            .mapToObj(index -> index == 0 && !cluster.text().isEmpty() ? cluster.text() : NOTHING)
            .toList();
  }

  private void paint(Optional<Rgba> wanted) {
    if (wanted.isEmpty() != isHidden) {
      isHidden = wanted.isEmpty();
      out.append(isHidden ? "3 Tr\n" : "0 Tr\n");
    }
    if (wanted.isPresent() && !wanted.equals(colour)) {
      Rgba rgb = wanted.get();
      out.append(number(rgb.red() / 255.0))
          .append(' ')
          .append(number(rgb.green() / 255.0))
          .append(' ')
          .append(number(rgb.blue() / 255.0))
          .append(" rg\n");
      colour = wanted;
    }
  }

  /** Glyphs on one baseline that are shown by one operator. */
  private final class Line {
    private final TextRun run;
    private final PdfFont font;
    private final double across;
    private double pen;
    private double baseline;
    private boolean isOpen;

    Line(TextRun run, PdfFont font) {
      this.run = run;
      this.font = font;
      this.across = run.size() * run.stretch();
    }

    void add(Glyph glyph, String text) {
      if (isOpen && Math.abs(across(glyph) - baseline) > 1e-4) {
        end();
      }
      if (!isOpen) {
        begin(glyph);
      }
      double shift = Math.rint((pen - along(glyph)) / across * 1e5) / 100;
      if (shift != 0) {
        out.append(number(shift));
        pen -= shift * across / 1000;
      }
      int code = font.code(glyph.id(), text);
      out.append("<%04X>".formatted(code));
      pen += font.width(code) * across / 1000;
    }

    private void begin(Glyph glyph) {
      double lean = run.size() * run.skew();
      double[] matrix =
          run.turned()
              ? new double[] {0, across, run.size(), lean, glyph.x(), glyph.y()}
              : new double[] {across, 0, lean, -run.size(), glyph.x(), glyph.y()};
      for (double value : matrix) {
        out.append(number(value)).append(' ');
      }
      out.append("Tm [");
      pen = along(glyph);
      baseline = across(glyph);
      isOpen = true;
    }

    private double along(Glyph glyph) {
      return run.turned() ? glyph.y() : glyph.x();
    }

    private double across(Glyph glyph) {
      return run.turned() ? glyph.x() : glyph.y();
    }

    void end() {
      if (isOpen) {
        out.append("] TJ\n");
        isOpen = false;
      }
    }
  }

  /** A text string in UTF-16 (7.9.2.2). */
  private static String literal(String text) {
    StringBuilder hex = new StringBuilder("<FEFF");
    text.chars().forEach(unit -> hex.append("%04X".formatted(unit)));
    return hex.append('>').toString();
  }

  private static String number(double value) {
    String digits = String.format(Locale.ROOT, "%.5f", value);
    return digits.replaceAll("\\.?0+$", "");
  }
}
