/**
 * The library on disk: JSON in and out, the journal that keeps every edit at once, the lock against
 * a second writer. The format is described in docs/file-format.md and docs/library.schema.json.
 * Start at {@link foldtwice.library.file.LibraryStore}.
 */
package foldtwice.library.file;
