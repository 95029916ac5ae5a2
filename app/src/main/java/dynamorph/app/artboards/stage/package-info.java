/**
 * The stage: artboards or the frame of a film on a plane that is panned and zoomed, with what is
 * selected, drawn and typed on it. {@link dynamorph.app.artboards.stage.StageView} shows it; each
 * gesture and tool has a class of its own; {@link dynamorph.app.artboards.stage.TextKeys} edits
 * text in place.
 */
package dynamorph.app.artboards.stage;
