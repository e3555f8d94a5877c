export { development, stageCoordinate, type Development } from "./development";
export { cueScale, readingLikelihood } from "./likelihood";
export { judge, type JudgeInput, type Judgement } from "./judge";
export { knownLooks, posteriorAfter, priorOf, type Look, type Posterior } from "./posterior";
export { normalHeat, requirementFromDays, type ThermalRequirement } from "./requirement";
export {
  STAGES,
  oddsOn,
  passages,
  stageOdds,
  windowOf,
  type DayRange,
  type Stage,
  type StageOdds,
  type Window,
} from "./stages";
export { ROUND_LOOK } from "./round-look";
export { type Verdict } from "./verdict";
