/**
 * What a person says of a program nobody simulates, as data: what its commands do, its dialogs,
 * settings, adjustable values, things that can be selected and add-ons. What is not said is never
 * held against anybody. Start at {@link foldtwice.describe.Description}.
 */
package foldtwice.describe;
