/** What frames the views: head bar, command search, notices, shortcut sheet, welcome strip. */
package dynamorph.app.window;
