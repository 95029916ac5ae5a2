/** Finds misspelt words and proposes others; dictionaries in Hunspell's form, read by Lucene. */
package dynamorph.typeset.spelling;
