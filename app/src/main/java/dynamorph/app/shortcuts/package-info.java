/** The keys that a person chose for what can be done. */
package dynamorph.app.shortcuts;
