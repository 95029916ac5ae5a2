/** A shelf as a folder of files: safe against crashes, other processes and other machines. */
@org.jspecify.annotations.NullMarked
package dynamorph.shelf.folder;
