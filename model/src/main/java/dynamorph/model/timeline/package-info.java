/** Films: time, frame rates, timecode, tracks, clips, and when a text is seen. */
package dynamorph.model.timeline;
