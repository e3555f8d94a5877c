import { z } from "zod";
import { Slot } from "~/core/hands";
import type { Db } from "~/db/client.server";
import type { GardenRow } from "~/db/garden/garden.server";
import { deleteRoundOrder, putRoundOrder, roundOrdersOn } from "~/db/round/round-orders.server";
import { openRound } from "~/db/round/rounds.server";
import { nextRound, type RoundOrder } from "~/views/round/planned-walk";
import { todayOf } from "../garden/clock.server";
import { besideThePlan, plannedGarden } from "../garden/planned-garden.server";

const Stops = z.array(z.string().max(200)).max(200);

/** What the household says of the order of a walk. */
export const OrderAct = z.discriminatedUnion("intent", [
  z.object({ intent: z.literal("put in order"), stops: z.string().max(40_000).transform((text) => text.split("\n")).pipe(Stops) }), // prettier-ignore
  z.object({ intent: z.literal("order by itself") }),
]);
export type OrderAct = z.infer<typeof OrderAct>;

/** The rounds of today that the household put in order. */
export function ordersOf(db: Db, garden: GardenRow): RoundOrder[] {
  return roundOrdersOn(db, todayOf(garden)).map(({ slot, stops }) => ({
    slot: slot === "" ? null : Slot.parse(slot),
    stops: Stops.parse(JSON.parse(stops)),
  }));
}

/** Puts the stops of the next round in order, or leaves them to the app again. Once it is out its list stands. */
export function orderRound(
  db: Db,
  garden: GardenRow,
  act: OrderAct,
): { status: "noted" | "refused"; sentence: string } {
  const day = todayOf(garden);
  if (openRound(db)) return { status: "refused", sentence: "The round is out: its list stands." };
  const { slot, walk } = nextRound(plannedGarden(db, garden));
  if (act.intent === "order by itself") {
    besideThePlan(db, () => deleteRoundOrder(db, day, slot ?? ""));
    return { status: "noted", sentence: "In the order that I would walk it." };
  }
  const keys = walk.stops.map((stop) => stop.key);
  // The walk changed meanwhile: what is asked for is of another one.
  const isWhole = act.stops.length === keys.length && keys.every((key) => act.stops.includes(key));
  if (!isWhole) return { status: "refused", sentence: "The walk has changed meanwhile: look at it again." };
  besideThePlan(db, () => putRoundOrder(db, { day, slot: slot ?? "", stops: JSON.stringify(act.stops) }));
  return { status: "noted", sentence: "In the order that you put it." };
}
