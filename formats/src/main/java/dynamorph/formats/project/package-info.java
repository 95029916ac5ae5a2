/**
 * Project files, {@code .dmorph}: a zip of JSON documents and assets, described in {@code
 * docs/formats/project.md} and by the JSON Schemas beside it. {@link
 * dynamorph.formats.project.ProjectFile} is the way in.
 */
package dynamorph.formats.project;
