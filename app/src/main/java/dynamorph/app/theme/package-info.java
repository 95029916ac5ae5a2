/** How the window looks: two themes of looked-up colours, one style sheet, the interface font. */
package dynamorph.app.theme;
