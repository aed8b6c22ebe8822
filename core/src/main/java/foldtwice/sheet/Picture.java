package foldtwice.sheet;

/**
 * A picture on a sheet.
 *
 * @param onPage as a part of the page, its words to be searched
 * @param document as an SVG document of its own
 */
public record Picture(String onPage, String document) {

  static Picture of(Svg svg) {
    return new Picture(svg.onPage(), svg.document());
  }
}
