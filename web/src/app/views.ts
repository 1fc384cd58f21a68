import { paths } from "../features/map";

export interface View {
  title: string;
  to: string;
}

/** The views of a map that stand in the band. */
export function viewsOf(mapId: string): View[] {
  return [
    { title: "Map", to: paths.map(mapId) },
    { title: "Drills", to: paths.drills(mapId) },
    { title: "From what is held", to: paths.held(mapId) },
    { title: "Flow", to: paths.flow(mapId) },
    { title: "Gates", to: paths.gates(mapId) },
    { title: "Principles", to: paths.principles(mapId) },
    { title: "Holes", to: paths.review(mapId) },
    { title: "Questions", to: paths.questions(mapId) },
  ];
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
