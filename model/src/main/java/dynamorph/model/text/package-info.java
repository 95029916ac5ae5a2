/**
 * The words: a {@link dynamorph.model.text.Story} of paragraphs of spans, and how typing and
 * formatting change it. An offset counts UTF-16 units through the whole story, with one unit for
 * the break between two paragraphs.
 */
package dynamorph.model.text;
