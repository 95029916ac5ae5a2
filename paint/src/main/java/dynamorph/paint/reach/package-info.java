/**
 * What a change does to the texts that it reaches: the problems it makes, and how much of each is
 * seen to change.
 */
package dynamorph.paint.reach;
