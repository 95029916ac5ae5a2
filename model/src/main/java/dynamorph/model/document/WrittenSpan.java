package dynamorph.model.document;

import dynamorph.model.property.PropertySet;
import java.util.List;

/**
 * Words of one look in a document.
 *
 * @param text without line ends; a line separator (U+2028) breaks a line
 * @param styles keys of its character styles, the nearest last
 * @param local what was set by hand besides
 * @param ruby what stands over the words; mostly empty
 */
public record WrittenSpan(String text, List<String> styles, PropertySet local, String ruby) {
  public WrittenSpan {
    styles = List.copyOf(styles);
  }

  public WrittenSpan(String text, List<String> styles, PropertySet local) {
    this(text, styles, local, "");
  }

  public static WrittenSpan of(String text) {
    return new WrittenSpan(text, List.of(), PropertySet.EMPTY);
  }

  public WrittenSpan withText(String changed) {
    return new WrittenSpan(changed, styles, local, ruby);
  }
}
