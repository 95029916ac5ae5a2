package dynamorph.formats.captions;

import dynamorph.formats.message.Messages;

/**
 * Something that was repaired, left out or cannot be carried over.
 *
 * @param line in the file, from 1; 0 where there is none
 */
public record Remark(int line, String words) {
  @Override
  public String toString() {
    return line == 0 ? words : Messages.of("remark.line", line, words);
  }
}
