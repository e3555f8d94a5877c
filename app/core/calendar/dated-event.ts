import { z } from "zod";
import { LocalMoment } from "./local-time";

/** Something dated that a calendar may show, on the garden's own clock. */
export const DatedEvent = z.object({
  /** The same as long as it is the same thing: a round of a part of a day, a cover of a night. */
  uid: z.string().min(1),
  from: LocalMoment,
  /** End, itself not included. */
  to: LocalMoment,
  title: z.string().min(1),
  text: z.string(),
  /** So many minutes ahead it calls. */
  alarmMinutes: z.number().int().min(0),
});
export type DatedEvent = z.infer<typeof DatedEvent>;
