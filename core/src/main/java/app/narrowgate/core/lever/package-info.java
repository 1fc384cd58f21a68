/**
 * Levers that instructors feel: where an arm is held, how a frame stands, where a leg is pressed down, where a shoulder
 * drives. Textbook statics of rigid rods in one plane: no friction, no muscle, nothing that gives. Lengths in metres,
 * forces in the weight of so many kilograms, torques in newton metres. May import {@code core.check}.
 */
package app.narrowgate.core.lever;
