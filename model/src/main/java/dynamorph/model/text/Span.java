package dynamorph.model.text;

import dynamorph.model.message.Messages;
import dynamorph.model.property.PropertySet;
import dynamorph.model.style.StyleId;
import java.util.List;
import java.util.Objects;

/**
 * A stretch of one paragraph with one look.
 *
 * @param follows character styles, last added last
 * @param local local changes
 * @param ruby how the letters are read, set small over them; empty for nothing. Neighbouring spans
 *     with the same ruby are one base. Parts with a space between them stand over a letter each if
 *     there are as many parts as letters.
 */
public record Span(String text, List<StyleId> follows, PropertySet local, String ruby) {
  public Span {
    if (text.indexOf('\n') >= 0 || ruby.indexOf('\n') >= 0) {
      throw new IllegalArgumentException(Messages.of("span.a-span-lies-within-one-paragraph"));
    }
    follows = List.copyOf(follows);
    Objects.requireNonNull(local, "local");
  }

  public Span(String text, List<StyleId> follows, PropertySet local) {
    this(text, follows, local, "");
  }

  public static Span of(String text) {
    return new Span(text, List.of(), PropertySet.EMPTY);
  }

  public Span withText(String changed) {
    return new Span(changed, follows, local, ruby);
  }

  public Span withFollows(List<StyleId> changed) {
    return new Span(text, changed, local, ruby);
  }

  public Span withLocal(PropertySet changed) {
    return new Span(text, follows, changed, ruby);
  }

  public Span withRuby(String changed) {
    return new Span(text, follows, local, changed);
  }

  public int length() {
    return text.length();
  }

  boolean looksLike(Span other) {
    return follows.equals(other.follows) && local.equals(other.local) && ruby.equals(other.ruby);
  }
}
