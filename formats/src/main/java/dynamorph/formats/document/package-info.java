/**
 * Documents of word processors and the web: OpenDocument, Office Open XML, HTML, Markdown, RTF and
 * plain text, read with their styles; and where their words come to stand.
 */
package dynamorph.formats.document;
