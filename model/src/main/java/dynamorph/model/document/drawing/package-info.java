/** Drawings that were made elsewhere: texts and shapes in their places. */
@NullMarked
package dynamorph.model.document.drawing;

import org.jspecify.annotations.NullMarked;
