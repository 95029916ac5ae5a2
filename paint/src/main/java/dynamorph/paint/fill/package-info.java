/** What is wrong with artboards that are filled with the rows of a table, once they are set. */
package dynamorph.paint.fill;
