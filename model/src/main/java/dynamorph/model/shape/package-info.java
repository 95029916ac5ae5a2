/** What a layer shows that is not text: plain shapes, drawn paths and images. */
package dynamorph.model.shape;
