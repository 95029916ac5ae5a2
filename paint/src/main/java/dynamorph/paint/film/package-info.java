/** Films: footage, and frames of footage with titles and captions over it. */
package dynamorph.paint.film;
