/**
 * Surveys a project: what hides in its styles, and what is wrong with its texts as they are seen.
 */
package dynamorph.paint.survey;
