import { addDays } from "../calendar";
import { greenPieces, repeatOffer } from "../cropping";
import { plantsOf, standSpread } from "../life";
import { trackIndex } from "../weather";
import { apartTasks } from "./apart-tasks";
import { lastFullPick } from "./bearing-seen";
import { minutesFor, roomFor } from "./pick-effort";
import { EFFORT_PER_MINUTE } from "./plan-problem";
import type { PlantingOffer, TakingTerms } from "./planting-offer";
import type { PlantingRipens } from "./planting-ripens";

/** What is left behind for want of hands is there at the next pick, worth this share of it: our judgement. */
const REST = 0.6;

/** What keeps giving, or ripens bit by bit: one task that may come again and again. */
export function pickedAgain(terms: TakingTerms, { ripe, rate }: PlantingRipens): PlantingOffer {
  const { planting, crop, bed, risk, bans, sky, allows } = terms;
  const full = crop.mode === "once" ? (planting.picks.map((p) => p.pickedOn).sort().at(-1) ?? null) : lastFullPick(planting); // prettier-ignore
  const offer = repeatOffer(crop, sky.track, ripe, {
    since: full && addDays(full, 1),
    sound: risk.sound,
    bears: risk.bears,
    primeDays: crop.windowDays.value,
  });
  const room = roomFor(crop, terms.terms);
  // As many as fit the day: a pick too big for the hands is a part-pick.
  const fits = (pieces: number, t: number) => (pieces > 0 ? Math.min(1, room[t]! / pieces) : 1);
  const keptOf = (taken: number) => taken + REST * (1 - taken);
  const soonest = crop.again?.low ?? 2;
  const greenDays = crop.indoors?.fromGreenDays;
  const top = Math.max(1e-9, ...offer.worth[0]!);
  const pieces = offer.pieces.map((r) => r.map((n, t) => n * fits(n, t)));
  const net = (worth: number, n: number) => worth - EFFORT_PER_MINUTE * minutesFor(crop, n);
  return {
    rate,
    ...(greenDays !== undefined && { green: greenPieces(ripe, trackIndex(sky.track, sky.today) - ripe.first, risk.sound, greenDays) }), // prettier-ignore
    doubt: Math.hypot(rate.logSpread, 0.15, rate.seen > 0 ? 0 : standSpread(planting)),
    worth: offer.worth[0]!,
    pieces: pieces[0]!,
    ridge: offer.worth[0]!.map((w) => Math.max(0, w) / top),
    clear: offer.clear.map((w) => Math.min(1, Math.max(0, w) / top)),
    parts: [
      {
        pieces,
        task: {
          id: planting.id,
          bedId: bed.id,
          repeat: true,
          worth: offer.worth.map((r, row) =>
            r.map((w, t) => net(w * keptOf(fits(offer.pieces[row]![t]!, t)), pieces[row]![t]!)),
          ),
          minutes: pieces.map((r, row) =>
            r.map((n, t) =>
              (row > 0 && t - (row - 1) < soonest) || bans[t] !== null || !allows(t) || n < 0.05
                ? null
                : minutesFor(crop, n),
            ),
          ),
          endWorth: offer.endWorth.map((w, row) => (allows(terms.terms.length - 1) ? net(w, offer.endPieces[row]!) : 0)), // prettier-ignore
        },
      },
      ...apartTasks(terms, plantsOf(crop, planting) * Math.max(1, crop.piecesPerPlant.value)),
    ],
  };
}
