/** Films written as video files: pictures, sound, captions and chapters in one container. */
@org.jspecify.annotations.NullMarked
package dynamorph.footage.encode;
