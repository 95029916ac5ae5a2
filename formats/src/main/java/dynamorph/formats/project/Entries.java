package dynamorph.formats.project;

import dynamorph.formats.message.Messages;
import dynamorph.model.Asset;
import java.io.IOException;
import java.io.InputStream;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Set;
import java.util.zip.ZipEntry;
import java.util.zip.ZipFile;
import tools.jackson.core.JacksonException;
import tools.jackson.databind.json.JsonMapper;

/** The documents and assets in a file, as far as its budget goes. */
final class Entries {
  private static final JsonMapper JSON = JsonMapper.builder().build();

  private final ZipFile zip;
  private final Budget budget;
  private long left;

  Entries(ZipFile zip, Budget budget) {
    this.zip = zip;
    this.budget = budget;
    this.left = budget.bytes();
    if (zip.size() > budget.entries()) {
      throw new JsonCursor.Wrong(
          Names.HEADER_ENTRY, Messages.of("entries.more-than-so-many", budget.entries()));
    }
  }

  JsonCursor document(String name) {
    ZipEntry entry = zip.getEntry(name);
    if (entry == null) {
      throw new JsonCursor.Wrong(name, Messages.of("project-file.the-document-is-missing"));
    }
    try {
      return new JsonCursor(JSON.readTree(bytes(entry)), name);
    } catch (JacksonException broken) {
      var at = broken.getLocation();
      String place =
          at == null
              ? name
              : Messages.of("project-file.line-column", name, at.getLineNr(), at.getColumnNr());
      throw new JsonCursor.Wrong(
          place, Messages.of("project-file.this-is-not-json", broken.getOriginalMessage()));
    } catch (IOException damaged) {
      throw new JsonCursor.Wrong(
          name,
          Messages.of(
              "project-file.the-document-is-damaged", String.valueOf(damaged.getMessage())));
    }
  }

  /** What is written in the file about sizes may be wrong, so what comes out is counted. */
  private byte[] bytes(ZipEntry entry) throws IOException {
    try (InputStream stream = zip.getInputStream(entry)) {
      byte[] bytes = stream.readNBytes((int) Math.min(Integer.MAX_VALUE - 16, left + 1));
      left -= bytes.length;
      if (left < 0) {
        throw tooMuch(entry);
      }
      return bytes;
    }
  }

  List<Asset> assets() throws IOException {
    List<Asset> assets = new ArrayList<>();
    Set<String> names = new HashSet<>();
    for (ZipEntry entry : zip.stream().toList()) {
      if (entry.getName().startsWith(Names.ASSET_FOLDER) && !entry.isDirectory()) {
        if (!names.add(entry.getName())) {
          throw new JsonCursor.Wrong(entry.getName(), Messages.of("entries.it-is-there-twice"));
        }
        assets.add(asset(entry));
      }
    }
    return assets;
  }

  /** What is kept unread counts as well, since it is written again. */
  void countForeign() throws IOException {
    byte[] some = new byte[1 << 16];
    for (ZipEntry entry : ForeignEntries.of(zip)) {
      try (InputStream stream = zip.getInputStream(entry)) {
        for (int read = stream.read(some); read > 0; read = stream.read(some)) {
          left -= read;
          if (left < 0) {
            throw tooMuch(entry);
          }
        }
      }
    }
  }

  private JsonCursor.Wrong tooMuch(ZipEntry entry) {
    return new JsonCursor.Wrong(
        entry.getName(), Messages.of("entries.more-than-so-much", budget.bytes() >> 20));
  }

  private Asset asset(ZipEntry entry) throws IOException {
    try {
      Asset asset = new Asset(entry.getName().substring(Names.ASSET_FOLDER.length()), bytes(entry));
      if (asset.isFont() && asset.bytes().length == 0) {
        throw new JsonCursor.Wrong(
            entry.getName(), Messages.of("project-file.the-font-is-empty-0-bytes"));
      }
      return asset;
    } catch (IllegalArgumentException name) {
      throw new JsonCursor.Wrong(entry.getName(), String.valueOf(name.getMessage()));
    }
  }
}
