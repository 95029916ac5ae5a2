package dynamorph.app.render;

import dynamorph.paint.scene.Scene;
import dynamorph.paint.stage.View;
import javafx.scene.image.WritableImage;

/**
 * A finished picture of the stage, with the scene and the view it shows.
 *
 * @param scene what is in sight
 * @param whole the scene of the whole project, whatever is in sight
 * @param sight what was asked for
 */
public record Frame(Scene scene, Scene whole, Scene.Sight sight, View view, WritableImage image) {}
