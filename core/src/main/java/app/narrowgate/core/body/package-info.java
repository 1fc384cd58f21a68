/**
 * Two bodies on the mat: skeleton, posture, the relaxation that makes a posture possible, inheritance, and movement from
 * one posture to another. Lengths are in stature (the height of the person), z up, the mat at z = 0. A posture says
 * nothing of maps; who lies where is all it knows. May import {@code core.trait} and {@code core.check}.
 */
package app.narrowgate.core.body;
