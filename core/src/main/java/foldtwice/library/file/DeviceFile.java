package foldtwice.library.file;

import foldtwice.surface.Device;
import foldtwice.text.Refusals;
import java.nio.charset.StandardCharsets;

/** The description of one device by itself, as it stands in a library's list of devices. */
public final class DeviceFile {

  private DeviceFile() {}

  /**
   * Reads a device.
   *
   * @throws FormatException when the document is broken or describes none; it says where
   */
  public static Device read(byte[] document) throws FormatException {
    In in = In.root(Json.parse(document));
    if (!in.has("keys") && !in.has("dials")) {
      throw in.fault(Refusals.says("library.no-device-file"));
    }
    return SurfaceJson.device(in);
  }

  /** Writes a device with its pages, to be read again. */
  public static byte[] write(Device device) {
    return Json.print(SurfaceJson.write(device)).getBytes(StandardCharsets.UTF_8);
  }
}
