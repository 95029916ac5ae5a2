/** Working on artboards: what can be done with whole layers and with artboards themselves. */
package dynamorph.app.artboards;
