import { z } from "zod";
import { ClockTime, IsoDay, LocalMoment } from "../calendar";
import { Slot, SlotMinutes } from "./slots";

/** Days without anybody at home; on the first and last the hour of leaving and coming back may be known. */
export const Trip = z
  .object({
    name: z.string(),
    from: IsoDay,
    to: IsoDay,
    /** Left out: away all of that day. */
    leaveAt: ClockTime.nullish(),
    backAt: ClockTime.nullish(),
  })
  .refine((t) => t.from <= t.to, { error: "The trip ends before it starts.", path: ["to"] })
  .refine((t) => t.from !== t.to || !t.leaveAt || !t.backAt || t.leaveAt < t.backAt, {
    error: "You are back before you leave.",
    path: ["backAt"],
  });
export type Trip = z.infer<typeof Trip>;

/** A stretch of a day, or of several, taken by something else. */
export const BusyTime = z.object({ name: z.string(), from: LocalMoment, to: LocalMoment });
export type BusyTime = z.infer<typeof BusyTime>;

export const SKILLS = ["knife", "digging", "ladder", "chillies"] as const;
export const Skill = z.enum(SKILLS);
export type Skill = z.infer<typeof Skill>;

/** Somebody who comes while the household is away. */
export const Helper = z.object({
  name: z.string(),
  minutes: z.number().min(0).max(1440),
  /** Comes every so many days, counted from the first day away. */
  everyDays: z.number().int().min(1).max(14),
  /** Crops the helper is asked to pick; empty = any that the skills allow. */
  cropIds: z.array(z.string()),
  skills: z.array(Skill),
});
export type Helper = z.infer<typeof Helper>;

/** When hands are free, as the household has told it. */
export const HandsRules = z.object({
  /** Monday to Sunday. */
  minutesByWeekday: z.array(SlotMinutes).length(7),
  exceptions: z.array(z.object({ day: IsoDay, slot: Slot, minutes: z.number().min(0).max(1440) })).default([]),
  busy: z.array(BusyTime).default([]),
  trips: z.array(Trip),
  helpers: z.array(Helper).default([]),
});
export type HandsRules = z.infer<typeof HandsRules>;
