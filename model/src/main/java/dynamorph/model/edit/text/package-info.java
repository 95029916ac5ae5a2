/** Edits of words: typing, replacing, ruby, manual kerning, what the speller knows. */
package dynamorph.model.edit.text;
