/**
 * The reach strip: every text that follows the picked or edited style, drawn, with what is wrong
 * with it.
 */
package dynamorph.app.reach;
