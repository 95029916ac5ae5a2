package dynamorph.paint.layer;

import io.github.humbleui.skija.ColorSpace;
import io.github.humbleui.skija.ColorSpaceNamedPrimaries;
import io.github.humbleui.skija.ColorSpaceNamedTransferFn;
import java.nio.ByteBuffer;
import java.util.Arrays;
import java.util.Optional;

/**
 * The colour space that a PNG names by its code points (Portable Network Graphics, third edition,
 * cICP; ITU-T H.273), which the decoder does not read. It goes before a profile.
 */
final class PngColours {
  private static final long SIGNATURE = 0x89504E470D0A1A0AL;
  private static final int CICP = 0x63494350;
  private static final int PIXELS = 0x49444154;

  /** Length, name and checksum of a chunk. */
  private static final int FRAME = 12;

  private PngColours() {}

  /** The space; empty if the file names none, or one that is not known. */
  static Optional<ColorSpace> named(byte[] encoded) {
    ByteBuffer file = ByteBuffer.wrap(encoded);
    if (encoded.length < Long.BYTES || file.getLong(0) != SIGNATURE) {
      return Optional.empty();
    }
    long at = Long.BYTES;
    while (at + FRAME <= encoded.length) {
      int length = file.getInt((int) at);
      int name = file.getInt((int) at + 4);
      if (length < 0 || name == PIXELS) {
        return Optional.empty();
      }
      if (name == CICP && length == 4 && at + FRAME + 4 <= encoded.length) {
        return space(encoded[(int) at + 8] & 0xFF, encoded[(int) at + 9] & 0xFF);
      }
      at += (long) length + FRAME;
    }
    return Optional.empty();
  }

  private static Optional<ColorSpace> space(int primaries, int transfer) {
    return Arrays.stream(ColorSpaceNamedPrimaries.values())
        .filter(known -> known._value == primaries)
        .findFirst()
        .flatMap(known ->
            Arrays.stream(ColorSpaceNamedTransferFn.values())
                .filter(curve -> curve._value == transfer)
                .findFirst()
                .map(curve -> ColorSpace.makeCICP(known, curve)));
  }
}
