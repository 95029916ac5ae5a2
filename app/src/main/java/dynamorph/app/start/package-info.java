/** The page that a start begins with: recent projects, sizes, the demo, the tour. */
package dynamorph.app.start;
