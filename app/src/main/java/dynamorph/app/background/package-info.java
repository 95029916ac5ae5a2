/** What runs beside the interface thread: scenes, frames, specimens. The newest request wins. */
package dynamorph.app.background;
