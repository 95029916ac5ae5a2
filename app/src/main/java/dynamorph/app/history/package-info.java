/** The steps of the session: all that can be undone and done again, with pictures. */
package dynamorph.app.history;
