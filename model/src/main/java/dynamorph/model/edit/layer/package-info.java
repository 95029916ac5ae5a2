/**
 * Edits of layers and artboards: values set by hand and dropped, places, boxes, order, shapes,
 * finishes.
 */
package dynamorph.model.edit.layer;
