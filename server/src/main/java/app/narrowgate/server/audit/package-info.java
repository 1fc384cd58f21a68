/** Who did what when in a gym, for its owner: members, roles, files taken out, deletions, health notes. It is only added to. */
package app.narrowgate.server.audit;
