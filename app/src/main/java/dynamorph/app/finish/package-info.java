/** The editor of finishes: the stack of coats, their effects, gradients and plates. */
package dynamorph.app.finish;
