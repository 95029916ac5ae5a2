/** All texts of the project side by side, as rows or in their frames. */
package dynamorph.app.sheet;
