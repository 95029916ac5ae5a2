package dynamorph.formats.css;

import dynamorph.formats.file.SafeFile;
import dynamorph.formats.message.Messages;
import dynamorph.formats.message.Unsaid;
import dynamorph.model.Asset;
import dynamorph.model.cascade.Coats;
import dynamorph.model.cascade.FontRequest;
import dynamorph.model.edit.importing.StyleBundle;
import dynamorph.model.property.Address;
import dynamorph.model.property.Properties;
import dynamorph.model.property.PropertyKey;
import dynamorph.model.property.PropertySet;
import dynamorph.model.style.Palette;
import dynamorph.model.style.Style;
import dynamorph.model.style.StyleBook;
import dynamorph.model.style.StyleId;
import dynamorph.model.style.Swatch;
import dynamorph.model.value.Colour;
import dynamorph.model.value.FontSize;
import dynamorph.model.value.Numbers;
import dynamorph.model.value.Rgba;
import dynamorph.model.value.Slant;
import dynamorph.typeset.font.FontCut;
import dynamorph.typeset.font.FontLibrary;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.TreeSet;

/**
 * Writes styles as a style sheet: a custom property for each swatch, a class for each style with
 * everything that it and its bases set, a font face for each font that the program or the project
 * brings, with the fonts in a folder beside.
 */
public final class CssFile {
  /** What the names of style sheets end with. */
  public static final String ENDING = ".css";

  /** The folder of the fonts, beside the style sheet. */
  private static final String FONTS = "fonts";

  private final StyleBook styles;
  private final Palette palette;
  private final Optional<StyleId> plain;
  private final Map<String, String> variables = new HashMap<>();
  private final Unsaid unsaid = new Unsaid();
  private final List<String> severalCoats = new ArrayList<>();
  private final StringBuilder sheet = new StringBuilder();

  private CssFile(StyleBundle bundle, Optional<StyleId> plain) {
    this.plain =
        plain.filter(id -> bundle.styles().stream().anyMatch(style -> style.id().equals(id)));
    this.styles = StyleBook.of(bundle.styles());
    this.palette = new Palette(bundle.swatches());
  }

  /**
   * Writes a style sheet, beside its place first and then moved there, and the fonts before it.
   *
   * @param plain the style that fills in what the others leave open, if it is among them
   * @return what CSS cannot say, and which fonts stay behind
   * @throws IOException if it cannot be written; what was there before is still there
   */
  public static List<String> write(
      String name, StyleBundle bundle, Optional<StyleId> plain, Path file) throws IOException {
    CssFile css = new CssFile(bundle, plain);
    List<String> remarks = new ArrayList<>();
    css.comment(name);
    css.fonts(bundle.assets(), file, remarks);
    css.variables();
    Set<String> classes = new HashSet<>();
    css.styles.stream().forEach(style -> css.put(style, className(style, classes)));
    if (!css.severalCoats.isEmpty()) {
      remarks.add(Messages.of("css-writer.coats", String.join(", ", css.severalCoats)));
    }
    if (!css.unsaid.isEmpty()) {
      remarks.add(Messages.of("css-writer.no-declaration", css.unsaid.words()));
    }
    byte[] bytes = css.sheet.toString().getBytes(StandardCharsets.UTF_8);
    SafeFile.write(file, out -> out.write(bytes));
    return remarks;
  }

  private void comment(String words) {
    sheet
        .append("/* ")
        .append(words.replace("*/", "* /").replaceAll("\\p{Cntrl}", " "))
        .append(" */\n");
  }

  // --- fonts

  /** The fonts that the styles are set in, as far as the program or the project brings them. */
  private void fonts(List<Asset> assets, Path file, List<String> remarks) throws IOException {
    Set<String> forbidden = new TreeSet<>();
    Set<String> elsewhere = new TreeSet<>();
    Map<String, FontCut> cuts = new LinkedHashMap<>();
    try (FontLibrary library = FontLibrary.forProject(assets)) {
      for (Style style : styles.list()) {
        PropertySet values = whole(style);
        if (values.has(Properties.FONT_FAMILY.key())) {
          FontRequest wish =
              FontRequest.of(
                  Coats.value(values, Properties.FONT_FAMILY.key()),
                  Coats.value(values, Properties.FONT_WEIGHT.key()),
                  Coats.value(values, Properties.SLANT.key()));
          library
              .file(wish)
              .ifPresentOrElse(
                  cut -> cuts.put(cut.fileName(), cut), () -> elsewhere.add(wish.family()));
        }
      }
      for (Map.Entry<String, FontCut> cut : cuts.entrySet()) {
        if (FontLibrary.mayBeEmbedded(cut.getKey(), cut.getValue().bytes())) {
          Path folder = file.toAbsolutePath().resolveSibling(FONTS);
          Files.createDirectories(folder);
          SafeFile.write(folder.resolve(cut.getKey()), out -> out.write(cut.getValue().bytes()));
          face(cut.getKey(), cut.getValue());
        } else {
          forbidden.add(cut.getValue().family());
        }
      }
    }
    if (!forbidden.isEmpty()) {
      remarks.add(Messages.of("css-writer.fonts-forbidden", String.join(", ", forbidden)));
    }
    if (!elsewhere.isEmpty()) {
      remarks.add(Messages.of("css-writer.fonts-elsewhere", String.join(", ", elsewhere)));
    }
  }

  private void face(String fileName, FontCut cut) {
    String weight = Numbers.format(cut.lightest());
    sheet
        .append("\n@font-face {\n  font-family: ")
        .append(Declarations.quoted(cut.family()))
        .append(";\n  src: url(")
        .append(Declarations.quoted(FONTS + "/" + encoded(fileName)))
        .append(") format(\"")
        .append(cut.isPostScript() ? "opentype" : "truetype")
        .append("\");\n  font-weight: ")
        .append(
            cut.lightest() == cut.heaviest()
                ? weight
                : weight + " " + Numbers.format(cut.heaviest()))
        .append(";\n  font-style: ")
        .append(cut.slant() == Slant.ITALIC ? "italic" : "normal")
        .append(";\n}\n");
  }

  private static String encoded(String name) {
    return java.net.URLEncoder.encode(name, StandardCharsets.UTF_8).replace("+", "%20");
  }

  // --- colours

  private void variables() {
    if (palette.swatches().isEmpty()) {
      return;
    }
    Set<String> taken = new HashSet<>();
    sheet.append("\n:root {\n");
    for (Swatch swatch : palette.swatches()) {
      String name = "--" + free(identifier(swatch.name(), swatch.id()), taken);
      variables.put(swatch.id(), name);
      sheet.append("  ").append(name).append(": ").append(swatch.colour()).append(";\n");
    }
    sheet.append("}\n");
  }

  private String colour(Colour colour, double opacity) {
    Rgba rgba = palette.colour(colour);
    String variable =
        colour instanceof Colour.SwatchReference(String swatch) ? variables.get(swatch) : null;
    if (variable == null) {
      return rgba.faded(opacity).toString();
    }
    return opacity == 1
        ? "var(" + variable + ")"
        : "rgb(from var("
            + variable
            + ") r g b / calc(alpha * "
            + Numbers.format(opacity, 3)
            + "))";
  }

  // --- styles

  private PropertySet whole(Style style) {
    return PropertySet.EMPTY
        .withFrom(Properties.DEFAULTS, Properties.COAT_KIND.at(Address.coat("fill")))
        .overlaidBy(styles.setOn(style.id(), plain));
  }

  private void put(Style style, String name) {
    PropertySet whole = whole(style);
    Declarations declarations = new Declarations(whole);
    declarations.letters(size(style.id()));
    declarations.paragraphs();
    FinishCss finish = new FinishCss(declarations, this::colour);
    if (finish.letters()) {
      severalCoats.add(style.name());
    }
    finish.plate();
    for (PropertyKey<?> key : style.properties().keys()) {
      if (!declarations.says(key)) {
        unsaid.add(key.property(), style.id());
      }
    }
    sheet.append('\n');
    comment(style.note().isBlank() ? style.name() : style.name() + ": " + style.note());
    sheet.append('.').append(name).append(" {\n");
    declarations
        .written()
        .forEach((property, value) ->
            sheet.append("  ").append(property).append(": ").append(value).append(";\n"));
    sheet.append("}\n");
  }

  /** The size in pixels, or in em where it is relative to the text around. */
  private String size(StyleId id) {
    double times = 1;
    double plus = 0;
    boolean absolute = false;
    for (Style each : styles.chainOn(id, plain).reversed()) {
      Optional<FontSize> own = each.properties().get(Properties.SIZE.key());
      if (own.isPresent()) {
        switch (own.get()) {
          case FontSize.Absolute(double points) -> {
            absolute = true;
            plus = points;
          }
          case FontSize.Times(double factor) -> {
            times *= factor;
            plus *= factor;
          }
          case FontSize.Plus(double points) -> plus += points;
        }
      }
    }
    String em = Numbers.format(times, 4) + "em";
    return absolute
        ? Declarations.pixels(plus)
        : plus == 0 ? em : "calc(" + em + " + " + Declarations.pixels(plus) + ")";
  }

  private static String className(Style style, Set<String> taken) {
    String words = style.group().isBlank() ? style.name() : style.group() + " " + style.name();
    return free(identifier(words, style.id().value()), taken);
  }

  /** Names of classes do not begin with a digit (CSS Syntax 3, 4.3). */
  private static String identifier(String words, String otherwise) {
    String stem = StyleId.stem(words, otherwise.replaceAll("[^A-Za-z0-9_-]", "-"));
    return Character.isDigit(stem.charAt(0)) ? "s-" + stem : stem;
  }

  private static String free(String stem, Set<String> taken) {
    String name = stem;
    for (int number = 2; !taken.add(name); number++) {
      name = stem + "-" + number;
    }
    return name;
  }
}
