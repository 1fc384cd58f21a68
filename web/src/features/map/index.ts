export { MapPage } from "./MapPage";
export { lowerFirst, withoutThey } from "./holes";
export { useEdit, useFirstMap, useMap, useMapById, useTurnBack, type Edit } from "./map";
export { paths } from "./paths";
