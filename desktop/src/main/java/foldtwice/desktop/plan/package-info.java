/** A better assignment, proposed and taken line by line. Start at {@link PlanView}. */
package foldtwice.desktop.plan;
