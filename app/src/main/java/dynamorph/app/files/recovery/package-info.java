/**
 * Nothing is lost: what is worked on goes into a journal at once, and work that a process left
 * behind is offered again.
 */
package dynamorph.app.files.recovery;
