package dynamorph.model.style;

import dynamorph.model.message.Messages;
import java.util.regex.Pattern;

/**
 * Where a style or swatch of a project came from, and what it is compared with when either side
 * changes.
 *
 * @param shelf id of the shelf
 * @param entry id of the style or swatch there
 * @param version id of the version that was taken last
 */
public record Origin(String shelf, String entry, String version) {
  private static final Pattern ID = Pattern.compile("[A-Za-z0-9_.-]+");

  public Origin {
    for (String id : new String[] {shelf, entry, version}) {
      if (!ID.matcher(id).matches()) {
        throw new IllegalArgumentException(Messages.of("origin.not-an-id", id));
      }
    }
  }

  public Origin at(String changed) {
    return new Origin(shelf, entry, changed);
  }

  /** Whether both are the same thing of one shelf, of whatever version. */
  public boolean isOf(Origin other) {
    return shelf.equals(other.shelf) && entry.equals(other.entry);
  }
}
