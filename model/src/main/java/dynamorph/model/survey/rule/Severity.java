package dynamorph.model.survey.rule;

import dynamorph.model.message.Messages;
import java.util.Locale;

/** How much a finding weighs. */
public enum Severity {
  ERROR(Messages.of("severity.error")),
  WARNING(Messages.of("severity.warning")),
  NOTE(Messages.of("severity.note")),
  /** The rule is not looked at. */
  OFF(Messages.of("severity.off"));

  private final String label;

  Severity(String label) {
    this.label = label;
  }

  /** What people call it. */
  public String label() {
    return label;
  }

  /** What files call it. */
  public String id() {
    return name().toLowerCase(Locale.ROOT);
  }

  /** The severity that files call so. */
  public static java.util.Optional<Severity> of(String id) {
    return java.util.Arrays.stream(values()).filter(one -> one.id().equals(id)).findFirst();
  }
}
