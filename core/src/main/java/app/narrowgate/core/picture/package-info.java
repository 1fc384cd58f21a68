/**
 * Draws a posture: convex pieces in the order in which they cover each other, with outlines that leave out the seams of a
 * limb, as plain paths which whoever shows them only has to paint. Knows no colours and no sizes. May import
 * {@code core.body} and {@code core.check}.
 */
package app.narrowgate.core.picture;
