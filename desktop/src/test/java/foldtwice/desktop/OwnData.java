package foldtwice.desktop;

import java.nio.file.Path;

/** While it is open, the application keeps its data in a folder of the test's own. */
final class OwnData implements AutoCloseable {

  private static final String PROPERTY = "foldtwice.data";

  private final String before = System.getProperty(PROPERTY);

  OwnData(Path folder) {
    System.setProperty(PROPERTY, folder.resolve("data").toString());
  }

  @Override
  public void close() {
    System.setProperty(PROPERTY, before);
  }
}
