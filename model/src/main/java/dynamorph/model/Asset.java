package dynamorph.model;

import dynamorph.model.message.Messages;
import java.util.Arrays;

/**
 * A file that travels inside a project, such as a font.
 *
 * @param name path within the project's assets, such as {@code fonts/Bell.ttf}
 */
public record Asset(String name, byte[] bytes) {
  public Asset {
    if (!name.matches("[\\w .()+-]+(/[\\w .()+-]+)*") || name.contains("..")) {
      throw new IllegalArgumentException(Messages.of("asset.not-the-name-of-an-asset", name));
    }
  }

  public boolean isFont() {
    return name.startsWith("fonts/");
  }

  public boolean isImage() {
    return name.startsWith("images/");
  }

  /** The name without its folder. */
  public String shortName() {
    return name.substring(name.lastIndexOf('/') + 1);
  }

  @Override
  public boolean equals(Object other) {
    return other instanceof Asset asset
        && asset.name.equals(name)
        && Arrays.equals(asset.bytes, bytes);
  }

  @Override
  public int hashCode() {
    return name.hashCode();
  }

  @Override
  public String toString() {
    return name + " (" + bytes.length + " bytes)";
  }
}
