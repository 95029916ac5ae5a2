/**
 * Everything that can be done, by name, with its shortcut: menus, buttons, command search and the
 * shortcut sheet share it.
 */
package dynamorph.app.action;
