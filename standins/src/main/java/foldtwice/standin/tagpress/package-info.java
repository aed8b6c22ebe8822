/** Tagpress, a stand-in for laying out label sheets: boxes with text, measured in a chosen unit. */
package foldtwice.standin.tagpress;
