/**
 * The window, a folder for each way of working: {@code artboards} (with the {@code stage} and
 * {@code text} edited in place), {@code film} (the viewer's tracks, {@code lanes} and {@code
 * cues}), {@code styles} (the column of cards, the desk, keeping, reach, palette, imports,
 * deletion), {@code finish}, {@code document} and {@code fill} for words that come in, {@code
 * files} and {@code fonts}. Shared by all: {@code session} holds what is open, selected, shown and
 * being tried, and every view changes it only through its methods; {@code inspector} shows the
 * values of a selection, {@code property} one value with its source, {@code field} edits one;
 * {@code render} makes scenes and frames off the interface thread; {@code action} lists what can be
 * done, {@code window} frames the views, {@code theme} colours them, {@code message} holds what
 * people read. {@link dynamorph.app.MainWindow} puts the views together.
 */
package dynamorph.app;
