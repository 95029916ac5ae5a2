package dynamorph.shelf.folder;

import dynamorph.formats.file.Sha256;
import dynamorph.formats.project.KitAbout;
import dynamorph.formats.project.KitFile;
import dynamorph.formats.styles.StyleFile;
import dynamorph.model.Asset;
import dynamorph.model.edit.importing.StyleBundle;
import dynamorph.model.style.NamedReferences;
import dynamorph.model.style.Style;
import dynamorph.shelf.Shelf;
import dynamorph.shelf.entry.Entry;
import dynamorph.shelf.entry.Kept;
import dynamorph.shelf.entry.Version;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Instant;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.SortedMap;
import java.util.TreeMap;
import java.util.TreeSet;

/** A kit, a whole project or design tokens as a shelf to look into: each look in one version. */
public final class KitShelf {
  private static final int DIGITS = 16;

  private KitShelf() {}

  /**
   * Reads a kit. Its id is a hash of the file, so that the same kit is known wherever it lies.
   *
   * @throws IOException if it cannot be read; it says why
   */
  public static Opened read(Path file) throws IOException {
    KitFile.Kit kit =
        StyleFile.isTokens(file) ? ofTokens(StyleFile.read(file)) : KitFile.read(file);
    return new Opened(shelf(file, kit.bundle()), kit.about(), kit.remarks());
  }

  /**
   * A kit that is looked into.
   *
   * @param remarks what in it is not as it should be
   */
  public record Opened(Shelf shelf, KitAbout about, List<String> remarks) {
    public Opened {
      remarks = List.copyOf(remarks);
    }
  }

  private static KitFile.Kit ofTokens(StyleFile.Read read) {
    return new KitFile.Kit(read.bundle(), KitAbout.NOTHING, read.remarks());
  }

  private static Shelf shelf(Path file, StyleBundle bundle) throws IOException {
    String id = "kit-" + Sha256.hex(Files.readAllBytes(file)).substring(0, DIGITS);
    Instant time = Files.getLastModifiedTime(file).toInstant();
    Map<String, byte[]> files = new HashMap<>();
    Map<String, Entry> entries = new HashMap<>();
    bundle.swatches().forEach(swatch -> add(entries, new Kept.OfSwatch(swatch), time));
    for (Style style : bundle.styles()) {
      Set<String> images = NamedReferences.in(List.of(style.properties())).images();
      SortedMap<String, String> named = new TreeMap<>();
      for (Asset asset : bundle.assets()) {
        // which of the fonts a look needs is not known before they are read
        if (asset.isFont() || images.contains(asset.shortName())) {
          String hash = Sha256.hex(asset.bytes());
          files.put(hash, asset.bytes());
          named.put(asset.name(), hash);
        }
      }
      add(entries, new Kept.OfStyle(style, new TreeSet<>(), named), time);
    }
    return new Shelf(
        id,
        String.valueOf(file.getFileName()),
        entries,
        List.of(),
        List.of(),
        hash -> Optional.ofNullable(files.get(hash)));
  }

  private static void add(Map<String, Entry> entries, Kept kept, Instant time) {
    entries.put(
        kept.id(),
        Entry.of(kept.id(), List.of(Version.of(List.of(), time, "", "", Optional.of(kept)))));
  }
}
