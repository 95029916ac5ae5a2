/** Blur, spread of light and shade: what effects do to pixels. */
package dynamorph.paint.effect;
