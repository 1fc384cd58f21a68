import { FEEDER, STAGE_OPTIONS, TITLE, type Field } from "./field";

/** One thing that must be true for a pin or a finish. */
const NEED_FIELDS: Field[] = [
  { name: "title", label: "They need", kind: "text", most: 90 },
  {
    name: "work",
    label: "Work to take it away",
    hint: "1 easy, 5 hardly possible",
    kind: "number",
    least: 1,
    most: 5,
  },
  {
    name: "denied",
    label: "Taken away by",
    kind: "refs",
    list: "reactions",
    unordered: true,
    near: "at",
  },
  {
    name: "stage",
    label: "They build it",
    kind: "choice",
    options: STAGE_OPTIONS,
    none: "nobody has said when",
  },
  {
    name: "likely",
    label: "How likely they get it",
    hint: "when they go for it and nobody answers",
    kind: "likelihood",
    chance: true,
    none: "nobody has said",
  },
  {
    name: "sign",
    label: "How you see or feel it",
    kind: "text",
    most: 400,
    more: true,
  },
  {
    name: "openings",
    label: "Their faults, your openings",
    kind: "rows",
    one: "fault",
    more: true,
    fields: [
      {
        name: "fault",
        label: "What they do wrong",
        kind: "text",
        most: 400,
        need: "Write what they do wrong.",
      },
      {
        name: "leaves",
        label: "What it leaves you",
        kind: "text",
        most: 400,
        need: "Write what it leaves you.",
      },
    ],
  },
  {
    name: "seenFrom",
    label: "How likely, seen from",
    hint: "where it differs; from the stages after its own it counts as met",
    kind: "group",
    more: true,
    fields: STAGE_OPTIONS.map(({ id, title }) => ({
      name: id,
      label: title,
      kind: "likelihood",
      chance: true,
      none: "no difference",
    })),
  },
];

/** What a pin or a finish needs. */
export const HOLD_FIELDS: Field[] = [
  TITLE,
  {
    name: "kind",
    label: "It is",
    kind: "choice",
    options: [
      { id: "pin", title: "a pin: it holds" },
      { id: "finish", title: "a finish: it ends" },
    ],
  },
  {
    name: "at",
    label: "Where it is on or on its way, from early to late",
    need: "Choose at least one place.",
    kind: "refs",
    list: "situations",
  },
  {
    name: "needs",
    label: "What they need",
    need: "Write at least one thing that they need.",
    kind: "tree",
    fields: NEED_FIELDS,
  },
  {
    name: "cautions",
    label: "Cautions",
    hint: "what can hurt, one a line; they are shown before anything else",
    kind: "texts",
    most: 50,
  },
  {
    name: "arms",
    label: "Your arms",
    hint: "ways of keeping both arms, to be put side by side",
    kind: "rows",
    one: "way",
    fields: [
      { ...TITLE, label: "How the arms are" },
      { name: "denies", label: "That denies them", kind: "needs" },
      { name: "gives", label: "That gives them", kind: "needs" },
    ],
  },
  FEEDER,
];
