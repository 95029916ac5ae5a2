package dynamorph.formats.styles;

import dynamorph.formats.css.CssFile;
import dynamorph.formats.project.KitAbout;
import dynamorph.formats.project.KitFile;
import dynamorph.formats.tokens.TokenFile;
import dynamorph.model.Project;
import dynamorph.model.edit.importing.StyleBundle;
import dynamorph.model.style.StyleId;
import java.io.IOException;
import java.nio.file.Path;
import java.util.Collection;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.Set;

/** Reads and writes styles in the kind of file that the name says. */
public final class StyleFile {
  private StyleFile() {}

  /**
   * Styles with what they need.
   *
   * @param remarks what was refused, left out or changed
   */
  public record Read(StyleBundle bundle, List<String> remarks) {
    public Read {
      remarks = List.copyOf(remarks);
    }
  }

  /**
   * Reads a kit, a project or design tokens.
   *
   * @throws IOException if the file cannot be read; the message names the place and the problem
   */
  public static Read read(Path file) throws IOException {
    return read(file, Map.of());
  }

  /**
   * The same with contexts for the modifiers of a resolver document.
   *
   * @throws IOException if the file cannot be read, or has no such modifier or context
   */
  public static Read read(Path file, Map<String, String> contexts) throws IOException {
    if (isTokens(file) || !contexts.isEmpty()) {
      TokenFile.Read read = TokenFile.read(file, contexts);
      return new Read(read.bundle(), read.remarks());
    }
    KitFile.Kit kit = KitFile.read(file);
    return new Read(kit.bundle(), kit.remarks());
  }

  /** Whether a file has the name of design tokens; any other JSON is taken for them too. */
  public static boolean isTokens(Path file) {
    String name = lowerName(file);
    return name.endsWith(".json") || TokenFile.ENDINGS.stream().anyMatch(name::endsWith);
  }

  /**
   * Writes styles of a project: design tokens or a style sheet where the name says so, else a kit.
   *
   * @param wanted they go with what they need; without one, all of the project
   * @param about what a kit says of itself; a picture of its looks is drawn if it has none
   * @return what was written, and what the file cannot say of it
   * @throws IOException if it cannot be written; what was there before is still there
   */
  public static Read write(Project project, Collection<StyleId> wanted, KitAbout about, Path file)
      throws IOException {
    Set<StyleId> needed = new LinkedHashSet<>(wanted);
    if (!isKit(file)) {
      // tokens and style sheets say values as they come out, to which the base style adds
      project.baseStyle().filter(_ -> !wanted.isEmpty()).ifPresent(needed::add);
    }
    StyleBundle bundle =
        wanted.isEmpty() ? StyleBundle.all(project) : StyleBundle.of(project, needed, List.of());
    return new Read(bundle, write(project.name(), bundle, project.baseStyle(), about, file));
  }

  /**
   * The same for styles that stand in no project.
   *
   * @return what the file cannot say
   * @throws IOException if it cannot be written; what was there before is still there
   */
  public static List<String> write(String name, StyleBundle bundle, KitAbout about, Path file)
      throws IOException {
    return write(name, bundle, Optional.empty(), about, file);
  }

  private static List<String> write(
      String name, StyleBundle bundle, Optional<StyleId> plain, KitAbout about, Path file)
      throws IOException {
    if (isTokens(file)) {
      return TokenFile.write(name, bundle, plain, file);
    }
    if (lowerName(file).endsWith(CssFile.ENDING)) {
      return CssFile.write(name, bundle, plain, file);
    }
    Optional<byte[]> picture = about.picture().or(() -> KitPicture.png(bundle));
    KitFile.write(name, bundle, picture.map(about::withPicture).orElse(about), file);
    return List.of();
  }

  /** Whether a file has the name of none of the other kinds, so that it is written as a kit. */
  public static boolean isKit(Path file) {
    return !isTokens(file) && !lowerName(file).endsWith(CssFile.ENDING);
  }

  private static String lowerName(Path file) {
    return String.valueOf(file.getFileName()).toLowerCase(Locale.ROOT);
  }
}
