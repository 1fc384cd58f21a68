import { useState } from "react";
import { useAddress, type Written } from "../../ui/address";
import { hasDraft } from "../../ui/draft";
import type { PartList } from "../../model/partKinds";
import { BLANK } from "./fields";
import type { Part } from "./parts";

/** What is being edited in a list: a part, a copy of one, a new one, or nothing. */
export type Editing = { id: string; copy?: boolean } | "new" | undefined;

const NAMES = ["edit", "copy", "new", "at", "family", "stage"];

/** What the address asks to edit. */
export function editingIn(params: URLSearchParams): Editing {
  const edit = params.get("edit");
  if (edit) return { id: edit };
  const copy = params.get("copy");
  if (copy) return { id: copy, copy: true };
  return params.has("new") ? "new" : undefined;
}

/** What stands in the address while that is edited. */
export function editingNames(editing: Editing): Written {
  const none: Written = Object.fromEntries(NAMES.map((name) => [name, undefined]));
  if (editing === "new") return { ...none, new: "" };
  return editing ? { ...none, [editing.copy ? "copy" : "edit"]: editing.id } : none;
}

/** What a new part of the list begins as; one that lies somewhere may come with its place in the address. */
export function beginning(list: PartList, params: URLSearchParams): Part {
  const at = params.get("at");
  const blank = BLANK[list];
  if (list === "holds" && at) return { ...blank, at: [at] };
  if (list !== "situations") return blank;
  const family = params.get("family");
  const stage = params.get("stage");
  return { ...blank, ...(family && { family }), ...(stage && { stage }) };
}

/** What is edited stands in the address; an unsaved new part is open without being asked for, until it is closed. */
export function useEditing(newKey: string): [Editing, (next: Editing) => void] {
  const [params, write] = useAddress();
  const [left, setLeft] = useState(() => hasDraft(newKey));
  const editing = editingIn(params) ?? (left ? "new" : undefined);
  const open = (next: Editing) => {
    setLeft(false);
    write(editingNames(next));
  };
  return [editing, open];
}
