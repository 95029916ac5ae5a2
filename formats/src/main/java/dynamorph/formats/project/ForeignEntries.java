package dynamorph.formats.project;

import java.io.IOException;
import java.io.InputStream;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.Set;
import java.util.zip.ZipEntry;
import java.util.zip.ZipException;
import java.util.zip.ZipFile;
import java.util.zip.ZipOutputStream;

/**
 * Entries of a project file that this version does not know. A newer one may have put them there,
 * so they are kept when the project is written again.
 */
final class ForeignEntries {
  private static final Set<String> OWN =
      Set.of(Names.HEADER_ENTRY, Names.PROJECT_ENTRY, Names.STYLES_ENTRY);

  private ForeignEntries() {}

  /** Those of a file, each name once. */
  static List<ZipEntry> of(ZipFile zip) {
    Set<String> names = new java.util.HashSet<>();
    return zip.stream()
        .filter(entry -> isForeign(entry) && names.add(entry.getName()))
        .map(ZipEntry.class::cast)
        .toList();
  }

  /** Names that lead out of a folder were put there by nobody who means well. */
  private static boolean isForeign(ZipEntry entry) {
    String name = entry.getName();
    return !entry.isDirectory()
        && !OWN.contains(name)
        && !name.startsWith(Names.ARTBOARD_FOLDER)
        && !name.startsWith(Names.ASSET_FOLDER)
        && !name.startsWith("/")
        && !name.contains("..")
        && !name.contains("\\");
  }

  private static byte[] bytes(ZipFile zip, ZipEntry entry) throws IOException {
    try (InputStream bytes = zip.getInputStream(entry)) {
      return bytes.readAllBytes();
    }
  }

  /** Copies those of a file, if it is there and can be read. */
  static void copy(Path from, ZipOutputStream to) throws IOException {
    if (!Files.isRegularFile(from)) {
      return;
    }
    try (ZipFile zip = new ZipFile(from.toFile())) {
      for (ZipEntry entry : of(zip)) {
        // all of it before any is written: one that is damaged leaves no part behind
        ProjectFile.put(to, entry.getName(), bytes(zip, entry));
      }
    } catch (ZipException noProject) {
      // what is replaced is no project, so there is nothing in it to be kept
    }
  }
}
