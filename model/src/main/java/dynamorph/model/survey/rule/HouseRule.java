package dynamorph.model.survey.rule;

import dynamorph.model.message.Messages;
import dynamorph.model.property.PropertySet;

/**
 * A rule of a house: texts that a query chooses are findings.
 *
 * @param id kebab case; no two of a set have one
 * @param query in the language that chooses texts
 * @param message what is told about such a text
 * @param mending values that mend such a text; without any there is no remedy
 */
public record HouseRule(
    String id, String query, String message, Severity severity, PropertySet mending) {
  public HouseRule {
    if (!id.matches("[a-z0-9][a-z0-9-]*")) {
      throw new IllegalArgumentException(Messages.of("house-rule.an-id-is-in-kebab-case", id));
    }
    if (query.isBlank() || message.isBlank()) {
      throw new IllegalArgumentException(Messages.of("house-rule.needs-a-query-and-a-message", id));
    }
  }

  /** A rule without a remedy. */
  public HouseRule(String id, String query, String message, Severity severity) {
    this(id, query, message, severity, PropertySet.EMPTY);
  }
}
