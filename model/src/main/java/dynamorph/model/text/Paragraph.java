package dynamorph.model.text;

import dynamorph.model.property.PropertySet;
import dynamorph.model.style.StyleId;
import java.util.ArrayList;
import java.util.List;
import java.util.Objects;
import java.util.Optional;
import java.util.function.UnaryOperator;
import java.util.stream.Collectors;

/**
 * A paragraph: at least one span; neighbouring spans differ in look, and only the sole span may be
 * empty.
 *
 * @param follows the paragraph style, if any
 * @param local local changes
 */
public record Paragraph(List<Span> spans, Optional<StyleId> follows, PropertySet local) {
  public Paragraph {
    spans = normalised(spans);
    Objects.requireNonNull(follows, "follows");
    Objects.requireNonNull(local, "local");
  }

  public static Paragraph of(String text) {
    return new Paragraph(List.of(Span.of(text)), Optional.empty(), PropertySet.EMPTY);
  }

  public static Paragraph of(Span... spans) {
    return new Paragraph(List.of(spans), Optional.empty(), PropertySet.EMPTY);
  }

  public Paragraph withSpans(List<Span> changed) {
    return new Paragraph(changed, follows, local);
  }

  public Paragraph withFollows(Optional<StyleId> changed) {
    return new Paragraph(spans, changed, local);
  }

  public Paragraph withLocal(PropertySet changed) {
    return new Paragraph(spans, follows, changed);
  }

  /** With every span changed alike. */
  public Paragraph mapSpans(UnaryOperator<Span> change) {
    return withSpans(spans.stream().map(change).toList());
  }

  /** Whether another paragraph has the same look throughout, whatever its words are. */
  public boolean looksLike(Paragraph other) {
    if (spans.size() != other.spans.size()
        || !follows.equals(other.follows)
        || !local.equals(other.local)) {
      return false;
    }
    for (int span = 0; span < spans.size(); span++) {
      if (!spans.get(span).looksLike(other.spans.get(span))) {
        return false;
      }
    }
    return true;
  }

  public String text() {
    return spans.size() == 1
        ? spans.getFirst().text()
        : spans.stream().map(Span::text).collect(Collectors.joining());
  }

  /** Letters with ruby over them, in order; neighbouring spans with the same ruby are one base. */
  public List<RubyBase> rubyBases() {
    for (Span span : spans) {
      if (!span.ruby().isEmpty()) {
        return RubyBase.of(spans);
      }
    }
    return List.of();
  }

  /** Length in UTF-16 units, without the break behind it. */
  public int length() {
    int length = 0;
    for (Span span : spans) {
      length += span.length();
    }
    return length;
  }

  /** The spans of a range of this paragraph's own offsets; never empty. */
  List<Span> slice(TextRange range) {
    List<Span> slice = new ArrayList<>();
    int at = 0;
    for (Span span : spans) {
      int from = Math.clamp(range.start() - at, 0, span.length());
      int to = Math.clamp(range.end() - at, 0, span.length());
      boolean touched = from < to || spans.size() == 1;
      if (touched) {
        slice.add(span.withText(span.text().substring(from, to)));
      }
      at += span.length();
    }
    return slice.isEmpty() ? List.of(spanAt(range.start()).withText("")) : slice;
  }

  /** The span whose look typing at the offset takes: the one before it. */
  Span spanAt(int offset) {
    int at = 0;
    for (Span span : spans) {
      at += span.length();
      if (offset <= at) {
        return span;
      }
    }
    return spans.getLast();
  }

  /** With the spans of a range of this paragraph's own offsets changed, split where needed. */
  Paragraph mapSpans(TextRange range, UnaryOperator<Span> change) {
    List<Span> changed = new ArrayList<>(slice(new TextRange(0, range.start())));
    slice(range).stream().map(change).forEach(changed::add);
    changed.addAll(slice(new TextRange(range.end(), Math.max(length(), range.end()))));
    return withSpans(changed);
  }

  private static List<Span> normalised(List<Span> spans) {
    List<Span> merged = new ArrayList<>(spans.size());
    for (Span span : spans) {
      if (span.length() == 0) {
        continue;
      }
      if (!merged.isEmpty() && merged.getLast().looksLike(span)) {
        merged.add(span.withText(merged.removeLast().text() + span.text()));
      } else {
        merged.add(span);
      }
    }
    if (merged.isEmpty()) {
      merged.add(spans.isEmpty() ? Span.of("") : spans.getFirst());
    }
    return List.copyOf(merged);
  }
}
