package foldtwice.run;

/** Something in a program that is different now. */
public record Change(String what, String before, String after) {}
