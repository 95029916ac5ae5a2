/** Working on films: the timeline below the viewer, its transport bar and playback. */
package dynamorph.app.film;
