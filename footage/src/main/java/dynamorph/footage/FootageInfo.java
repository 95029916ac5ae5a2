package dynamorph.footage;

import dynamorph.model.timeline.Time;

/**
 * What is known of footage before any of it is seen.
 *
 * @param width in pixels as it is shown
 * @param height in pixels
 * @param duration of all of it; a picture lasts a frame
 * @param hasAlpha whether parts of its pictures may be transparent
 */
public record FootageInfo(int width, int height, Time duration, boolean hasAlpha) {}
