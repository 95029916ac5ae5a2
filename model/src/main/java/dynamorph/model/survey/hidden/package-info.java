/** Finds styles that hide in a project: texts that look alike and follow nothing that says so. */
package dynamorph.model.survey.hidden;
