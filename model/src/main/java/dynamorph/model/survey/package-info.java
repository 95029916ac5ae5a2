/** Searches a project for what could be in better order: styles that are nearly the same. */
package dynamorph.model.survey;
