/**
 * Finds the value that counts. {@link dynamorph.model.cascade.Cascade} walks from the span outwards
 * and keeps the first value that is set; {@link dynamorph.model.cascade.Trace} is that walk written
 * down. The results are complete: {@code TypeLook} moves glyphs, {@code Finish} only paints them.
 */
package dynamorph.model.cascade;
