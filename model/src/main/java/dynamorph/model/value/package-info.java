/**
 * The values that properties hold: lengths, sizes, colours, choices, and the arithmetic typed into
 * number fields.
 */
package dynamorph.model.value;
