export { MapPage } from "./MapPage";
export { closedInWords, insteadInWords } from "./closing";
export { findingPath, findingPlace } from "./holes";
export { changedMost } from "./marks";
export { lowerFirst, theyDo, withoutThey } from "./holes";
export { useMapChange, useMaps, useMap, useMapById, useTaken, useTurnBack } from "./map";
export { paths } from "./paths";
export { placeTitle, reactionTitle, techniqueOf } from "./titles";
