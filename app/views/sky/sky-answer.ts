import type { IsoDay } from "~/core/calendar";
import type { FieldErrors } from "~/core/issues";

/** Units that a weather file may be in. */
export interface FileUnits {
  temperature: "C" | "F";
  rain: "mm" | "cm" | "in";
  wind: "km/h" | "m/s" | "mph" | "kn";
}

/** What became of a weather file. */
export type ImportOutcome =
  | {
      status: "taken";
      observed: number;
      forecast: number;
      from: IsoDay;
      to: IsoDay;
      skipped: string[];
      units: FileUnits | null;
    }
  | { status: "units unclear"; ask: (keyof FileUnits)[]; known: Partial<FileUnits>; days: number }
  | { status: "refused"; sentence: string };

export const CALENDAR_USES = ["trip", "busy", "no"] as const;
export type CalendarUse = (typeof CALENDAR_USES)[number];

/** An event as it is shown before it is taken in. */
export interface CalendarProposal {
  uid: string;
  name: string;
  /** "Sat 26 Sep to Wed 30 Sep", "Tuesdays 19:00 to 21:00, 52 times". */
  when: string;
  use: CalendarUse;
}

/** What became of a calendar file. */
export type CalendarOutcome =
  | { status: "proposed"; events: CalendarProposal[]; leftOut: string[] }
  | { status: "taken"; trips: number; busy: number; leftOut: string[] }
  | { status: "refused"; sentence: string };

/** What the sky page gets back: of which card, what is wrong by field, or what was done. */
export interface SkyAnswer {
  at: "trip" | "week" | "limits" | "day" | "cover" | "helper" | "calendar" | "feed" | "hand" | "weather";
  errors?: FieldErrors;
  done?: string;
  weather?: ImportOutcome;
  calendar?: CalendarOutcome;
}
