/** The lanes of the timeline: a block for each title, cue and clip, and the heads of the tracks. */
package dynamorph.app.film.lanes;
