/** The command line: one class a command, all on the same core as the window. */
package dynamorph.cli;
