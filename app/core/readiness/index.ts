export { ageOn } from "./cold-age";
export { development, stageCoordinate, windowSchool, type Development, type DevelopmentInput } from "./development";
export { cueScale, readingLikelihood, tellsHowFar } from "./likelihood";
export { assess, judge, type Assessment, type JudgeInput, type Judgement } from "./judge";
export { indoorRipeningDays } from "./indoors";
export { firstPickSays, learntFrom, type FirstPick, type Learnt } from "./learning";
export { knownLooks, LookRefused, readingOfSize, type KnownLook, type Look } from "./look";
export { passedOn } from "./passed";
export { beliefAfter, priorOf } from "./posterior";
export { requirementAt, type Posterior } from "./requirement-grid";
export {
  normalHeat,
  requirementFromDays,
  requirementFromHeat,
  normalDaysTo,
  type ThermalRequirement,
} from "./requirement";
export { SHARE_WORDS, SHARE_WORD_LIST, type ShareWord } from "./share-words";
export { STAGES, oddsOn, readyOddsOn, type DayRange, type Stage, type StageOdds, type Window } from "./stages";
export { tellingCues, type TellingCue } from "./next-looks";
export { judgeLifted } from "./lifted";
export { ROUND_LOOK } from "./round-look";
export { type ConflictTold } from "./conflict";
export { CALL } from "./verdict-context";
export { PART_ACTS, verdictParts, type PartAct, type VerdictPart } from "./parts";
export { type Apart, type Limit, type Verdict, type VerdictReason } from "./verdict-reason";
export { type GrowthSeen } from "./growth";
