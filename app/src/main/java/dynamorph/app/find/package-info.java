/** Finds words in all texts of the project, and puts others in their place. */
package dynamorph.app.find;
