/** What a language asks of typesetting: where its words are divided. */
package dynamorph.typeset.language;
