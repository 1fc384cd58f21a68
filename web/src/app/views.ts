import { paths } from "../features/map";

export interface View {
  title: string;
  to: string;
  /** Where its own views begin, where it has some. */
  within?: string;
}

/** The views of a map that stand in the band. */
export function viewsOf(mapId: string): View[] {
  return [
    { title: "Map", to: paths.map(mapId) },
    { title: "Holds", to: paths.finishes(mapId), within: `${paths.map(mapId)}/holds` },
    { title: "Drills", to: paths.drills(mapId) },
    { title: "From what is held", to: paths.held(mapId) },
    { title: "Flow", to: paths.flow(mapId) },
    { title: "Gates", to: paths.gates(mapId) },
    { title: "Principles", to: paths.principles(mapId) },
    { title: "Holes", to: paths.review(mapId) },
    { title: "Questions", to: paths.questions(mapId) },
  ];
}

/** The second line under the band: the views of the place where one is. */
export function secondOf(mapId: string, pathname: string): View[] {
  if (!pathname.startsWith(`${paths.map(mapId)}/holds`)) return [];
  return [
    { title: "Finishes", to: paths.finishes(mapId), within: paths.finishes(mapId) },
    { title: "Leverage", to: paths.leverage(mapId) },
    { title: "Weight and base", to: paths.weights(mapId), within: paths.weights(mapId) },
  ];
}

/** True for the view in which one is. */
export function isCurrent(view: View, pathname: string): boolean {
  return pathname === view.to || (view.within !== undefined && pathname.startsWith(view.within));
}

/** The views that stand in the menu. */
export function moreOf(mapId: string): View[] {
  return [
    { title: "Reading trainer", to: paths.trainer(mapId) },
    { title: "Workshop", to: paths.workshop(mapId) },
    { title: "History", to: paths.history(mapId) },
    { title: "Files in and out", to: paths.files(mapId) },
    { title: "All maps", to: paths.maps() },
    { title: "Begin with one pin", to: paths.start(mapId) },
    { title: "Booklet to print", to: paths.booklet(mapId) },
  ];
}
