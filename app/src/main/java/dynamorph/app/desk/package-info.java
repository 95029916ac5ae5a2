/**
 * The style desk: where a style itself is edited, with everything that follows it changing live on
 * the stage.
 */
package dynamorph.app.desk;
