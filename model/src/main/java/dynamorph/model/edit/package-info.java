/**
 * Changes as values: {@code Project after = edit.applyTo(before)}. {@link
 * dynamorph.model.edit.History} keeps the earlier projects; sharing of structure makes that cheap.
 * An edit that makes no sense is refused with {@link dynamorph.model.edit.EditRefused}, and the
 * project stays as it is.
 */
package dynamorph.model.edit;
