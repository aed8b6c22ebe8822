package foldtwice.desktop.frame;

/**
 * Something the look-up found.
 *
 * @param kind the word for what it is
 * @param go what choosing it does
 */
record Hit(String kind, String title, String detail, Runnable go) {}
