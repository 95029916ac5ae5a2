/** Documents in the styles of a project: what becomes of theirs, and which sections they have. */
package dynamorph.model.document.mapping;
