/** What moves the start of a round, or what it must be in before. */
export type StartReason = "dry leaves" | "heat" | "thunder" | "dark" | "first light" | "now";

/** Minutes since midnight, all of them. */
export interface StartTime {
  from: number;
  to: number;
  /** What moved it from its usual hour; null where it starts then. */
  because: StartReason | null;
  /** What comes first after it, and when; null where nothing does within the day's part. */
  before: { what: StartReason; at: number } | null;
  /** Minutes that do not fit before that; 0 where all does. */
  over: number;
}

export interface StartTerms {
  /** Its part of the day, and when it usually starts in it. */
  part: readonly [from: number, to: number];
  usual: number;
  minutes: number;
  /** Light to work by; undefined where it does not change. */
  light: readonly [dawn: number, dusk: number] | undefined;
  /** The clock; null for another day. */
  now: number | null;
  /** From when on leaves are dry, and minutes of the walk before the first bed that must be dry; null where nothing waits for that. */
  dry: { from: number; after: number } | null;
  /** When it gets too hot to work, and when thunder is told; null where neither is. */
  hotFrom: number | null;
  thunderFrom: number | null;
}

/**
 * When to set out: at the usual hour of that part of the day, later where the leaves are to be dry when one comes to them or
 * there is no light yet, sooner where heat, thunder or the dark come before it is done. Rather wet than in thunder: what
 * ends the day counts over what begins it.
 */
export function startTime(terms: StartTerms): StartTime {
  const { part, usual, minutes, light, now, dry, hotFrom, thunderFrom } = terms;
  const opens: [StartReason, number][] = [
    ["now", now ?? -Infinity],
    ["first light", light?.[0] ?? -Infinity],
    ["dry leaves", dry ? dry.from - dry.after : -Infinity],
  ];
  const start = Math.max(part[0], now ?? -Infinity);
  const ends = ([["heat", hotFrom], ["thunder", thunderFrom], ["dark", light?.[1] ?? null]] as const)
    .flatMap(([what, at]) => (at !== null && at > start ? [{ what, at }] : []))
    .sort((a, b) => a.at - b.at); // prettier-ignore
  const [end] = ends;
  const last = Math.min(part[1], end?.at ?? Infinity) - minutes;
  const open = opens.reduce((a, b) => (b[1] > a[1] ? b : a));
  const wanted = Math.max(part[0], usual, open[1]);
  const soonest = Math.max(part[0], now ?? -Infinity, light?.[0] ?? -Infinity);
  const exact = Math.max(soonest, Math.min(wanted, last));
  // Told in fives: later where something opens it, sooner where something ends it.
  const from = exact === now ? exact : exact > usual && exact < last ? 5 * Math.ceil(exact / 5) : Math.max(soonest, 5 * Math.floor(exact / 5)); // prettier-ignore
  const because = from < usual ? (end && end.at - minutes <= from ? end.what : null) : exact > usual ? reasonFor(opens, exact) : null; // prettier-ignore
  const before = end && end.at <= part[1] + minutes ? end : null;
  return { from, to: from + minutes, because, before, over: Math.max(0, end ? from + minutes - end.at : 0) };
}

/** What keeps it from starting sooner than it does. */
const reasonFor = (opens: readonly [StartReason, number][], from: number): StartReason | null =>
  opens.filter(([, at]) => Math.abs(at - from) < 1e-9).map(([what]) => what).at(-1) ?? null; // prettier-ignore
