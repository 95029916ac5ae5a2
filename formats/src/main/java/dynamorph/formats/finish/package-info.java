/** The finishes that come with the program. */
package dynamorph.formats.finish;
