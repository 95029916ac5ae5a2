/** The words of the window, which are translated in {@code messages.properties}. */
package dynamorph.app.message;
