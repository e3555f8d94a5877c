import { localMoment, type IsoDay } from "~/core/calendar";
import { shortDay } from "../words";

/** Where weather comes from, and how the last tries went. */
export interface SourcesRecord {
  /** The garden's now. */
  now: Date;
  feeds: readonly FeedTold[];
  newestForecast: { source: string; issuedAt: string } | null;
  newestObserved: { day: IsoDay; source: string } | null;
}

export interface FeedTold {
  kind: "forecast" | "station";
  mode: "stand-in" | "address";
  url: string | null;
  lastError: string | null;
  lastNote: string | null;
}

/** A forecast older than this is said to be old. */
const STALE_MS = 26 * 3_600_000;

/** How long ago, as it is said. */
function ageWords(from: string, now: Date): string {
  const hours = (now.getTime() - Date.parse(from)) / 3_600_000;
  if (hours < 1) return `${Math.max(1, Math.round(hours * 60))} min old`;
  if (hours < 36) return `${Math.round(hours)} h old`;
  return `${Math.round(hours / 24)} days old`;
}

/** The feeds as the sky page shows them. */
export function sourcesView(
  { now, feeds, newestForecast, newestObserved }: SourcesRecord,
  timeZone: string,
  today: IsoDay,
) {
  // prettier-ignore
  const feed = (kind: FeedTold["kind"]) => {
    const set = feeds.find((f) => f.kind === kind);
    return {
      mode: set?.mode ?? ("none" as const),
      url: set?.url ?? "",
      error: set?.lastError ?? null,
      note: set?.lastNote ?? null,
    };
  };
  const issued = newestForecast && localMoment(new Date(newestForecast.issuedAt), timeZone);
  return {
    forecast: {
      ...feed("forecast"),
      newest:
        newestForecast && issued
          ? {
              source: newestForecast.source,
              issued: `${shortDay(issued.slice(0, 10), today)} ${issued.slice(11)}`,
              age: ageWords(newestForecast.issuedAt, now),
              stale: now.getTime() - Date.parse(newestForecast.issuedAt) > STALE_MS,
            }
          : null,
    },
    station: {
      ...feed("station"),
      last: newestObserved && { day: shortDay(newestObserved.day, today), source: newestObserved.source },
    },
  };
}
