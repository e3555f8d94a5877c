import type { PlantingOutlook } from "~/core/garden";
import type { Planned } from "../planned";
import { capital, counted, sayDay, sayLength, shareInWords } from "../words";
import { verdictSentence } from "./verdict";

/** What sizes, counts and earlier picks have told of a planting, in sentences. */
export function toldBy(p: PlantingOutlook, planned: Planned): string[] {
  return [...growthTold(p, planned), ...shareTold(p, planned), ...paceTold(p), ...rateTold(p), ...leavesTold(p)];
}

function growthTold({ judgement: { growth } }: PlantingOutlook, { units, today }: Planned): string[] {
  if (!growth) return [];
  const length = (mm: number) => sayLength(mm, units);
  const pace = growth.days > 1 ? "at its own pace" : "at the usual pace";
  const target = growth.targetOn && growth.targetOn > today ? ` ${length(growth.targetMm)} ${sayDay(growth.targetOn, today)};` : ""; // prettier-ignore
  const over =
    growth.overOn && growth.overOn > today
      ? ` too big (${length(growth.overMm)}) about ${sayDay(growth.overOn, today)}`
      : "";
  const expect = target || over ? ` Expect${target}${over}.`.replace(";.", ".") : "";
  return [`About ${length(growth.nowMm)} now, growing ${length(Math.max(1, growth.mmPerDay))} a day ${pace}.${expect}`];
}

function shareTold({ crop, judgement: j }: PlantingOutlook, { units, today }: Planned): string[] {
  const { shareReady, odds } = j;
  const readyOrPast = odds.prime + odds.slipping + odds.gone;
  const said = verdictSentence(j.verdict, { crop, today, units }).includes(`${shareInWords(shareReady)} of them`);
  if (said || shareReady < 0.05 || shareReady >= 0.9 || readyOrPast < 0.2) return [];
  const share = shareInWords(shareReady);
  return [
    j.evidence.some((e) => Math.abs(e.moved) > 0.001)
      ? `${capital(share)} of the ${crop.piece.many} are ready.`
      : `By the heat so far, ${share} of the ${crop.piece.many} should be ready.`,
  ];
}

function paceTold({ judgement: { ahead } }: PlantingOutlook): string[] {
  const days = Math.round(Math.abs(ahead.days));
  if (ahead.picks === 0 || days < 1) return [];
  const way = ahead.days > 0 ? "ahead of" : "behind";
  return [
    `Your plants run ${days} ${days === 1 ? "day" : "days"} ${way} the packet (learnt from ${ahead.picks} first ${ahead.picks === 1 ? "pick" : "picks"}).`,
  ];
}

function rateTold({ rate, bears }: PlantingOutlook): string[] {
  if ((rate?.seen ?? 0) < 2) return bearsTold(bears);
  if (!rate || Math.abs(rate.factor - 1) < 0.15) return [];
  const way = rate.factor > 1 ? "more" : "less";
  return [`Bears ${way} freely than usual: ${Math.round(rate.factor * 100)} % (from ${rate.seen} picks and counts).`];
}

/** What earlier seasons of this garden tell before this one has. */
function bearsTold({ seasons, factor }: PlantingOutlook["bears"]): string[] {
  if (seasons === 0 || Math.abs(factor - 1) < 0.15) return [];
  const way = factor > 1 ? "more" : "less";
  return [`Here it bears ${way} than usual: ${Math.round(factor * 100)} % (from ${counted(seasons, "season")}).`];
}

function leavesTold({ leaves }: PlantingOutlook): string[] {
  if (!leaves) return [];
  return [
    leaves.mayComeOff > 0
      ? `About ${leaves.mayComeOff} leaves may come off each plant; ${leaves.mustStay} stay.`
      : `No leaf to spare: ${leaves.mustStay} have to stay on each plant.`,
  ];
}
