/**
 * Shows and sets the values of what is selected. {@link dynamorph.app.inspector.Subject} is whose
 * values they are: the selection, or the draft of a style; the rows are made from the property
 * registry and are the same for both.
 */
package dynamorph.app.inspector;
