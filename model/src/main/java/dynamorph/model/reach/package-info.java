/** Questions on a project: who follows a style, what a change touches, what deviates. */
package dynamorph.model.reach;
