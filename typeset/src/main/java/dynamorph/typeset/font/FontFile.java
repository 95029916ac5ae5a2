package dynamorph.typeset.font;

import java.nio.ByteBuffer;
import java.nio.charset.StandardCharsets;
import java.util.Map;
import java.util.SortedMap;

/** Writes font files (OpenType, "Font file structure"). */
final class FontFile {
  private static final int TRUETYPE = 0x00010000;
  private static final int OPENTYPE_CFF = 0x4F54544F;
  private static final int HEADER = 12;
  private static final int RECORD = 16;

  private FontFile() {}

  /** A file with the tables. */
  static byte[] of(SortedMap<String, byte[]> tables) {
    int length = HEADER + RECORD * tables.size();
    for (byte[] table : tables.values()) {
      length += padded(table.length);
    }
    boolean cff = tables.containsKey("CFF ") || tables.containsKey("CFF2");
    ByteBuffer file = ByteBuffer.allocate(length);
    int power = Integer.highestOneBit(Math.max(1, tables.size()));
    file.putInt(cff ? OPENTYPE_CFF : TRUETYPE)
        .putShort((short) tables.size())
        .putShort((short) (power * 16))
        .putShort((short) Integer.numberOfTrailingZeros(power))
        .putShort((short) (tables.size() * 16 - power * 16));
    int offset = HEADER + RECORD * tables.size();
    for (Map.Entry<String, byte[]> table : tables.entrySet()) {
      // the shaper does not look at checksums
      file.put(table.getKey().getBytes(StandardCharsets.ISO_8859_1))
          .putInt(0)
          .putInt(offset)
          .putInt(table.getValue().length);
      offset += padded(table.getValue().length);
    }
    for (byte[] table : tables.values()) {
      file.put(table);
      file.position(file.position() + padded(table.length) - table.length);
    }
    return file.array();
  }

  private static int padded(int length) {
    return (length + 3) & ~3;
  }
}
