package foldtwice.text;

import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.charset.CharacterCodingException;
import java.nio.file.AccessDeniedException;
import java.nio.file.DirectoryNotEmptyException;
import java.nio.file.FileAlreadyExistsException;
import java.nio.file.FileSystemException;
import java.nio.file.FileSystemLoopException;
import java.nio.file.NoSuchFileException;
import java.nio.file.NotDirectoryException;

/**
 * What went wrong with a file, for people: the platform tells some of it by the class of an
 * exception alone, whose message is then nothing but the path.
 */
public final class DiskWords {

  private DiskWords() {}

  /** What is the matter, and with which file where that is known. */
  public static String says(Throwable fault) {
    Throwable e = within(fault);
    return e instanceof FileSystemException f && f.getFile() != null
        ? f.getFile() + ": " + reason(e)
        : reason(e);
  }

  /** What is the matter, for where the file is named already. */
  public static String reason(Throwable fault) {
    return switch (within(fault)) {
      case FileSystemException e when e.getReason() != null -> e.getReason();
      case NoSuchFileException e -> Refusals.says("disk.none");
      case AccessDeniedException e -> Refusals.says("disk.not-allowed");
      case FileAlreadyExistsException e -> Refusals.says("disk.there");
      case DirectoryNotEmptyException e -> Refusals.says("disk.not-empty");
      case NotDirectoryException e -> Refusals.says("disk.no-folder");
      case FileSystemLoopException e -> Refusals.says("disk.circle");
      case CharacterCodingException e -> Refusals.says("disk.no-text");
      case Throwable e -> e.getMessage() == null ? e.toString() : e.getMessage();
    };
  }

  /** What a wrapping that adds no words of its own holds. */
  private static Throwable within(Throwable e) {
    IOException cause = e instanceof UncheckedIOException u ? u.getCause() : null;
    return cause != null && cause.toString().equals(e.getMessage()) ? cause : e;
  }
}
