import type { PartList } from "../../model/partKinds";
/** Addresses of the views. */
export const paths = {
  maps: () => "/maps",
  map: (mapId: string) => `/map/${mapId}`,
  start: (mapId: string) => `/map/${mapId}/start`,
  gates: (mapId: string) => `/map/${mapId}/gates`,
  flow: (mapId: string) => `/map/${mapId}/flow`,
  held: (mapId: string) => `/map/${mapId}/held`,
  stances: (mapId: string) => `/map/${mapId}/stances`,
  holes: (mapId: string) => `/map/${mapId}/holes`,
  history: (mapId: string) => `/map/${mapId}/history`,
  workshop: (mapId: string, list: PartList = "situations") => `/map/${mapId}/workshop/${list}`,
  /** The workshop with a part opened; `query` is that of the setting. */
  edit: (mapId: string, list: PartList, part: string, query: string) =>
    `/map/${mapId}/workshop/${list}${query ? `${query}&` : "?"}edit=${part}`,
  /** The workshop with a new part opened; `query` is that of the setting. */
  add: (mapId: string, list: PartList, query: string) =>
    `/map/${mapId}/workshop/${list}${query ? `${query}&` : "?"}new=`,
  files: (mapId: string) => `/map/${mapId}/files`,
  booklet: (mapId: string) => `/map/${mapId}/booklet`,
  poster: (mapId: string, family: string) => `/map/${mapId}/poster/${family}`,
  situation: (mapId: string, situation: string) => `/map/${mapId}/at/${situation}`,
  card: (mapId: string, situation: string) => `/map/${mapId}/at/${situation}/card`,
  finishes: (mapId: string) => `/map/${mapId}/holds/finishes`,
  finish: (mapId: string, hold: string) => `/map/${mapId}/holds/finishes/${hold}`,
  weights: (mapId: string) => `/map/${mapId}/holds/weight`,
  weight: (mapId: string, situation: string) => `/map/${mapId}/holds/weight/${situation}`,
  leverage: (mapId: string) => `/map/${mapId}/holds/leverage`,
  /** The class of today, or the next one. */
  tonight: (mapId: string) => `/map/${mapId}/class`,
  lesson: (mapId: string, lesson: string) => `/map/${mapId}/class/${lesson}`,
  papers: (mapId: string, lesson: string) => `/map/${mapId}/class/${lesson}/papers`,
  mat: (mapId: string, lesson: string) => `/map/${mapId}/class/${lesson}/mat`,
  matNow: (mapId: string) => `/map/${mapId}/mat`,
  lessons: (mapId: string) => `/map/${mapId}/classes`,
  term: (mapId: string) => `/map/${mapId}/term`,
  log: (mapId: string) => `/map/${mapId}/record`,
  truth: (mapId: string) => `/map/${mapId}/record/truth`,
  rounds: (mapId: string) => `/map/${mapId}/record/rounds`,
  recordFiles: (mapId: string) => `/map/${mapId}/record/files`,
  /** Where everybody stands. */
  standings: (mapId: string) => `/map/${mapId}/record/standing`,
  standing: (mapId: string, person: string) => `/map/${mapId}/record/standing/${person}`,
  /** Where one stands oneself. */
  mine: (mapId: string) => `/map/${mapId}/record/mine`,
  drills: (mapId: string) => `/map/${mapId}/drills`,
  drillSheet: (mapId: string) => `/map/${mapId}/drills/sheet`,
  trainer: (mapId: string) => `/map/${mapId}/drills/trainer`,
  /** The bench with the drill of a place; `query` is that of the setting. */
  drillFrom: (mapId: string, place: string, query: string) =>
    `/map/${mapId}/drills${query ? `${query}&` : "?"}place=${place}`,
  /** The bench with the drill against a pin or a finish; `query` is that of the setting. */
  drillAgainst: (mapId: string, hold: string, query: string) =>
    `/map/${mapId}/drills${query ? `${query}&` : "?"}place=${hold}&how=denials`,
};
