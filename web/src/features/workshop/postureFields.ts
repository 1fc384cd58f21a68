import { plain, TITLE, type Field } from "./field";

/** How two bodies stand to each other. */
export const POSTURE_FIELDS: Field[] = [
  TITLE,
  {
    name: "says",
    label: "What is seen",
    hint: "for whoever does not see the picture",
    kind: "text",
    long: true,
    most: 400,
  },
  {
    name: "base",
    label: "It is like",
    hint: "another posture, from which this one is told",
    kind: "ref",
    lists: ["postures"],
    none: "no other; its joints are its own",
  },
  { name: "mirror", label: "The other way round, left for right", kind: "yes", usual: false },
  { name: "swap", label: "With the two in each other’s place", kind: "yes", usual: false },
  {
    name: "near",
    label: "They are on your",
    kind: "choice",
    options: plain("left", "right"),
    none: "neither side",
  },
  {
    name: "view",
    label: "Seen from",
    kind: "group",
    more: true,
    fields: [
      {
        name: "azimuth",
        label: "the side, in degrees",
        kind: "number",
        least: -180,
        most: 180,
        optional: true,
      },
      {
        name: "elevation",
        label: "a height, in degrees",
        kind: "number",
        least: 0,
        most: 90,
        optional: true,
      },
    ],
  },
];
