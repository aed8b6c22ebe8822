package foldtwice.sheet;

import foldtwice.library.file.Disk;
import foldtwice.text.Refusals;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.NoSuchFileException;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Locale;
import java.util.Optional;

/** Sheets as files: whole, or not at all. */
public final class SheetFile {

  /** How a sheet is written, by the ending of the file's name. */
  public enum Form {
    PDF,
    HTML,
    SVG,
    CSV,
    XCOMPOSE;

    /** Such as {@code pdf}. */
    public String ending() {
      return name().toLowerCase(Locale.ROOT);
    }

    /** The form a file's name asks for; empty for another ending. */
    public static Optional<Form> of(Path file) {
      String name = String.valueOf(file.getFileName()).toLowerCase(Locale.ROOT);
      return Arrays.stream(values()).filter(f -> name.endsWith("." + f.ending())).findFirst();
    }
  }

  private SheetFile() {}

  /**
   * Writes a sheet. What is there is replaced. Pictures are a file each, numbered when there are
   * several.
   *
   * @return the files that were written
   * @throws IOException when a file cannot be written, or a sheet without pictures shall be some
   */
  public static List<Path> write(Sheet sheet, Form form, Path file) throws IOException {
    Path folder = file.toAbsolutePath().getParent();
    if (folder == null || !Files.isDirectory(folder)) {
      throw new NoSuchFileException(String.valueOf(folder), null, "there is no such folder");
    }
    switch (form) {
      case PDF -> {
        ByteArrayOutputStream out = new ByteArrayOutputStream();
        sheet.pdf(out);
        Disk.replace(file, out.toByteArray());
      }
      case HTML -> Disk.replace(file, sheet.htmlBytes());
      case CSV -> Disk.replace(file, sheet.csv().getBytes(StandardCharsets.UTF_8));
      case XCOMPOSE -> Disk.replace(file, compose(sheet));
      case SVG -> {
        return pictures(sheet, file);
      }
    }
    return List.of(file);
  }

  private static byte[] compose(Sheet sheet) throws IOException {
    if (sheet.compose().lines() == 0) {
      throw new IOException(Refusals.says("sheet.nothing-on-this-sheet"));
    }
    return sheet.compose().text().getBytes(StandardCharsets.UTF_8);
  }

  private static List<Path> pictures(Sheet sheet, Path file) throws IOException {
    List<String> pictures = sheet.pictures();
    if (pictures.isEmpty()) {
      throw new IOException(Refusals.says("sheet.there-no-picture-on"));
    }
    String name = String.valueOf(file.getFileName()).replaceFirst("(?i)\\.svg$", "");
    List<Path> written = new ArrayList<>();
    for (int i = 0; i < pictures.size(); i++) {
      Path one = pictures.size() == 1 ? file : file.resolveSibling(name + "-" + (i + 1) + ".svg");
      Disk.replace(one, pictures.get(i).getBytes(StandardCharsets.UTF_8));
      written.add(one);
    }
    return written;
  }
}
