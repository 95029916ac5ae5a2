package dynamorph.formats.project;

import java.util.Arrays;
import java.util.Objects;
import java.util.Optional;

/**
 * What a kit says of itself.
 *
 * @param author who made it
 * @param licence under which others may use it, such as {@code CC BY 4.0}
 * @param description what it is for
 * @param picture a PNG of its looks
 */
public record KitAbout(
    String author, String licence, String description, Optional<byte[]> picture) {
  public static final KitAbout NOTHING = new KitAbout("", "", "", Optional.empty());

  public KitAbout {
    author = author.strip();
    licence = licence.strip();
    description = description.strip();
  }

  public boolean isEmpty() {
    return author.isEmpty() && licence.isEmpty() && description.isEmpty() && picture.isEmpty();
  }

  public KitAbout withPicture(byte[] png) {
    return new KitAbout(author, licence, description, Optional.of(png));
  }

  @Override
  public boolean equals(Object other) {
    return other instanceof KitAbout about
        && about.author.equals(author)
        && about.licence.equals(licence)
        && about.description.equals(description)
        && Arrays.equals(about.picture.orElse(null), picture.orElse(null));
  }

  @Override
  public int hashCode() {
    return Objects.hash(author, licence, description);
  }

  @Override
  public String toString() {
    return author + ", " + licence + ": " + description;
  }
}
