import { paths } from "../features/map";

export interface View {
  title: string;
  to: string;
  /** Where what belongs to it begins, besides its own address. */
  within?: string[];
}

/** A place of the band, with the views that stand in the second line when one is there. */
export interface Place extends View {
  views: View[];
}

/** The places of a map, in the order of the week: look, prepare. */
export function placesOf(mapId: string): Place[] {
  const map = paths.map(mapId);
  const at = (path: string) => `${map}/${path}`;
  return [
    {
      title: "Map",
      to: map,
      within: ["at", "held", "flow", "gates", "holes", "stances"].map(at),
      views: [
        { title: "Places", to: map, within: [at("at")] },
        { title: "What is held", to: paths.held(mapId) },
        { title: "Where they end", to: paths.flow(mapId) },
        { title: "Hangs on", to: paths.gates(mapId) },
        { title: "Holes and questions", to: paths.holes(mapId) },
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
        { title: "Bench", to: paths.drills(mapId), within: [paths.drillSheet(mapId)] },
        { title: "Reading trainer", to: paths.trainer(mapId) },
      ],
    },
  ];
}

/** True for the view in which one is. */
export function isCurrent(view: View, pathname: string): boolean {
  const begins = (path: string) => pathname === path || pathname.startsWith(`${path}/`);
  return pathname === view.to || (view.within ?? []).some(begins);
}

/** The views that stand in the menu. */
export function moreOf(mapId: string): View[] {
  return [
    { title: "Edit the map", to: paths.workshop(mapId), within: [`${paths.map(mapId)}/workshop`] },
    { title: "History", to: paths.history(mapId) },
    { title: "Maps", to: paths.maps() },
    { title: "Files", to: paths.files(mapId) },
    {
      title: "Booklet and posters",
      to: paths.booklet(mapId),
      within: [`${paths.map(mapId)}/poster`],
    },
    { title: "Begin with one pin", to: paths.start(mapId) },
  ];
}
