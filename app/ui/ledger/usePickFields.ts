import { useState } from "react";
import type { EntryBody } from "~/core/entries";

/** What is typed of a pick. */
export interface PickFields {
  count: string;
  weight: string;
  containers: { containerId: string; count: string }[];
  estimated: boolean;
  condition: string;
  fate: string;
  note: string;
  /** Another day than the one it is logged on; empty for that. */
  on: string;
}

export const NO_PICK: PickFields = {
  count: "",
  weight: "",
  containers: [],
  estimated: false,
  condition: "sound",
  fate: "eat now",
  note: "",
  on: "",
};

/** Fields of a pick as they are typed, each set by its name. */
export function usePickFields(start: Partial<PickFields>) {
  const [fields, setFields] = useState<PickFields>({ ...NO_PICK, ...start });
  const set = (change: Partial<PickFields>) => setFields((before) => ({ ...before, ...change }));
  return { fields, set };
}

export type PickFieldsState = ReturnType<typeof usePickFields>;

type PickEntry = Extract<EntryBody, { kind: "pick" }>;

/** The entry that fields of a pick make. */
export function pickEntry(
  fields: PickFields,
  of: Pick<PickEntry, "plantingId" | "outcome"> & { seasonId?: string; roundId?: string | null; tookAll: boolean },
): PickEntry {
  const { on, condition, fate, ...typed } = fields;
  const { seasonId, roundId, ...about } = of;
  const nothing = of.outcome === "nothing ready";
  return {
    kind: "pick",
    ...about,
    ...(seasonId ? { seasonId } : {}),
    ...(roundId ? { roundId } : {}),
    ...typed,
    ...(nothing ? { count: "", weight: "", containers: [], estimated: false } : {}),
    condition: condition as "sound",
    fate: fate as "eat now",
    ...(on ? { on } : {}),
  };
}

/** What was typed in an entry that came back. */
export function fieldsOfEntry(entry: Record<string, unknown>): PickFields {
  const text = (key: string) => (typeof entry[key] === "string" ? entry[key] : "");
  return {
    ...NO_PICK,
    count: text("count"),
    weight: text("weight"),
    containers: Array.isArray(entry.containers) ? (entry.containers as PickFields["containers"]) : [],
    estimated: entry.estimated === true,
    condition: text("condition") || "sound",
    fate: text("fate") || "eat now",
    note: text("note"),
    on: text("on"),
  };
}
