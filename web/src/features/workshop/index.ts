export { EditPart, NewPart, WorkshopPage } from "./WorkshopPage";
export { FieldInput } from "./FieldInput";
export { inWordsOfTheForm, LISTS, REACTION_FIELDS, RESPONSE_FIELDS, type Field } from "./fields";
export { PartForm } from "./PartForm";
export {
  freeId,
  partsOf,
  putParts,
  removePart,
  takenIds,
  textOf,
  usePart,
  type Part,
  type PartInput,
} from "./parts";
