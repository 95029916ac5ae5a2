/** What a layer shows that is not text: plain shapes, drawn paths and pictures. */
package dynamorph.model.shape;
