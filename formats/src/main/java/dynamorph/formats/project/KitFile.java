package dynamorph.formats.project;

import dynamorph.formats.file.SafeFile;
import dynamorph.formats.file.Sha256;
import dynamorph.formats.message.Messages;
import dynamorph.model.Project;
import dynamorph.model.edit.importing.StyleBundle;
import dynamorph.model.style.Palette;
import dynamorph.model.style.StyleBook;
import java.io.ByteArrayInputStream;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.TreeMap;
import java.util.zip.ZipEntry;
import java.util.zip.ZipFile;
import java.util.zip.ZipInputStream;
import java.util.zip.ZipOutputStream;
import tools.jackson.core.JacksonException;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.SerializationFeature;
import tools.jackson.databind.json.JsonMapper;
import tools.jackson.databind.node.ObjectNode;

/**
 * Reads and writes kits: sets of styles with their swatches and images, to be handed to others. A
 * kit is built like a project file, with no artboards in it, and says who made it. It names the
 * hashes of its parts, so that one that was changed on the way is told.
 */
public final class KitFile {
  /** What the names of kits end with. */
  public static final String ENDING = ".dmkit";

  private static final String ABOUT_ENTRY = "kit.json";
  private static final String PICTURE_ENTRY = "picture.png";
  private static final String AUTHOR = "author";
  private static final String LICENCE = "licence";
  private static final String DESCRIPTION = "description";
  private static final String CONTENTS = "contents";

  /** A picture of looks is small; what is larger is something else. */
  private static final int LARGEST = 8_000_000;

  private static final JsonMapper JSON =
      JsonMapper.builder().enable(SerializationFeature.INDENT_OUTPUT).build();

  private KitFile() {}

  /**
   * A kit.
   *
   * @param bundle its styles with what they need
   * @param remarks what in it is not as its author wrote it
   */
  public record Kit(StyleBundle bundle, KitAbout about, List<String> remarks) {
    public Kit {
      remarks = List.copyOf(remarks);
    }
  }

  /**
   * Writes a kit, beside its place first and then moved there.
   *
   * @throws IOException if it cannot be written; what was there before is still there
   */
  public static void write(String name, StyleBundle bundle, KitAbout about, Path file)
      throws IOException {
    Project kit =
        Project.empty(name)
            .withPalette(new Palette(bundle.swatches()))
            .withStyles(StyleBook.of(bundle.styles()))
            .withAssets(bundle.assets());
    ByteArrayOutputStream plain = new ByteArrayOutputStream();
    ProjectFile.write(kit, plain, Names.KIT_FORMAT, Optional.empty());
    Map<String, byte[]> parts = new java.util.LinkedHashMap<>();
    try (ZipInputStream zip = new ZipInputStream(new ByteArrayInputStream(plain.toByteArray()))) {
      for (ZipEntry entry = zip.getNextEntry(); entry != null; entry = zip.getNextEntry()) {
        parts.put(entry.getName(), zip.readAllBytes());
      }
    }
    about.picture().ifPresent(picture -> parts.put(PICTURE_ENTRY, picture));
    byte[] told = JSON.writeValueAsString(json(about, parts)).getBytes(StandardCharsets.UTF_8);
    SafeFile.write(
        file,
        stream -> {
          try (ZipOutputStream zip = new ZipOutputStream(stream)) {
            for (Map.Entry<String, byte[]> part : parts.entrySet()) {
              ProjectFile.put(zip, part.getKey(), part.getValue());
            }
            ProjectFile.put(zip, ABOUT_ENTRY, told);
          }
        });
  }

  private static ObjectNode json(KitAbout about, Map<String, byte[]> parts) {
    ObjectNode node =
        JSON.createObjectNode()
            .put(AUTHOR, about.author())
            .put(LICENCE, about.licence())
            .put(DESCRIPTION, about.description());
    ObjectNode contents = node.putObject(CONTENTS);
    new TreeMap<>(parts).forEach((name, bytes) -> contents.put(name, Sha256.hex(bytes)));
    return node;
  }

  /**
   * Reads the styles of a kit, or of a whole project.
   *
   * @throws ProjectReadException if the file is missing, damaged or foreign
   */
  public static Kit read(Path file) throws ProjectReadException {
    StyleBundle bundle =
        StyleBundle.all(
            ProjectFile.read(file, Set.of(Names.FORMAT, Names.KIT_FORMAT), Budget.standard()));
    try (ZipFile zip = new ZipFile(file.toFile())) {
      ZipEntry entry = zip.getEntry(ABOUT_ENTRY);
      if (entry == null) {
        return new Kit(bundle, KitAbout.NOTHING, List.of());
      }
      JsonNode node = JSON.readTree(bytes(zip, entry));
      Optional<byte[]> picture = Optional.empty();
      ZipEntry drawn = zip.getEntry(PICTURE_ENTRY);
      if (drawn != null) {
        picture = Optional.of(bytes(zip, drawn));
      }
      KitAbout about =
          new KitAbout(
              node.path(AUTHOR).asString(""),
              node.path(LICENCE).asString(""),
              node.path(DESCRIPTION).asString(""),
              picture);
      return new Kit(bundle, about, changed(zip, node.path(CONTENTS)));
    } catch (IOException | JacksonException damaged) {
      // what it says of itself is not what it is for
      return new Kit(bundle, KitAbout.NOTHING, List.of(Messages.of("kit-file.about-is-damaged")));
    }
  }

  /** The parts that are not those that the author wrote. */
  private static List<String> changed(ZipFile zip, JsonNode contents) throws IOException {
    List<String> changed = new ArrayList<>();
    for (Map.Entry<String, JsonNode> part : contents.properties()) {
      ZipEntry entry = zip.getEntry(part.getKey());
      if (entry == null) {
        changed.add(Messages.of("kit-file.part-is-missing", part.getKey()));
      } else if (!Sha256.hex(bytes(zip, entry)).equals(part.getValue().asString(""))) {
        changed.add(Messages.of("kit-file.part-was-changed", part.getKey()));
      }
    }
    return changed;
  }

  private static byte[] bytes(ZipFile zip, ZipEntry entry) throws IOException {
    boolean asset = entry.getName().startsWith(Names.ASSET_FOLDER);
    try (var stream = zip.getInputStream(entry)) {
      // assets were counted when they were read
      byte[] bytes = asset ? stream.readAllBytes() : stream.readNBytes(LARGEST + 1);
      if (!asset && bytes.length > LARGEST) {
        throw new IOException(entry.getName());
      }
      return bytes;
    }
  }
}
