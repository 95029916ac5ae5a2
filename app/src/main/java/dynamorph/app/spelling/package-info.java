/** Spelling marks on the stage, and what may have been meant. */
package dynamorph.app.spelling;
