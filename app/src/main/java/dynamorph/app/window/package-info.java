/** What frames the views: head bar, command search, notices, shortcut sheet, columns. */
package dynamorph.app.window;
