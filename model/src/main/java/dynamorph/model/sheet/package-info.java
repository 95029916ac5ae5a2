/** All texts of a project side by side: which are listed, in what order and in which groups. */
package dynamorph.model.sheet;
