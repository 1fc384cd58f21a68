/**
 * Weight and base of the top player: what rests on you, how far it is until they tip, and what changes when a post is
 * taken away. Rigid statics of one posture: upright forces only, no pull, friction or muscle, so that its numbers compare
 * places and are not loads to trust. Lengths of postures are in your stature, results in SI. May import
 * {@code core.body} and {@code core.check}.
 */
package app.narrowgate.core.weight;
