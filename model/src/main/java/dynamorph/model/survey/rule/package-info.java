/**
 * What a survey looks for: rules with their limits, house rules, and what was told to be ignored.
 */
package dynamorph.model.survey.rule;
