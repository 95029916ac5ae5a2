/** Edits of films: titles, cues, tracks and clips along the time. */
package dynamorph.model.edit.film;
