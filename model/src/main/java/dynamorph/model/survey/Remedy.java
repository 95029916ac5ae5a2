package dynamorph.model.survey;

import dynamorph.model.edit.Edit;

/**
 * What mends a finding in one step.
 *
 * @param label what it does, such as {@code Use typographic quotes}
 * @param changesLooks whether a text looks different afterwards, so that its reach is shown first
 */
public record Remedy(String label, Edit edit, boolean changesLooks) {}
