/** Pictures of videos and of numbered files, for the films they are footage of. */
package dynamorph.footage;
