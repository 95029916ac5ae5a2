/**
 * The demo project: <i>The Long Hour</i>, an exhibition of the invented Quarter Bell Museum. All
 * people, places and words are made up. {@link dynamorph.demo.LongHour} makes it.
 */
package dynamorph.demo;
