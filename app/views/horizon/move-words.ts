import type { EditCost } from "~/core/garden";
import type { Slot } from "~/core/hands";
import type { UnitSystem } from "~/core/units";
import { BLOCKS } from "../sentences/blocks";
import { sayMass, sayRoughly, saySlot } from "../words";

/** Worth under which a move makes no odds (the worth of 20 g of courgette): our judgement. */
const NO_ODDS = 0.02;
/** Grams and minutes under which nothing is told of them: our judgement. */
const FEW_GRAMS = 10;
const FEW_MINUTES = 0.5;
/** Other plantings that are named. */
const MOST_NAMED = 3;

export interface MoveTold {
  /** "Courgette to Sa 26: costs about 0.4 kg worth." */
  headline: string;
  lines: string[];
  /** Very short, for the handle itself. */
  tag: string;
  isBlocked: boolean;
}

interface MoveAsked {
  name: string;
  /** The day's column label, and the part of it. */
  to: string;
  slot: Slot | null;
  cost: EditCost | null;
  isSettled: boolean;
  units: UnitSystem;
  /** Names of plantings, labels of days. */
  nameOf: (plantingId: string) => string;
  labelOf: (day: number) => string;
  plantingId: string;
}

/** What moving a pick costs, before it is let go: in its row, in all, which limit blocks it, what else moves. */
export function moveTold(asked: MoveAsked): MoveTold {
  const { cost, isSettled, units, name } = asked;
  const to = [asked.to, asked.slot ? saySlot(asked.slot) : ""].filter(Boolean).join(" ");
  if (!cost && isSettled) return { headline: `${name} to ${to}: without signal its cost is not known.`, lines: [], tag: "?", isBlocked: false }; // prettier-ignore
  if (!cost) return { headline: `${name} to ${to}: working it out …`, lines: [], tag: "…", isBlocked: false };
  if (cost.blockedBy) return { headline: `${name} to ${to}: cannot be, ${BLOCKS[cost.blockedBy]}.`, lines: [], tag: "no", isBlocked: true }; // prettier-ignore
  const about = isSettled ? "" : "about ";
  const worth = sayRoughly(Math.abs(cost.lostGrams), units);
  const odds = Math.abs(cost.lost) < NO_ODDS ? "none" : cost.lost > 0 ? "costs" : "gains";
  const words = { none: "makes no odds", costs: `costs ${about}${worth} worth`, gains: `does better by ${about}${worth} worth` }[odds]; // prettier-ignore
  const [own, all] = [sayDelta(cost.own, units), sayDelta(cost.all, units)];
  const row = `In this row ${own}.`;
  return {
    headline: `${name} to ${to}: ${words}.`,
    lines: [own === all ? `In this row and in all ${own}.` : `${row} In all ${all}.`, ...othersTold(asked, cost)],
    tag: odds === "none" ? "±0" : `${odds === "costs" ? "−" : "+"}${worth}`,
    isBlocked: false,
  };
}

/** What another day would cost, settled: both plans were asked for. */
export function dayCostWords({ lost, lostGrams }: Pick<EditCost, "lost" | "lostGrams">, units: UnitSystem): string {
  if (Math.abs(lost) < NO_ODDS) return "makes no odds.";
  if (lost < 0) return "would do as well.";
  return `costs ${sayRoughly(lostGrams, units)} worth, other picks moving with it.`;
}

/** "0.3 kg less, 4 min more". */
function sayDelta({ grams, minutes }: EditCost["own"], units: UnitSystem): string {
  const parts = [
    Math.abs(grams) < FEW_GRAMS ? "" : `${sayMass(Math.abs(roughly(grams)), units)} ${grams < 0 ? "less" : "more"}`,
    Math.abs(minutes) < FEW_MINUTES ? "" : `${Math.round(Math.abs(minutes)) || 1} min ${minutes < 0 ? "less" : "more"}`,
  ].filter(Boolean);
  return parts.length > 0 ? parts.join(", ") : "as much as before";
}

const roughly = (grams: number) => Math.round(grams / 10) * 10;

function othersTold({ plantingId, nameOf, labelOf }: MoveAsked, { moved }: EditCost): string[] {
  const others = moved.filter((m) => m.plantingId !== plantingId);
  if (others.length === 0) return [];
  const named = others.slice(0, MOST_NAMED).map(({ plantingId: id, to }) => `${nameOf(id)} ${to.length > 0 ? to.map(labelOf).join(", ") : "not at all"}`); // prettier-ignore
  const rest = others.length - named.length;
  return [`What else moves: ${named.join("; ")}${rest > 0 ? `; and ${rest} more` : ""}.`];
}
