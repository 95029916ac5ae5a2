/**
 * The stage: all artboards on one plane. {@link dynamorph.app.stage.StageView} shows frames and
 * marks, its gestures turn presses, drags and keys into selections and edits, {@code TextKeys}
 * edits text in place.
 */
package dynamorph.app.stage;
