package foldtwice.text;

import java.nio.ByteBuffer;
import java.nio.charset.CharacterCodingException;
import java.nio.charset.Charset;
import java.nio.charset.StandardCharsets;

/** Bytes as text. */
public final class Encoding {

  private Encoding() {}

  /**
   * UTF-8, or UTF-16 where a byte order mark says so.
   *
   * @throws CharacterCodingException where it is no text
   */
  public static String decoded(byte[] bytes) throws CharacterCodingException {
    boolean big = bytes.length > 1 && bytes[0] == (byte) 0xFE && bytes[1] == (byte) 0xFF;
    boolean little = bytes.length > 1 && bytes[0] == (byte) 0xFF && bytes[1] == (byte) 0xFE;
    Charset charset =
        big
            ? StandardCharsets.UTF_16BE
            : little ? StandardCharsets.UTF_16LE : StandardCharsets.UTF_8;
    String text = charset.newDecoder().decode(ByteBuffer.wrap(bytes)).toString();
    if (text.indexOf('\u0000') >= 0) {
      throw new CharacterCodingException();
    }
    return text.startsWith("\uFEFF") ? text.substring(1) : text;
  }
}
