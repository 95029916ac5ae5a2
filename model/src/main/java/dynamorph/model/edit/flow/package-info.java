/** Edits of the boxes that a text flows through. */
package dynamorph.model.edit.flow;
