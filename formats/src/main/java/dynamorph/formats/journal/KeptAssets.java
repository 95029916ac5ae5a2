package dynamorph.formats.journal;

import dynamorph.formats.file.SafeFile;
import dynamorph.formats.file.Sha256;
import dynamorph.formats.message.Messages;
import dynamorph.formats.project.ProjectDifference;
import dynamorph.model.Asset;
import java.io.IOException;
import java.nio.channels.FileChannel;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.NoSuchFileException;
import java.nio.file.Path;
import java.nio.file.StandardOpenOption;
import java.time.Duration;
import java.time.Instant;
import java.util.Collection;
import java.util.HashSet;
import java.util.IdentityHashMap;
import java.util.Map;
import java.util.Set;
import java.util.stream.Stream;

/**
 * The assets of all journals, each file once, named by its SHA-256. A journal lists those that it
 * needs, so that the rest can go.
 */
public final class KeptAssets implements ProjectDifference.Assets {
  /** The list of a journal, in its folder. */
  public static final String LIST = "assets";

  /** How long an asset that nobody lists is left alone. */
  private static final Duration SETTLED = Duration.ofDays(1);

  private final Path store;
  private final Path list;
  private final Map<byte[], String> known = new IdentityHashMap<>();
  private final Set<String> listed = new HashSet<>();

  private KeptAssets(Path store, Path list) {
    this.store = store;
    this.list = list;
  }

  /**
   * @param store the folder that all journals share
   * @param journal the folder of the journal that these are for
   */
  public static KeptAssets of(Path store, Path journal) {
    return new KeptAssets(store, journal.resolve(LIST));
  }

  /** The same for a list that is yet to take the place of the journal's. */
  public static KeptAssets listedIn(Path store, Path list) {
    return new KeptAssets(store, list);
  }

  /** Deletes what no journal lists any more, unless another process may be about to list it. */
  public static void drop(Path store, Collection<Path> journals, Instant now) {
    Set<String> needed = new HashSet<>();
    for (Path journal : journals) {
      try {
        needed.addAll(Files.readAllLines(journal.resolve(LIST), StandardCharsets.US_ASCII));
      } catch (NoSuchFileException none) {
        // it has no assets
      } catch (IOException unreadable) {
        return; // rather too many than one too few
      }
    }
    Instant settled = now.minus(SETTLED);
    try (Stream<Path> assets = Files.list(store)) {
      for (Path asset : assets.toList()) {
        if (!needed.contains(asset.getFileName().toString())
            && Files.getLastModifiedTime(asset).toInstant().isBefore(settled)) {
          Files.deleteIfExists(asset);
        }
      }
    } catch (IOException none) {
      // nothing is kept, or it goes the next time
    }
  }

  @Override
  public String keep(Asset asset) throws IOException {
    String before = known.get(asset.bytes());
    if (before != null) {
      return before;
    }
    String hash = Sha256.hex(asset.bytes());
    if (listed.add(hash)) {
      // listed first, so that nobody takes it for one that is not needed
      try (FileChannel channel =
          FileChannel.open(list, StandardOpenOption.CREATE, StandardOpenOption.APPEND)) {
        channel.write(StandardCharsets.US_ASCII.encode(hash + "\n"));
        channel.force(true);
      }
    }
    Path file = store.resolve(hash);
    if (!Files.exists(file)) {
      Files.createDirectories(store);
      SafeFile.write(file, stream -> stream.write(asset.bytes()));
    }
    known.put(asset.bytes(), hash);
    return hash;
  }

  @Override
  public byte[] find(String hash) throws IOException {
    if (!hash.matches("[0-9a-f]{64}")) {
      throw new IOException(Messages.of("journal.an-asset-is-not-there", hash));
    }
    try {
      byte[] bytes = Files.readAllBytes(store.resolve(hash));
      if (!Sha256.hex(bytes).equals(hash)) {
        throw new IOException(Messages.of("journal.an-asset-is-not-there", hash));
      }
      return bytes;
    } catch (NoSuchFileException gone) {
      throw new IOException(Messages.of("journal.an-asset-is-not-there", hash), gone);
    }
  }
}
