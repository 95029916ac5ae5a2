/**
 * The fonts of a project: which are missing, what replaces them, and the families that can be
 * chosen.
 */
package dynamorph.app.fonts;
