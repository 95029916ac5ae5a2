/** Small pictures of styles and of single texts, drawn by the same painter as the stage. */
package dynamorph.paint.specimen;
