export { development, stageCoordinate, windowSchool, type Development, type DevelopmentInput } from "./development";
export { cueScale, cueTable, readingLikelihood } from "./likelihood";
export { assess, judge, type Assessment, type JudgeInput, type Judgement } from "./judge";
export { indoorRipeningDays } from "./indoors";
export { firstPickSays, learntFrom, packetNotKnown, type FirstPick, type Learnt } from "./learning";
export { knownLooks, LookRefused, readingOfSize, type Look } from "./look";
export { beliefAfter, passedOn, priorOf, requirementAt, requirementBelow, type Posterior } from "./posterior";
export { normalHeat, requirementFromDays, type ThermalRequirement } from "./requirement";
export { shareInWords } from "./share-in-words";
export {
  STAGES,
  oddsOn,
  readyOddsOn,
  stageOdds,
  windowOf,
  type DayRange,
  type Stage,
  type StageOdds,
  type Window,
} from "./stages";
export { ROUND_LOOK } from "./round-look";
export { type Verdict } from "./verdict-context";
export { type GrowthSeen } from "./growth";
