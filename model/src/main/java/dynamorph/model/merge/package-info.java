/** Two people's changes of one project, put together value by value. */
package dynamorph.model.merge;
