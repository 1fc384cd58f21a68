import type { PartList } from "../../model/partKinds";
import { STAGE_LABEL, STAGES } from "../../labels";

/** How one field of a part is edited. */
export type Field = {
  name: string;
  label: string;
  hint?: string;
  /** What to say when it was left empty but must not be. */
  need?: string;
  /** Folded away until it is asked for or says something. */
  more?: boolean;
} & (
  | { kind: "text"; long?: boolean; most: number; blank?: string }
  | { kind: "number"; least: number; most: number; unit?: string; optional?: boolean }
  | { kind: "choice"; options: Option[]; none?: string }
  | { kind: "yes"; usual: boolean }
  | { kind: "ref"; lists: PartList[]; none?: string; makes?: PartList }
  | {
      kind: "refs";
      list: PartList;
      makes?: PartList;
      /** Their order means nothing. */
      unordered?: boolean;
      /** The field of the whole part that names situations; reactions taught there are offered first. */
      near?: string;
    }
  | { kind: "stance" }
  | { kind: "codes"; options: Option[] }
  | { kind: "texts"; most: number }
  | { kind: "flags" }
  | { kind: "segments"; blank: string; most: number }
  | { kind: "places" }
  | { kind: "group"; fields: Field[] }
  | { kind: "clock" }
  | {
      kind: "likelihood";
      chance: boolean;
      /** What to call it while nothing is said. */
      none?: string;
    }
  | { kind: "worth" }
  | { kind: "rows"; fields: Field[]; one: string }
  | { kind: "tree"; fields: Field[] }
  /** What pins and finishes need, of this one or of any other. */
  | { kind: "needs" }
);

export interface Option {
  id: string;
  title: string;
}

/** Codes that read like words, as options. */
export const plain = (...ids: string[]): Option[] => ids.map((id) => ({ id, title: id.replace(/-/g, " ") }));

export const TITLE: Field = { name: "title", label: "Name", kind: "text", most: 90, need: "Give it a name." };

/** The stages, as options. */
export const STAGE_OPTIONS: Option[] = STAGES.map((id) => ({ id, title: STAGE_LABEL[id] }));

/** How a partner holds something for one who practises. */
export const FEEDER: Field = {
  name: "feeder",
  label: "How a partner holds it well and safely",
  kind: "group",
  more: true,
  fields: [
    { name: "weight", label: "Where the weight goes", kind: "text", most: 400 },
    { name: "care", label: "Where not to press, what not to do", kind: "text", most: 400 },
    { name: "gives", label: "What to give", kind: "text", most: 400 },
  ],
};
