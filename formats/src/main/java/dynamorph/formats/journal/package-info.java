/**
 * What is worked on, on disk within a second: every state of a project's history as a difference to
 * the one before, in a file that only grows. {@link dynamorph.formats.journal.Journals} has all of
 * them; what a process that ended badly left is found there.
 */
package dynamorph.formats.journal;
