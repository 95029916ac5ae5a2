/** The context menus of the stage: of texts, words, artboards, and the empty stage. */
package dynamorph.app.artboards.menu;
