import type { Db } from "~/db/client.server";
import type { GardenRow } from "~/db/garden/garden.server";
import { openRound } from "~/db/round/rounds.server";
import { jumpsOf, type Jump } from "~/views/horizon/jumps";
import { plannedGarden } from "../garden/planned-garden.server";

/** Where one can go from anywhere in a garden. */
export const jumpsPage = (db: Db, garden: GardenRow): Jump[] => jumpsOf(plannedGarden(db, garden), openRound(db) !== undefined); // prettier-ignore
