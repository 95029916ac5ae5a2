/** Caption files: SubRip, WebVTT and TTML in and out. */
package dynamorph.formats.captions;
