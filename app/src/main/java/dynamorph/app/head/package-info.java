/** The head bar: project, command search, undo and redo, export. */
package dynamorph.app.head;
