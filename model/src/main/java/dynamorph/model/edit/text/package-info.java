/** Edits of words: typing, replacing, ruby, kerning by hand, what the speller knows. */
package dynamorph.model.edit.text;
