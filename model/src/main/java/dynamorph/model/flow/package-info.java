/** Text that flows through linked boxes. */
package dynamorph.model.flow;
