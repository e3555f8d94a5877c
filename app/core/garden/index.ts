export {
  BedState,
  FirstPickMade,
  GardenState,
  LookTaken,
  MATTERS,
  PickMade,
  PlantingState,
  PlantingWishes,
} from "./garden-state";
export { BED_MINUTES, ROUND_MINUTES } from "./plan-problem";
export { HORIZON_DAYS, lookAhead, plantingSheet, type GardenOutlook, type KeptOutlooks } from "./look-ahead";
export { lastDayOf, type GardenSky } from "./garden-sky";
export { pickInRound, plannedPicks, plantingOfTask, type PlannedPick } from "./planned-picks";
export { piecesTaken, plantingParts, type PlantingPart } from "./planting-parts";
export { type PlantingOutlook } from "./planting-outlook";
export { THUNDER_STOP, workLight, type DayTerms, type RoundTerms } from "./day-terms";
export { COOL_BELOW_C, byDay, isBestCool, planDays, protectionsIn, DayRound, type DayPlan } from "./day-rounds";
export { isThreat, type BedOdds, type Hazard, type HazardAct, type HazardKind, type Touched } from "./hazard";
export { COVERABLE } from "./protections";
export { hazardsAhead } from "./hazards-ahead";
export { seasonLife, type SeasonLife } from "./season-life";
export { LOOK_MINUTES, isLookTask, lookTaskId, looksAsked } from "./looks-due";
export { HouseholdLimits, KITCHEN_LOOKS_BACK, isForKitchen, rackFor } from "./household-limits";
export { type WantBlock, type WantedDay } from "./wanted-days";
export { payingActs, type PayingAct } from "./paying-acts";
export { type ProtectionWay, type TaskProtection } from "./planting-offer";
export { DAY_ASKED, DayEdit, PickMove, comesAgain, moveEdits } from "./day-wishes";
export { PlanSheet, planSheet } from "./plan-sheet";
export { PlanDesk, type EditCost } from "./plan-desk";
export { isCounted } from "./is-counted";
export { type BanReason } from "./pick-bans";
export { Supposition, isOurs, movedTrip, onlyHelps, ownFor, supposed, type CannotSuppose } from "./supposition";
export { DatedPicks, datedPicks, picksIn } from "./near-plan";
export { planDifference, planSum, type PlanDifference, type PlanSum } from "./plan-compared";
export { tripJustEnded, tripsAhead, type DaysAway } from "./days-away";
export { returnAct, returnOrder, type ReturnAct } from "./after-absence";
export { ActMark } from "./act-mark";
export { actsDue, type ActDue } from "./acts-due";
export { roundFor } from "./job-minutes";
export { ridgeDoubt } from "./ridge-doubt";
export { actDayOf } from "./lift-ways";
export { outlookFrom, ownSheet, withLookNow, type LookNow, type PlantingSheet } from "./planting-sheet";
