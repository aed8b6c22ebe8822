/**
 * The desktop application: one window over one library. State is held in one place, {@link
 * foldtwice.desktop.session.Session}; views show its snapshots and ask it for edits. Start at
 * {@link foldtwice.desktop.Launch}.
 */
package foldtwice.desktop;
