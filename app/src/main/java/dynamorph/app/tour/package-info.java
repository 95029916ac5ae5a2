/** The tour: seven steps on the demo, each of which sees that it was done. */
package dynamorph.app.tour;
