/** The sound of footage, and of films made of it. */
@org.jspecify.annotations.NullMarked
package dynamorph.footage.sound;
