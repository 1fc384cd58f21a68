package app.narrowgate.server.demo;

/**
 * One part of the demo gym. It is given to a house once, in a transaction of its own; what a house already has of it
 * stays as it is, so that giving it twice is no harm.
 */
interface DemoPart {

    /** Under this name it is remembered that a house has been given it. */
    String name();

    /** Gives it to the house; parts before it in the order are there. */
    void load(DemoGym gym);
}
