/**
 * The atlas: who owns which key in a place, with modifiers held, on the station in view; pads
 * beside it, chains drawn, a key's whole story. Start at {@link foldtwice.desktop.atlas.AtlasView}.
 */
package foldtwice.desktop.atlas;
