package dynamorph.app.background;

import dynamorph.paint.scene.Scene;
import dynamorph.paint.stage.View;
import javafx.scene.image.WritableImage;

/** A finished picture of the stage, with the scene and the view it shows. */
public record Frame(Scene scene, View view, WritableImage image) {}
