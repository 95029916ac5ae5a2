package dynamorph.footage.encode;

import java.io.IOException;
import java.nio.ByteBuffer;
import java.nio.channels.FileChannel;
import java.nio.charset.StandardCharsets;
import java.nio.file.Path;
import java.nio.file.StandardOpenOption;
import org.jspecify.annotations.Nullable;

/**
 * The tracks of an MP4 or QuickTime file (ISO/IEC 14496-12). Their writer lets the first text track
 * be shown without being asked for, which would put captions over those in the pictures.
 */
final class QuickTimeTracks {
  private static final int HEAD = 8;
  private static final int LARGE_HEAD = 16;
  private static final int ENABLED = 1;

  private QuickTimeTracks() {}

  /** Lets text be shown on request only. */
  static void disableText(Path file) throws IOException {
    try (FileChannel channel =
        FileChannel.open(file, StandardOpenOption.READ, StandardOpenOption.WRITE)) {
      for (Box box = first(channel, 0, channel.size()); box != null; box = next(channel, box)) {
        if (box.type.equals("moov")) {
          disableText(channel, box);
        }
      }
    }
  }

  /**
   * A box in the file.
   *
   * @param inside where its contents begin
   * @param end where it is over
   * @param limit where the box is over that it lies in
   */
  private record Box(String type, long inside, long end, long limit) {}

  private static @Nullable Box first(FileChannel channel, long from, long limit)
      throws IOException {
    if (from + HEAD > limit) {
      return null;
    }
    ByteBuffer head = read(channel, from, (int) Math.min(LARGE_HEAD, limit - from));
    long size = Integer.toUnsignedLong(head.getInt(0));
    byte[] type = new byte[4];
    head.get(4, type);
    long inside = from + HEAD;
    if (size == 1 && head.capacity() == LARGE_HEAD) {
      size = head.getLong(HEAD);
      inside = from + LARGE_HEAD;
    } else if (size == 0) {
      size = limit - from;
    }
    long end = from + size;
    return end < inside || end > limit
        ? null
        : new Box(new String(type, StandardCharsets.ISO_8859_1), inside, end, limit);
  }

  private static @Nullable Box next(FileChannel channel, Box box) throws IOException {
    return first(channel, box.end, box.limit);
  }

  private static ByteBuffer read(FileChannel channel, long from, int count) throws IOException {
    ByteBuffer bytes = ByteBuffer.allocate(count);
    while (bytes.hasRemaining() && channel.read(bytes, from + bytes.position()) >= 0) {
      // until all is there
    }
    return bytes;
  }

  private static void disableText(FileChannel channel, Box movie) throws IOException {
    for (Box track = first(channel, movie.inside, movie.end);
        track != null;
        track = next(channel, track)) {
      if (track.type.equals("trak") && isText(channel, track)) {
        Box head = child(channel, track, "tkhd");
        if (head != null) {
          // a version in one byte, then flags in three
          ByteBuffer flags = read(channel, head.inside, Integer.BYTES);
          ByteBuffer without =
              ByteBuffer.allocate(Integer.BYTES).putInt(0, flags.getInt(0) & ~ENABLED);
          channel.write(without, head.inside);
        }
      }
    }
  }

  private static boolean isText(FileChannel channel, Box track) throws IOException {
    Box media = child(channel, track, "mdia");
    Box handler = media == null ? null : child(channel, media, "hdlr");
    if (handler == null) {
      return false;
    }
    byte[] kind = new byte[4];
    // after version, flags and four bytes that have no meaning here
    read(channel, handler.inside, 12).get(8, kind);
    String told = new String(kind, StandardCharsets.ISO_8859_1);
    return told.equals("sbtl") || told.equals("text");
  }

  private static @Nullable Box child(FileChannel channel, Box outer, String type)
      throws IOException {
    for (Box box = first(channel, outer.inside, outer.end); box != null; box = next(channel, box)) {
      if (box.type.equals(type)) {
        return box;
      }
    }
    return null;
  }
}
