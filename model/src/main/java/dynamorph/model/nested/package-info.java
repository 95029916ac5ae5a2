/** The words of paragraphs that styles put character styles on. */
package dynamorph.model.nested;
