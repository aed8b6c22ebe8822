/**
 * One routine, with arguments, set off by triggers in a place; and how ready it is. Start at {@link
 * foldtwice.binding.Binding}.
 */
package foldtwice.binding;
