import { addDays } from "~/core/calendar";
import type { Supposition } from "~/core/garden";
import type { Db } from "~/db/client.server";
import type { GardenRow } from "~/db/garden/garden.server";
import { tripOf } from "~/views/ahead/away-sheet";
import { frostsAhead } from "~/views/ahead/frost-sheet";
import { costWords, offerWords, type HandsTold } from "~/views/ahead/hands-words";
import type { Planned } from "~/views/planned";
import { inUnits } from "~/views/words";
import { changeIf } from "../garden/supposed-change.server";
import { plannedGarden } from "../garden/planned-garden.server";

/** Minutes that are tried, how many offers are told, and how much more longer ones have to bring: our judgement. */
const EXTRA = [30, 60, 120];
const HELP_MINUTES = 60;
const MOST_OFFERS = 4;
const WORTH_MORE = 1.15;

/** What more hands, a helper or a cover would bring before a frost or a trip: the plan is asked again for each. */
export async function handsOffered(
  db: Db,
  garden: GardenRow,
  before: "frost" | "trip",
  on?: string,
): Promise<HandsTold> {
  // prettier-ignore
  const planned = plannedGarden(db, garden);
  const asked = async (s: Supposition) => {
    const so = await changeIf(db, garden, planned, [s]);
    return so.status === "supposed" ? so.change : undefined;
  };
  const trip = before === "trip" ? tripOf(planned, on)?.trip.from : undefined;
  const stay = trip && (await asked({ what: "stay", trip }));
  const offers: NonNullable<ReturnType<typeof offerWords>>[] = [];
  for (const s of before === "trip" ? beforeTrip(planned, on) : beforeFrost(planned, on)) {
    const so = await asked(s);
    const offer = so && offerWords(planned, s, so);
    // More minutes are offered where they bring more than fewer do.
    if (offer && !(s.what === "minutes" && offers.some((o) => o.suppositions[0]!.what === "minutes" && offer.worth < WORTH_MORE * o.worth))) offers.push(offer); // prettier-ignore
  }
  offers.sort((a, b) => b.worth - a.worth);
  const told = offers.slice(0, MOST_OFFERS).map(({ worth: _, ...offer }) => offer);
  const cost = stay ? costWords(planned, stay) : null;
  return { cost: cost && inUnits(cost, garden.unitSystem), offers: told.map((o) => ({ ...o, words: inUnits(o.words, garden.unitSystem), brings: inUnits(o.brings, garden.unitSystem) })) }; // prettier-ignore
}

function beforeTrip(planned: Planned, on?: string): Supposition[] {
  const { outlook } = planned;
  const of = tripOf(planned, on);
  if (!of) return [];
  const middle = outlook.days[of.days[Math.floor(of.days.length / 2)]!]!;
  const home = of.lastHome === null ? [] : EXTRA.map((minutes): Supposition => ({ what: "minutes", day: outlook.days[of.lastHome!]!, minutes })); // prettier-ignore
  return [
    ...home,
    { what: "helper", day: middle, minutes: HELP_MINUTES },
    ...(of.days.length > 1 ? [{ what: "return", trip: of.trip.from, day: addDays(of.trip.to, -1) } as const] : []),
  ];
}

function beforeFrost(planned: Planned, on?: string): Supposition[] {
  const all = frostsAhead(planned);
  const frost = all.find((h) => h.from === on) ?? all[0];
  if (!frost) return [];
  const covers = frost.acts.flatMap((act): Supposition[] => (act.act === "cover" && !act.covered ? [{ what: "cover", bedId: act.bedId, evening: act.evening }] : [])); // prettier-ignore
  return [...EXTRA.map((minutes): Supposition => ({ what: "minutes", day: frost.from, minutes })), ...covers];
}
