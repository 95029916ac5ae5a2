/** The styles column: cards with specimens, their order, their menus and gestures. */
package dynamorph.app.styles.column;
