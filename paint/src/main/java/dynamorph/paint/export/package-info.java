/** Whole artboards as pictures. */
package dynamorph.paint.export;
