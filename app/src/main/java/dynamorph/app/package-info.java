/**
 * The window. {@code workspace} holds what is open, selected and being tried out; every view reads
 * it and changes it only through its methods. {@code background} makes scenes and frames off the
 * interface thread. The views: {@code head} bar, {@code styles} column, {@code stage}, {@code
 * inspector}, style {@code desk}, {@code keep} pane, {@code reach} strip.
 */
package dynamorph.app;
