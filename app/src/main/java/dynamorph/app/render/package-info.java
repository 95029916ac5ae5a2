/**
 * Makes frames of the stage and small pictures off the interface thread. {@link
 * dynamorph.app.render.Studio} holds the fonts, the typesetter and the painters of one project.
 */
package dynamorph.app.render;
