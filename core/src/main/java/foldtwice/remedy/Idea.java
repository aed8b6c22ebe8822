package foldtwice.remedy;

import foldtwice.library.Edit;

/**
 * Something that can be tried.
 *
 * @param edit what makes it; nothing for what is done on the computer
 */
record Idea(Way way, Edit edit) {}
