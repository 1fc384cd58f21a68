import { BEARING_LABEL, KIND_LABEL, SEGMENT_LABEL, SEGMENTS } from "../../labels";
import type { PartList } from "../../model/partKinds";
import { FEEDER, plain, STAGE_OPTIONS, TITLE, type Field, type Option } from "./field";
import { HOLD_FIELDS } from "./holdFields";
import { POSTURE_FIELDS } from "./postureFields";

const KINDS: Option[] = Object.entries(KIND_LABEL).map(([id, title]) => ({ id, title }));
const INJURIES = plain("knee", "neck", "shoulder", "rib", "elbow", "wrist", "ankle", "lower-back");
const LEVELS = plain("novice", "intermediate", "advanced");
const LEANS = plain("strength", "speed", "space", "flexibility", "length", "jacket");
const BEARINGS = Object.entries(BEARING_LABEL).map(([id, title]) => ({ id, title }));
const GAUGES: Option[] = [
  { id: "they-heavier", title: "kilograms they are heavier" },
  { id: "you-heavier", title: "kilograms you are heavier" },
  { id: "they-taller", title: "centimetres they are taller" },
  { id: "you-taller", title: "centimetres you are taller" },
];
const ALSO_CALLED: Field = {
  name: "alsoCalled",
  label: "Also called",
  hint: "other names that somebody may type, one a line",
  kind: "texts",
  most: 12,
  more: true,
};
const FAULTS: Field = {
  name: "faults",
  label: "Faults",
  kind: "rows",
  one: "fault",
  fields: [
    { name: "sign", label: "If you feel", kind: "text", most: 400 },
    { name: "cause", label: "it is because", kind: "text", most: 400 },
    { name: "fix", label: "Mend it so", kind: "text", most: 400 },
  ],
};

export const RESPONSE_FIELDS: Field[] = [
  {
    name: "cue",
    label: "What they do",
    kind: "text",
    most: 400,
    blank: "They …",
    need: "Write what they do.",
  },
  { name: "often", label: "How often", kind: "likelihood", chance: false },
  {
    name: "leads",
    label: "It leads to",
    kind: "ref",
    lists: ["situations", "outcomes"],
    none: "nobody has answered this yet",
    makes: "situations",
  },
];

const FROM: Field = {
  name: "from",
  label: "In",
  need: "Choose where.",
  kind: "ref",
  lists: ["situations"],
  makes: "situations",
};

/** A reaction as it is edited where it stands, without the place and the responses. */
export const REACTION_FIELDS: Field[] = [
  {
    name: "technique",
    label: "What you do",
    need: "Choose what you do, or write a new name.",
    kind: "ref",
    lists: ["techniques"],
    makes: "techniques",
  },
  {
    name: "when",
    label: "When they",
    hint: "what they do or hold that makes it the one to choose; it is what a partner gives in a drill",
    kind: "text",
    most: 400,
  },
  { name: "works", label: "How often it gets going", kind: "likelihood", chance: true },
  { name: "seconds", label: "Seconds it takes", kind: "number", least: 0, most: 120, unit: "s" },
  {
    name: "stuffed",
    label: "When they stuff it",
    kind: "ref",
    lists: ["situations", "outcomes"],
    none: "you are where you were",
  },
  { name: "needs", label: "It needs", kind: "flags" },
  {
    name: "doNot",
    label: "It is a mistake, because",
    hint: "only for what people do and should not; it is never recommended, and drawn in red",
    kind: "text",
    most: 400,
    more: true,
  },
];

/** A single thing that a pin or a finish needs. */
const POSTURE = {
  name: "posture",
  label: "How the bodies are",
  kind: "ref",
  lists: ["postures"],
  more: true,
} satisfies Field;

/** The fields of each list's parts, in the order in which an instructor thinks of them. */
export const FIELDS: Record<PartList, Field[]> = {
  situations: [
    TITLE,
    {
      name: "family",
      label: "Family",
      need: "Choose a family, or write a new one.",
      kind: "ref",
      lists: ["families"],
      makes: "families",
    },
    {
      name: "stage",
      label: "Lateness",
      kind: "choice",
      options: STAGE_OPTIONS,
      none: "none: a place to rest in",
    },
    { name: "where", label: "Where they are", kind: "choice", options: BEARINGS, none: "not said" },
    { name: "held", label: "What is held", kind: "segments", blank: "free", most: 90 },
    { name: "facts", label: "What is so here", kind: "flags" },
    { name: "clock", label: "If you do nothing", kind: "clock" },
    {
      name: "entry",
      label: "Rounds start here",
      hint: "relative to the other starts; 0 for never",
      kind: "number",
      least: 0,
      most: 1000,
      optional: true,
    },
    {
      name: "rest",
      label: "A place to rest in",
      kind: "choice",
      options: KINDS.filter((k) => k.id !== "tap"),
      none: "no",
    },
    {
      name: "feeds",
      label: "What they can begin from this place of rest",
      kind: "refs",
      list: "situations",
      unordered: true,
      more: true,
    },
    {
      name: "yours",
      label: "What each limb of yours should be doing",
      kind: "segments",
      blank: "not said",
      most: 400,
      more: true,
    },
    FEEDER,
    {
      name: "oneAnswer",
      label: "Why there is one answer only",
      kind: "text",
      most: 400,
      more: true,
    },
    ALSO_CALLED,
    { ...POSTURE, none: "as in its family" },
  ],
  reactions: [
    FROM,
    ...REACTION_FIELDS,
    {
      name: "responses",
      label: "What they do about it",
      kind: "rows",
      fields: RESPONSE_FIELDS,
      one: "response",
    },
  ],
  techniques: [
    TITLE,
    { name: "movements", label: "Movements, in order", kind: "refs", list: "movements", makes: "movements" },
    { name: "checkpoints", label: "Checkpoints", hint: "one a line, up to eight", kind: "texts", most: 8 },
    FAULTS,
    {
      name: "questions",
      label: "Questions",
      kind: "rows",
      one: "question",
      fields: [
        { name: "ask", label: "What if they …", kind: "text", most: 400 },
        { name: "answer", label: "Answer", kind: "text", most: 400 },
      ],
    },
    { name: "cautions", label: "Cautions", hint: "one a line", kind: "texts", most: 50 },
    { name: "stance", label: "Stance it takes", kind: "stance" },
    { name: "level", label: "For", kind: "choice", options: LEVELS },
    { name: "children", label: "Children may do it", kind: "yes", usual: true },
    { name: "avoidWith", label: "Not with a bad", kind: "codes", options: INJURIES },
    { name: "leansOn", label: "It leans on", kind: "codes", options: LEANS },
    ALSO_CALLED,
  ],
  movements: [
    TITLE,
    {
      name: "uses",
      label: "One of these must be free",
      kind: "codes",
      options: SEGMENTS.map((id) => ({ id, title: SEGMENT_LABEL[id] })),
    },
    { name: "risks", label: "It can hurt the", kind: "codes", options: INJURIES },
    { name: "steps", label: "Steps", hint: "one a line, up to twelve", kind: "texts", most: 12 },
    FAULTS,
    { name: "bothSides", label: "It has a left and a right", kind: "yes", usual: true },
    {
      name: "repetitions",
      label: "A round alone is",
      kind: "number",
      least: 0,
      most: 100,
      unit: "a side",
      optional: true,
    },
    ALSO_CALLED,
  ],
  facts: [
    TITLE,
    {
      name: "measured",
      label: "It follows from the pair",
      hint: "leave it empty where it does not",
      kind: "group",
      more: true,
      fields: [
        { name: "gauge", label: "It counts", kind: "choice", options: GAUGES, none: "nothing" },
        { name: "from", label: "and holds from", kind: "number", least: 0, most: 200, optional: true },
      ],
    },
  ],
  families: [
    TITLE,
    {
      ...POSTURE,
      none: "not drawn",
      hint: "in those of its situations that say nothing else",
    },
  ],
  postures: POSTURE_FIELDS,
  outcomes: [
    TITLE,
    { name: "kind", label: "It is", kind: "choice", options: KINDS },
    {
      name: "then",
      label: "Then the other one is in",
      hint: "after a reversal: where they are on the bottom, and the drill goes on",
      kind: "ref",
      lists: ["situations"],
      none: "nobody has said",
    },
    { ...POSTURE, none: "not drawn" },
  ],
  principles: [
    TITLE,
    { name: "condition", label: "What separates the stances", kind: "text", long: true, most: 400 },
    {
      name: "stances",
      label: "Stances",
      kind: "rows",
      one: "stance",
      fields: [TITLE, { name: "wants", label: "What it wants", kind: "text", most: 400 }],
    },
  ],
  aims: [
    TITLE,
    { name: "worth", label: "What each end is worth, from 0 to 1", kind: "worth" },
    {
      name: "places",
      label: "Places that end the round",
      hint: "such as the mount, worth 0: anywhere but there",
      kind: "places",
      more: true,
    },
  ],
  matchups: [
    TITLE,
    {
      name: "weightGap",
      label: "They are heavier by",
      kind: "number",
      least: -150,
      most: 150,
      unit: "kg",
      optional: true,
    },
    {
      name: "heightGap",
      label: "They are taller by",
      kind: "number",
      least: -80,
      most: 80,
      unit: "cm",
      optional: true,
    },
    { name: "jacket", label: "With a jacket", kind: "yes", usual: false },
    { name: "setting", label: "For", kind: "choice", options: plain("sport", "self-protection") },
    { name: "age", label: "They are", kind: "choice", options: plain("adults", "children") },
    { name: "level", label: "Level", kind: "choice", options: LEVELS },
    { name: "injuries", label: "Injuries", kind: "codes", options: INJURIES },
    { name: "facts", label: "Also so, where a place says nothing", kind: "flags" },
  ],
  holds: HOLD_FIELDS,
  rules: [
    TITLE,
    {
      name: "gauge",
      label: "Goes by",
      kind: "choice",
      options: plain(
        "they-heavier",
        "you-heavier",
        "they-taller",
        "you-taller",
        "jacket",
        "no-jacket",
        "self-protection",
        "children",
        "above-level",
      ),
    },
    { name: "above", label: "Counts above", kind: "number", least: 0, most: 200 },
    { name: "most", label: "But at most", kind: "number", least: 0, most: 200 },
    { name: "target", label: "For what leans on", kind: "choice", options: LEANS, none: "everything" },
    {
      name: "effect",
      label: "It shifts",
      kind: "choice",
      options: [
        { id: "works", title: "how often it gets going" },
        { id: "seconds", title: "how long it takes" },
        { id: "closes", title: "nothing: it closes the reaction" },
      ],
    },
    {
      name: "amount",
      label: "By, for each unit",
      hint: "added to the log odds, or to the logarithm of the seconds",
      kind: "number",
      least: -10,
      most: 10,
    },
    { name: "reason", label: "Because", kind: "text", long: true, most: 400 },
    { name: "source", label: "The figure comes from", kind: "text", most: 400 },
  ],
};

/** What a new part begins as. */
export const BLANK: Record<PartList, Record<string, unknown>> = {
  situations: { title: "", stage: "joined", entry: 0 },
  reactions: { works: "sometimes", seconds: 2, responses: [] },
  techniques: { title: "", level: "novice", children: true },
  outcomes: { title: "", kind: "guard" },
  holds: { title: "", kind: "pin", at: [], needs: { all: [{ work: 2 }] } },
  principles: { title: "", stances: [] },
  aims: { title: "", worth: { reversal: 1, guard: 1 } },
  matchups: { title: "", weightGap: 0, setting: "sport", age: "adults", level: "advanced" },
  rules: {
    title: "",
    gauge: "they-heavier",
    above: 0,
    most: 60,
    effect: "works",
    amount: -0.02,
    reason: "",
    source: "the house’s own estimate",
  },
  movements: { title: "" },
  facts: { title: "" },
  families: { title: "" },
  postures: { title: "" },
};

const NAMES = new Map<string, string>();
const collect = (fields: Field[]) =>
  fields.forEach((field) => {
    if (!NAMES.has(field.name)) NAMES.set(field.name, field.label);
    if (field.kind === "rows" || field.kind === "tree" || field.kind === "group") collect(field.fields);
  });
Object.values(FIELDS).forEach(collect);

/** The field of that name: one of these, or else one within them. */
function named(fields: Field[], name: string): Field | undefined {
  return (
    fields.find((f) => f.name === name) ??
    fields.flatMap((f) => ("fields" in f ? [named(f.fields, name)] : [])).find((f) => f !== undefined)
  );
}

/** What the server says of a field of the file, with the name that the field has on screen. */
export function inWordsOfTheForm(message: string, fields: Field[] = []): string {
  return message.replace(/“([a-zA-Z]+)”/, (whole, name: string) => {
    const label = named(fields, name)?.label ?? NAMES.get(name);
    return label ? `“${label.replace(/ …$/, "")}”` : whole;
  });
}

/** A place within a part of a list, by the names that its fields have on screen; empty for the part itself. */
export function fieldsInWords(list: PartList, path: string[]): string {
  return inFields(FIELDS[list], path);
}

function inFields(fields: Field[], [name, ...rest]: string[]): string {
  if (name === undefined) return "";
  const field = fields.find((f) => f.name === name);
  if (!field) return name;
  const [next, ...deeper] = rest;
  if (next !== undefined && field.kind === "rows" && /^\d+$/.test(next)) {
    return [`${field.one} ${Number(next) + 1}`, inFields(field.fields, deeper)].filter(Boolean).join(": ");
  }
  const within =
    field.kind === "group"
      ? inFields(field.fields, rest)
      : field.kind === "segments" && next !== undefined
        ? (SEGMENT_LABEL[next as keyof typeof SEGMENT_LABEL] ?? next)
        : "";
  return [field.label, within].filter(Boolean).join(": ");
}
