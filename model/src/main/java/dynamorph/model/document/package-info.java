/**
 * Documents as they were written elsewhere: their paragraphs, the styles that they name, and how
 * these become styles of a project.
 */
package dynamorph.model.document;
