package dynamorph.app.property;

import dynamorph.app.field.ValueEditor.Shown;
import dynamorph.model.cascade.Trace;
import dynamorph.model.property.Address;
import dynamorph.model.property.PropertyKey;
import dynamorph.model.property.PropertySet;
import java.util.List;
import java.util.Optional;
import java.util.Set;

/**
 * Whose values are shown and set. Made anew after each change; asked only on the interface thread.
 */
public interface Subject {
  /** Where a value comes from. */
  enum Mark {
    DEFAULT,
    STYLE,
    LOCAL
  }

  /** Whether there is anything to show. */
  boolean isEmpty();

  <T> Shown<T> shown(PropertyKey<T> key);

  Mark mark(PropertyKey<?> key);

  /**
   * Whether the value that counts is set here: by hand on the selection, or in the style on the
   * desk.
   */
  boolean isOwn(PropertyKey<?> key);

  /** Sets values on all of it. */
  void set(PropertySet values, Optional<Object> gesture);

  /** Takes back what is set here, so that what lies beyond shows. */
  void drop(Set<PropertyKey<?>> keys);

  /** The coats of a host, in paint order. */
  List<Address> coats(String host);

  List<Address> effects(Address coat);

  /** Where the value comes from, at one place if there are several. */
  <T> Trace<T> trace(PropertyKey<T> key);

  /** What a mark tells in words: {@code local change}, {@code from Label title}. */
  String origin(PropertyKey<?> key);
}
