/** Writing files so that nothing is lost, and reading text and XML of unknown origin. */
package dynamorph.formats.file;
