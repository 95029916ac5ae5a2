package dynamorph.model.text;

import dynamorph.model.property.PropertySet;
import dynamorph.model.style.StyleId;
import java.util.List;
import java.util.Objects;

/**
 * A stretch of one paragraph with one look.
 *
 * @param follows character styles, last added last
 * @param local local changes
 */
public record Span(String text, List<StyleId> follows, PropertySet local) {
  public Span {
    if (text.indexOf('\n') >= 0) {
      throw new IllegalArgumentException("a span lies within one paragraph");
    }
    follows = List.copyOf(follows);
    Objects.requireNonNull(local, "local");
  }

  public static Span of(String text) {
    return new Span(text, List.of(), PropertySet.EMPTY);
  }

  public Span withText(String changed) {
    return new Span(changed, follows, local);
  }

  public Span withFollows(List<StyleId> changed) {
    return new Span(text, changed, local);
  }

  public Span withLocal(PropertySet changed) {
    return new Span(text, follows, changed);
  }

  public int length() {
    return text.length();
  }

  boolean looksLike(Span other) {
    return follows.equals(other.follows) && local.equals(other.local);
  }
}
