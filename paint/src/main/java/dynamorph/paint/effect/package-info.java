/** Gaussian blur, coverage grown or shrunk, and the relief of bevels: what effects do to pixels. */
package dynamorph.paint.effect;
