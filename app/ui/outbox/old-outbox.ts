import { z } from "zod";
import { IsoDay } from "~/core/calendar";
import { EntryBatch, type EntryBody } from "~/core/entries";

/** An entry as earlier versions kept it: the fields of a form. */
const OldEntry = z.object({
  id: z.string(),
  to: z.enum(["/picks", "/looks"]),
  words: z.string(),
  fields: z.record(z.string(), z.string()),
});
type OldEntry = z.infer<typeof OldEntry>;

export interface TakenOver {
  id: string;
  body: EntryBody;
  words: string;
  at: string;
}

const numberIn = (text: string | undefined) => (text && Number.isFinite(Number(text)) ? Number(text) : undefined);
const dayIn = (text: string | undefined) => (IsoDay.safeParse(text).success ? { on: text } : {});

/** Reads what an earlier version left on the device, one by one; what cannot be read is given back as it stood. */
export function entriesOfOldOutbox(list: unknown): { entries: TakenOver[]; unread: unknown[] } {
  const rows = EntryBatch.shape.entries.safeParse(list ?? []).data ?? (list === undefined ? [] : [list]);
  const entries: TakenOver[] = [];
  const unread: unknown[] = [];
  for (const raw of rows) {
    const old = OldEntry.safeParse(raw);
    const body = old.success ? bodyOf(old.data) : undefined;
    if (old.success && body) entries.push({ ...idOf(old.data), body, words: old.data.words, at: momentOf(old.data) });
    else unread.push(raw);
  }
  return { entries, unread };
}

/** A pick keeps the number it was sent under, so that one that had arrived is not written twice. */
function idOf({ id, to, fields }: OldEntry): { id: string } {
  return { id: to === "/picks" && !fields.intent && fields.id ? fields.id : id };
}

/** The old list kept no hours: noon of the day it spoke of. */
function momentOf({ fields }: OldEntry): string {
  const day = fields.pickedOn ?? fields.takenOn ?? fields.countedOn;
  return IsoDay.safeParse(day).success ? `${day}T12:00:00.000Z` : new Date().toISOString();
}

function bodyOf({ to, fields }: OldEntry): EntryBody | undefined {
  const { plantingId = "", intent } = fields;
  if (intent === "take back") return { kind: "take back", target: fields.id ?? "" };
  if (intent === "pass by") return { kind: "pass by", roundId: fields.roundId ?? "", plantingId, done: fields.done !== "no" }; // prettier-ignore
  if (intent === "count")
    return { kind: "count", plantingId, what: fields.what === "leaves" ? "leaves" : "ready", number: fields.number ?? "", ...dayIn(fields.countedOn) }; // prettier-ignore
  if (to === "/looks") return lookOf(fields, plantingId);
  return pickOf(fields, plantingId);
}

function lookOf(fields: OldEntry["fields"], plantingId: string): EntryBody {
  const measuredMm = numberIn(fields.measuredMm);
  const sampleOf = numberIn(fields.sampleOf);
  return {
    kind: "look",
    plantingId,
    cueId: fields.cueId ?? "",
    readingId: fields.readingId || null,
    ...(measuredMm === undefined ? {} : { measuredMm }),
    ...(sampleOf === undefined ? {} : { sampleOf }),
    ...dayIn(fields.takenOn),
  };
}

function pickOf(fields: OldEntry["fields"], plantingId: string): EntryBody {
  const { containerId, containerCount = "1", roundId } = fields;
  return {
    kind: "pick",
    plantingId,
    ...(roundId ? { roundId } : {}),
    ...dayIn(fields.pickedOn),
    outcome: fields.outcome === "nothing ready" ? "nothing ready" : "picked",
    tookAll: fields.tookAll === "true" || fields.tookAll === "on",
    count: fields.count ?? "",
    weight: fields.weight ?? "",
    containers: containerId ? [{ containerId, count: containerCount }] : [],
    estimated: fields.estimated === "true",
    condition: (fields.condition ?? "sound") as "sound",
    fate: (fields.fate ?? "eat now") as "eat now",
    note: fields.note ?? "",
  };
}
