package dynamorph.app.session;

import dynamorph.model.edit.Edit;

/**
 * An edit that is being looked at before it is done: the stage shows the project with it, the reach
 * strip what it changes.
 *
 * @param title what is about to happen: {@code Save into "Label"}
 * @param commitLabel what the button that does it says
 */
public record Review(String title, Edit edit, String commitLabel) {}
