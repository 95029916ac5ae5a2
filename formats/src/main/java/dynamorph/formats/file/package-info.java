/** Writing files so that nothing is lost. */
package dynamorph.formats.file;
