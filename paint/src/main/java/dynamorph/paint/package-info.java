/**
 * Draws what {@code typeset} has set. One painter serves the stage, specimens and exports: {@code
 * layer} paints one text, {@code scene} places all texts of a project, {@code stage} keeps the
 * pixels of a view up to date, {@code specimen} draws styles, {@code export} whole artboards.
 * Native objects live and die in here; what comes out are plain pixels.
 */
package dynamorph.paint;
