/** Working on finishes: the stack of coats, their effects and paints, and the finish presets. */
package dynamorph.app.finish;
