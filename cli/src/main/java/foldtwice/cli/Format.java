package foldtwice.cli;

/** How a result is written. */
enum Format {
  text,
  json
}
