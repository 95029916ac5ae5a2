/** Writes what a survey found: for machines as JSON and SARIF, for people as a page. */
package dynamorph.formats.survey;
