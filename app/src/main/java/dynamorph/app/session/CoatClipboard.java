package dynamorph.app.session;

import dynamorph.model.property.Address;
import dynamorph.model.property.PropertySet;
import java.util.Optional;

/** A coat with its effects, or one effect, that was copied. */
public final class CoatClipboard {
  /**
   * What was copied.
   *
   * @param from where it stood; an effect if it names one
   * @param values under that address
   */
  public record Copied(Address from, PropertySet values) {
    public boolean isEffect() {
      return !from.effect().isEmpty();
    }
  }

  private Optional<Copied> copied = Optional.empty();

  public Optional<Copied> copied() {
    return copied;
  }

  public void copy(Address from, PropertySet values) {
    copied = Optional.of(new Copied(from, values));
  }
}
