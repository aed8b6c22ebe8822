package foldtwice.live.display;

import com.sun.jna.Library;
import com.sun.jna.Native;
import com.sun.jna.NativeLong;
import com.sun.jna.Pointer;
import com.sun.jna.Structure;
import com.sun.jna.platform.unix.X11;
import java.io.ByteArrayOutputStream;
import java.nio.ByteBuffer;
import java.nio.charset.StandardCharsets;
import java.util.zip.CRC32;
import java.util.zip.Deflater;

/** What is on the screen, as PNG (ISO/IEC 15948), for displays of 24 or 32 bits. */
final class Screenshot {

  /** What the library of the display has besides. */
  interface Images extends Library {
    Pointer XGetImage(
        X11.Display display,
        X11.Window of,
        int x,
        int y,
        int width,
        int height,
        NativeLong planes,
        int format);

    int XDestroyImage(Pointer image);
  }

  private static final int Z_PIXMAP = 2;

  /** The first fields of an image, as the display's library lays it out. */
  @Structure.FieldOrder({
    "width", "height", "offset", "format", "data", "order", "unit", "bits", "pad", "depth", "line",
    "pixel"
  })
  public static final class Layout extends Structure {
    public int width;
    public int height;
    public int offset;
    public int format;
    public Pointer data;
    public int order;
    public int unit;
    public int bits;
    public int pad;
    public int depth;
    public int line;
    public int pixel;

    Layout(Pointer at) {
      super(at);
      read();
    }
  }

  /** Pixels, row by row, each three bytes: red, green, blue. */
  @SuppressWarnings("ArrayRecordComponent")
  record Image(int width, int height, byte[] pixels) {}

  private Screenshot() {}

  /** Null where the display gives none of this kind. */
  static Image of(X11.Display display, X11.Window window, int width, int height) {
    Images images = Native.load("X11", Images.class);
    Pointer at =
        images.XGetImage(
            display, window, 0, 0, width, height, new NativeLong(0xffffffffL), Z_PIXMAP);
    if (at == null) {
      return null;
    }
    Layout layout = new Layout(at);
    byte[] pixels = null;
    if (layout.pixel == 32) {
      pixels = new byte[width * height * 3];
      int to = 0;
      for (int y = 0; y < height; y++) {
        byte[] row = layout.data.getByteArray((long) y * layout.line, width * 4);
        for (int x = 0; x < width; x++) {
          pixels[to++] = row[x * 4 + 2];
          pixels[to++] = row[x * 4 + 1];
          pixels[to++] = row[x * 4];
        }
      }
    }
    images.XDestroyImage(at);
    return pixels == null ? null : new Image(width, height, pixels);
  }

  static byte[] png(Image image) {
    ByteArrayOutputStream out = new ByteArrayOutputStream();
    out.writeBytes(new byte[] {(byte) 0x89, 'P', 'N', 'G', '\r', '\n', 0x1a, '\n'});
    chunk(
        out,
        "IHDR",
        ByteBuffer.allocate(13)
            .putInt(image.width)
            .putInt(image.height)
            .put(new byte[] {8, 2, 0, 0, 0})
            .array());
    int row = image.width * 3;
    byte[] raw = new byte[image.height * (row + 1)];
    for (int y = 0; y < image.height; y++) {
      System.arraycopy(image.pixels, y * row, raw, y * (row + 1) + 1, row);
    }
    chunk(out, "IDAT", deflated(raw));
    chunk(out, "IEND", new byte[0]);
    return out.toByteArray();
  }

  private static byte[] deflated(byte[] raw) {
    Deflater deflater = new Deflater();
    deflater.setInput(raw);
    deflater.finish();
    ByteArrayOutputStream packed = new ByteArrayOutputStream();
    byte[] some = new byte[1 << 16];
    while (!deflater.finished()) {
      packed.write(some, 0, deflater.deflate(some));
    }
    deflater.end();
    return packed.toByteArray();
  }

  private static void chunk(ByteArrayOutputStream out, String type, byte[] data) {
    byte[] name = type.getBytes(StandardCharsets.US_ASCII);
    CRC32 sum = new CRC32();
    sum.update(name);
    sum.update(data);
    out.writeBytes(ByteBuffer.allocate(4).putInt(data.length).array());
    out.writeBytes(name);
    out.writeBytes(data);
    out.writeBytes(ByteBuffer.allocate(4).putInt((int) sum.getValue()).array());
  }
}
