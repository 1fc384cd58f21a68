import { paths } from "../features/map";
import type { Right } from "../features/session";

export interface View {
  title: string;
  to: string;
  /** Where what belongs to it begins, besides its own address. */
  within?: string[];
  /** The right that one needs to see it, where not everybody who is in has it. */
  right?: Right;
}

/** Tells of a right whether whoever is signed in has it. */
export type May = (right: Right) => boolean;

/** A place of the band, with the views that stand in the second line when one is there. */
export interface Place extends View {
  views: View[];
}

const PEOPLE: View = { title: "People", to: "/people", within: ["/people"], right: "see-people" };

/** The places of a map, in the order of the week: look, prepare. */
export function placesOf(mapId: string, may: May): Place[] {
  const map = paths.map(mapId);
  const at = (path: string) => `${map}/${path}`;
  const places: Place[] = [
    {
      title: "Map",
      to: map,
      within: ["at", "held", "flow", "gates", "holes", "stances"].map(at),
      views: [
        { title: "Places", to: map, within: [at("at")] },
        { title: "What is held", to: paths.held(mapId) },
        { title: "Where they end", to: paths.flow(mapId) },
        { title: "Hangs on", to: paths.gates(mapId), right: "read-maps" },
        { title: "Holes and questions", to: paths.holes(mapId), right: "read-maps" },
        { title: "Stances", to: paths.stances(mapId) },
      ],
    },
    {
      title: "Holds",
      to: paths.finishes(mapId),
      within: [at("holds")],
      views: [
        { title: "Finishes", to: paths.finishes(mapId), within: [paths.finishes(mapId)] },
        { title: "Leverage", to: paths.leverage(mapId) },
        { title: "Weight and base", to: paths.weights(mapId), within: [paths.weights(mapId)] },
      ],
    },
    {
      title: "Drills",
      to: paths.drills(mapId),
      within: [paths.drills(mapId)],
      views: [
        {
          title: "Bench",
          to: paths.drills(mapId),
          within: [paths.drillSheet(mapId)],
          right: "read-maps",
        },
        { title: "Reading trainer", to: paths.trainer(mapId) },
      ],
    },
    {
      title: "Class",
      to: paths.tonight(mapId),
      within: [paths.tonight(mapId), paths.term(mapId), paths.lessons(mapId)],
      right: "read-classes",
      views: [
        { title: "Tonight", to: paths.tonight(mapId), within: [paths.tonight(mapId)] },
        { title: "The term", to: paths.term(mapId) },
        { title: "All classes", to: paths.lessons(mapId) },
      ],
    },
    { title: "Mat", to: paths.matNow(mapId), right: "run-classes", views: [] },
    {
      title: "Record",
      to: paths.log(mapId),
      within: [paths.log(mapId)],
      views: [
        { title: "Log a round", to: paths.log(mapId), right: "keep-record" },
        {
          title: "Due and gates",
          to: paths.standings(mapId),
          within: [paths.standings(mapId)],
          right: "keep-record",
        },
        { title: "Does the map tell the truth?", to: paths.truth(mapId), right: "keep-record" },
        { title: "What was logged", to: paths.rounds(mapId), right: "keep-record" },
        { title: "In and out", to: paths.recordFiles(mapId), right: "take-out" },
        { title: "Yours", to: paths.mine(mapId) },
      ],
    },
    { ...PEOPLE, views: [] },
  ];
  // A place leads to the first of its views that one may see.
  return allowed(places, may).map((place) => {
    const views = allowed(place.views, may);
    return { ...place, to: views[0]?.to ?? place.to, views };
  });
}

function allowed<T extends View>(views: T[], may: May): T[] {
  return views.filter((view) => view.right === undefined || may(view.right));
}

/** True for the view in which one is. */
export function isCurrent(view: View, pathname: string): boolean {
  const begins = (path: string) => pathname === path || pathname.startsWith(`${path}/`);
  return pathname === view.to || (view.within ?? []).some(begins);
}

/** The views that stand in the menu: those of a map, where one is open, and those of the gym. */
export function moreOf(mapId: string | undefined, may: May, wide: boolean): View[] {
  const ofMap: View[] = mapId
    ? [
        {
          title: "Edit the map",
          to: paths.workshop(mapId),
          within: [`${paths.map(mapId)}/workshop`],
          right: "edit-maps",
        },
        { title: "History", to: paths.history(mapId), right: "read-maps" },
        { title: "Files", to: paths.files(mapId), right: "take-out" },
        { title: "Booklet and posters", to: paths.booklet(mapId), within: [`${paths.map(mapId)}/poster`] },
        { title: "Begin with one pin", to: paths.start(mapId), right: "edit-maps" },
      ]
    : [];
  const ofGym: View[] = [
    { title: "Maps", to: paths.maps() },
    // On a phone the bar at the bottom has no room for it.
    ...(wide ? [] : [PEOPLE]),
    { title: "Links", to: "/links", right: "share" },
    { title: "Gym", to: "/gym", within: ["/gym"], right: "manage-members" },
    { title: "Yourself", to: "/yourself" },
  ];
  return allowed([...ofMap, ...ofGym], may);
}
