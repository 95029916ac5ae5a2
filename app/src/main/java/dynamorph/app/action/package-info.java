/** Actions: what can be done, under an id, with a name, a shortcut and a condition. */
package dynamorph.app.action;
