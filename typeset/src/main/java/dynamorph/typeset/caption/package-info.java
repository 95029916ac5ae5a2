/** Captions: what a track's cues are, what is wrong with them, and how they are put right. */
package dynamorph.typeset.caption;
