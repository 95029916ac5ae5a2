/**
 * What is open, selected, shown and being tried out: {@link dynamorph.app.session.Workspace} is the
 * one place that views read and change.
 */
package dynamorph.app.session;
