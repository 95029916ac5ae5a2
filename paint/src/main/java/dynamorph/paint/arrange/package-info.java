/**
 * Where texts stand among each other: alignment, equal gaps, and the lines that a drag snaps to.
 */
package dynamorph.paint.arrange;
