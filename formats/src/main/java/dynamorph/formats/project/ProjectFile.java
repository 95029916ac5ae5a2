package dynamorph.formats.project;

import dynamorph.formats.file.SafeFile;
import dynamorph.formats.message.Messages;
import dynamorph.model.Artboard;
import dynamorph.model.Asset;
import dynamorph.model.Project;
import java.io.IOException;
import java.io.InputStream;
import java.io.OutputStream;
import java.nio.file.Files;
import java.nio.file.NoSuchFileException;
import java.nio.file.Path;
import java.nio.file.attribute.FileTime;
import java.util.Optional;
import java.util.Set;
import java.util.zip.ZipEntry;
import java.util.zip.ZipException;
import java.util.zip.ZipFile;
import java.util.zip.ZipOutputStream;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.SerializationFeature;
import tools.jackson.databind.json.JsonMapper;

/** Reads and writes project files. The same project always gives the same bytes. */
public final class ProjectFile {
  /** What the names of project files end with. */
  public static final String ENDING = ".dmorph";

  /** Whether a file has the name of a project. */
  public static boolean isNamedSo(Path file) {
    return file.getFileName().toString().toLowerCase(java.util.Locale.ROOT).endsWith(ENDING);
  }

  /** The time written on every entry, so that the bytes depend on the project alone. */
  private static final FileTime NO_TIME = FileTime.fromMillis(315_619_200_000L);

  private static final JsonMapper JSON =
      JsonMapper.builder().enable(SerializationFeature.INDENT_OUTPUT).build();

  private ProjectFile() {}

  /**
   * Writes a project, beside its place first and then moved there.
   *
   * @throws IOException if it cannot be written; what was there before is still there
   */
  public static void write(Project project, Path file) throws IOException {
    write(project, file, Names.FORMAT, Optional.empty());
  }

  /**
   * The same for a project that was read from a file: what this version does not know of it is
   * kept.
   *
   * @param origin where it was read from, if anywhere; may be the same file, or gone by now
   */
  public static void write(Project project, Path file, Optional<Path> origin) throws IOException {
    write(project, file, Names.FORMAT, origin);
  }

  private static void write(Project project, Path file, String format, Optional<Path> origin)
      throws IOException {
    Project moved = MediaPaths.relative(project, file);
    SafeFile.write(file, stream -> write(moved, stream, format, origin));
  }

  /** Writes the bytes of a project file; the stream is closed. */
  static void write(Project project, OutputStream stream) throws IOException {
    write(project, stream, Names.FORMAT, Optional.empty());
  }

  static void write(Project project, OutputStream stream, String format, Optional<Path> origin)
      throws IOException {
    try (ZipOutputStream zip = new ZipOutputStream(stream)) {
      put(zip, Names.HEADER_ENTRY, json(ProjectWriter.header(format)));
      put(zip, Names.PROJECT_ENTRY, json(ProjectWriter.project(project)));
      put(zip, Names.STYLES_ENTRY, json(ProjectWriter.styles(project)));
      for (Artboard artboard : project.artboards()) {
        put(zip, ProjectWriter.entryOf(artboard), json(ProjectWriter.artboard(artboard)));
      }
      for (Asset asset : project.assets()) {
        put(zip, Names.ASSET_FOLDER + asset.name(), asset.bytes());
      }
      if (origin.isPresent()) {
        ForeignEntries.copy(origin.get(), zip);
      }
    }
  }

  private static byte[] json(JsonNode node) {
    return JSON.writeValueAsBytes(node);
  }

  static void put(ZipOutputStream zip, String name, byte[] bytes) throws IOException {
    ZipEntry entry = new ZipEntry(name);
    entry.setLastModifiedTime(NO_TIME);
    zip.putNextEntry(entry);
    zip.write(bytes);
    zip.closeEntry();
  }

  /**
   * Reads a project.
   *
   * @throws ProjectReadException if the file is missing, damaged, foreign or holds something wrong;
   *     the message is one line that names the file, the place in it and the problem
   */
  public static Project read(Path file) throws ProjectReadException {
    return read(file, Budget.standard());
  }

  /** The same for a file that may ask for so much. */
  public static Project read(Path file, Budget budget) throws ProjectReadException {
    return read(file, Set.of(Names.FORMAT), budget);
  }

  /** The same for files of other formats that are built alike. */
  static Project read(Path file, Set<String> formats, Budget budget) throws ProjectReadException {
    if (Files.isDirectory(file)) {
      throw new ProjectReadException(file, "", Messages.of("project-file.this-is-a-folder-not-a"));
    }
    try (ZipFile zip = new ZipFile(file.toFile())) {
      Entries entries = new Entries(zip, budget);
      checkHeader(file, zip, entries, formats);
      Project project = ProjectReader.read(entries::document, entries.assets());
      entries.countForeign();
      return MediaPaths.absolute(project, file);
    } catch (JsonCursor.Wrong wrong) {
      throw new ProjectReadException(file, wrong.place(), String.valueOf(wrong.getMessage()));
    } catch (NoSuchFileException | java.io.FileNotFoundException missing) {
      throw new ProjectReadException(file, "", Messages.of("project-file.there-is-no-such-file"));
    } catch (ZipException | java.io.EOFException damaged) {
      throw new ProjectReadException(file, "", whyNoZip(file));
    } catch (ProjectReadException told) {
      throw told;
    } catch (IOException unreadable) {
      throw new ProjectReadException(
          file,
          "",
          Messages.of("project-file.cannot-be-read", String.valueOf(unreadable.getMessage())));
    }
  }

  private static String whyNoZip(Path file) {
    try (InputStream stream = Files.newInputStream(file)) {
      byte[] start = stream.readNBytes(2);
      if (start.length == 0) {
        return Messages.of("project-file.the-file-is-empty");
      }
      boolean zip = start.length == 2 && start[0] == 'P' && start[1] == 'K';
      return zip
          ? Messages.of("project-file.the-file-is-damaged-or-cut")
          : Messages.of("project-file.this-is-not-a-dynamorph-project");
    } catch (IOException unreadable) {
      return Messages.of("project-file.cannot-be-read", String.valueOf(unreadable.getMessage()));
    }
  }

  private static void checkHeader(Path file, ZipFile zip, Entries entries, Set<String> formats)
      throws ProjectReadException {
    if (zip.getEntry(Names.HEADER_ENTRY) == null) {
      throw new ProjectReadException(
          file,
          "",
          Messages.of("project-file.this-is-not-a-dynamorph-project-2", Names.HEADER_ENTRY));
    }
    JsonCursor header = entries.document(Names.HEADER_ENTRY);
    String format = header.field(Names.FORMAT_NAME).text();
    if (!formats.contains(format)) {
      String expected =
          String.join(Messages.of("project-file.or"), new java.util.TreeSet<>(formats));
      throw header
          .field(Names.FORMAT_NAME)
          .wrong(Messages.of("project-file.expected-found", expected, format));
    }
    double version = header.field(Names.FORMAT_VERSION).number();
    if (version != Names.VERSION) {
      throw header
          .field(Names.FORMAT_VERSION)
          .wrong(
              Messages.of(
                  "project-file.this-file-has-version-this-dynamorph",
                  dynamorph.model.value.Numbers.format(version),
                  Names.VERSION));
    }
  }
}
