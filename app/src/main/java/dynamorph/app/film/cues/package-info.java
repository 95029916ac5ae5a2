/** The cue list: captions as rows, with what is wrong with them. */
package dynamorph.app.film.cues;
