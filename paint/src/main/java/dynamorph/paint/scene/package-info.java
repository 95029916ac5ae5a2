/**
 * Where every text of a project stands, resolved and laid out: what the stage draws and what a
 * pointer hits.
 */
package dynamorph.paint.scene;
