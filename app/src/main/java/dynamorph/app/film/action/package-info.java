/**
 * What can be done with a film: its settings, titles, tracks, cues, footage, and the files that
 * come in and go out.
 */
package dynamorph.app.film.action;
