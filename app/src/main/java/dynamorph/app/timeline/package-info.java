/** The timeline of a film: playing it, its tracks, its cues. */
package dynamorph.app.timeline;
