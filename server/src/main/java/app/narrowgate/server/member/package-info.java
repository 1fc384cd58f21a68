/** Who belongs to a gym: how it is opened, invitations, roles, and how somebody goes. */
package app.narrowgate.server.member;
