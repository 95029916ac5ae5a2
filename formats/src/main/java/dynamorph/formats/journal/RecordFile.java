package dynamorph.formats.journal;

import dynamorph.formats.message.Messages;
import java.io.ByteArrayInputStream;
import java.io.ByteArrayOutputStream;
import java.io.Closeable;
import java.io.IOException;
import java.nio.ByteBuffer;
import java.nio.channels.FileChannel;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.StandardOpenOption;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.zip.CRC32C;
import java.util.zip.Deflater;
import java.util.zip.DeflaterOutputStream;
import java.util.zip.InflaterInputStream;

/**
 * A file of records that only grows. Each record is its length and its checksum (CRC-32C, RFC
 * 3720), four bytes each, and its bytes, deflated; so one that was written in part is known as
 * such, and all before it still hold.
 */
public final class RecordFile implements Closeable {
  private static final byte[] SIGNATURE =
      "dynamorph journal 1\n".getBytes(StandardCharsets.US_ASCII);
  private static final int HEAD = 8;

  /** The largest record that is unpacked: far above any real one. */
  private static final int LARGEST = 1 << 30;

  private final FileChannel channel;
  private long end;
  private int count;

  private RecordFile(FileChannel channel, long end) {
    this.channel = channel;
    this.end = end;
  }

  /** Begins a file; what was there is gone. */
  public static RecordFile create(Path file) throws IOException {
    FileChannel channel =
        FileChannel.open(
            file,
            StandardOpenOption.CREATE,
            StandardOpenOption.TRUNCATE_EXISTING,
            StandardOpenOption.WRITE);
    RecordFile records = new RecordFile(channel, 0);
    records.write(ByteBuffer.wrap(SIGNATURE));
    return records;
  }

  /**
   * Goes on with a file. What is left of a record that was written in part is written over.
   *
   * @throws IOException if it cannot be read or is no such file
   */
  public static RecordFile resume(Path file) throws IOException {
    long whole = SIGNATURE.length;
    List<byte[]> records = packed(file);
    for (byte[] packed : records) {
      whole += HEAD + packed.length;
    }
    FileChannel channel = FileChannel.open(file, StandardOpenOption.WRITE);
    try {
      channel.truncate(whole);
    } catch (IOException failed) {
      channel.close();
      throw failed;
    }
    RecordFile resumed = new RecordFile(channel, whole);
    resumed.count = records.size();
    return resumed;
  }

  /** Records that are whole. */
  public int count() {
    return count;
  }

  /** Bytes written so far. */
  public long length() {
    return end;
  }

  /**
   * Adds a record and forces it to the disk.
   *
   * @throws IOException if it could not be written; the file is as long as before then, or what is
   *     left of the record is known to be none
   */
  public void append(byte[] record) throws IOException {
    byte[] packed = deflated(record);
    ByteBuffer bytes =
        ByteBuffer.allocate(HEAD + packed.length)
            .putInt(packed.length)
            .putInt(checksum(packed))
            .put(packed)
            .flip();
    write(bytes);
    channel.force(false);
    count++;
  }

  private void write(ByteBuffer bytes) throws IOException {
    long from = end;
    try {
      long at = from;
      while (bytes.hasRemaining()) {
        at += channel.write(bytes, at);
      }
      end = at;
    } catch (IOException full) {
      try {
        channel.truncate(from);
      } catch (IOException also) {
        full.addSuppressed(also);
      }
      throw full;
    }
  }

  @Override
  public void close() throws IOException {
    channel.close();
  }

  /**
   * The records of a file, up to the first that is not whole.
   *
   * @throws IOException if it cannot be read or is no such file
   */
  public static List<byte[]> read(Path file) throws IOException {
    List<byte[]> records = new ArrayList<>();
    for (byte[] packed : packed(file)) {
      records.add(inflated(packed));
    }
    return records;
  }

  /** The records that are whole, as they lie in the file. */
  private static List<byte[]> packed(Path file) throws IOException {
    byte[] all = Files.readAllBytes(file);
    if (!Arrays.equals(SIGNATURE, Arrays.copyOf(all, SIGNATURE.length))) {
      throw new IOException(Messages.of("record-file.this-is-not-a-journal"));
    }
    ByteBuffer bytes = ByteBuffer.wrap(all).position(SIGNATURE.length);
    List<byte[]> records = new ArrayList<>();
    while (bytes.remaining() >= HEAD) {
      int length = bytes.getInt();
      int checksum = bytes.getInt();
      if (length < 0 || length > bytes.remaining()) {
        break;
      }
      byte[] packed = new byte[length];
      bytes.get(packed);
      if (checksum(packed) != checksum) {
        break;
      }
      records.add(packed);
    }
    return records;
  }

  private static int checksum(byte[] bytes) {
    CRC32C crc = new CRC32C();
    crc.update(bytes);
    return (int) crc.getValue();
  }

  private static byte[] deflated(byte[] bytes) throws IOException {
    ByteArrayOutputStream packed = new ByteArrayOutputStream();
    Deflater quick = new Deflater(Deflater.BEST_SPEED);
    try (DeflaterOutputStream stream = new DeflaterOutputStream(packed, quick)) {
      stream.write(bytes);
    } finally {
      quick.end();
    }
    return packed.toByteArray();
  }

  private static byte[] inflated(byte[] packed) throws IOException {
    try (InflaterInputStream stream = new InflaterInputStream(new ByteArrayInputStream(packed))) {
      byte[] bytes = stream.readNBytes(LARGEST);
      if (stream.read() >= 0) {
        throw new IOException(Messages.of("record-file.this-is-not-a-journal"));
      }
      return bytes;
    }
  }
}
