package dynamorph.formats.css;

import dynamorph.formats.file.SafeFile;
import dynamorph.formats.message.Messages;
import dynamorph.formats.message.Unsaid;
import dynamorph.model.Asset;
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
import dynamorph.typeset.font.FontLibrary;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.Set;

/**
 * Writes styles as a style sheet: a custom property for each swatch, a class for each style with
 * everything that it and its bases set, a font face for each font that the project brought, with
 * the fonts in a folder beside.
 */
public final class CssFile {
  /** What the names of style sheets end with. */
  public static final String ENDING = ".css";

  private final StyleBook styles;
  private final Palette palette;
  private final Map<String, String> variables = new HashMap<>();
  private final Unsaid unsaid = new Unsaid();
  private final List<String> severalCoats = new ArrayList<>();
  private final StringBuilder sheet = new StringBuilder();

  private CssFile(StyleBundle bundle) {
    this.styles = StyleBook.of(bundle.styles());
    this.palette = new Palette(bundle.swatches());
  }

  /**
   * Writes a style sheet, beside its place first and then moved there, and the fonts before it.
   *
   * @return what CSS cannot say, and which fonts stay behind
   * @throws IOException if it cannot be written; what was there before is still there
   */
  public static List<String> write(String name, StyleBundle bundle, Path file) throws IOException {
    CssFile css = new CssFile(bundle);
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

  private void fonts(List<Asset> assets, Path file, List<String> remarks) throws IOException {
    List<String> forbidden = new ArrayList<>();
    for (Asset font : assets.stream().filter(Asset::isFont).toList()) {
      if (!FontLibrary.mayBeEmbedded(font.shortName(), font.bytes())) {
        forbidden.add(font.shortName());
        continue;
      }
      Path folder = file.toAbsolutePath().resolveSibling("fonts");
      Files.createDirectories(folder);
      SafeFile.write(folder.resolve(font.shortName()), out -> out.write(font.bytes()));
      face(font);
    }
    if (!forbidden.isEmpty()) {
      remarks.add(Messages.of("css-writer.fonts-forbidden", String.join(", ", forbidden)));
    }
  }

  private void face(Asset font) {
    FontRequest wish = FontLibrary.wishFor(font.shortName(), font.bytes());
    boolean openType = font.shortName().toLowerCase(Locale.ROOT).endsWith(".otf");
    sheet
        .append("\n@font-face {\n  font-family: ")
        .append(Declarations.quoted(wish.family()))
        .append(";\n  src: url(")
        .append(Declarations.quoted("fonts/" + encoded(font.shortName())))
        .append(") format(\"")
        .append(openType ? "opentype" : "truetype")
        .append("\");\n  font-weight: ")
        .append(Numbers.format(wish.weight()))
        .append(";\n  font-style: ")
        .append(wish.slant() == Slant.ITALIC ? "italic" : "normal")
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

  private void put(Style style, String name) {
    PropertySet whole =
        PropertySet.EMPTY.withFrom(
            Properties.DEFAULTS, Properties.COAT_KIND.at(Address.coat("fill")));
    for (Style each : styles.chain(style.id()).reversed()) {
      whole = whole.overlaidBy(each.properties());
    }
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
    for (Style each : styles.chain(id).reversed()) {
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
