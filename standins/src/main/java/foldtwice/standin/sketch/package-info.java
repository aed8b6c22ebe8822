/** Programs nobody simulates, sketched from what a library says of them. */
package foldtwice.standin.sketch;
