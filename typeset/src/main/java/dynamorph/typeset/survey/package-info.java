/** Looks for what is wrong with the words of texts: spaces, marks, languages, spelling, cues. */
package dynamorph.typeset.survey;
