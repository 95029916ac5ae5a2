/** Spelling marks and what can be done about a misspelt word. */
package dynamorph.app.artboards.text.spelling;
