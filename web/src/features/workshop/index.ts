export { WorkshopPage } from "./WorkshopPage";
export { NumberBox } from "./PlainFields";
export { FieldInput } from "./FieldInput";
export type { Field } from "./field";
export { fieldsInWords, inWordsOfTheForm, REACTION_FIELDS, RESPONSE_FIELDS } from "./fields";
export { PartForm } from "./PartForm";
export { partOf, partsEdit, putParts, removePart, textOf, usePart, type Part, type PartInput } from "./parts";
