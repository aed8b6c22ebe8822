/** What the window shows and how it changes: the open library, the station, the stand-ins. */
package foldtwice.desktop.session;
