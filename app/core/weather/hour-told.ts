import { z } from "zod";

/** What a service tells of one hour; whatever it leaves out is worked out from the day. */
export const HourTold = z.object({
  /** Start of the hour, an instant. */
  at: z.iso.datetime({ offset: true }),
  airC: z.number().min(-70).max(60).nullish(),
  dewPointC: z.number().min(-80).max(40).nullish(),
  rainMm: z.number().min(0).max(400).nullish(),
  windKmh: z.number().min(0).max(410).nullish(),
  thunderOdds: z.number().min(0).max(1).nullish(),
});
export type HourTold = z.infer<typeof HourTold>;
