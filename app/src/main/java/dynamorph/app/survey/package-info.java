/** What a survey of the project found, and what mends it. */
package dynamorph.app.survey;
