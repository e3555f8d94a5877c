import { memo } from "react";
import type { Band } from "~/views/sky/bands";
import type { HorizonView } from "~/views/horizon/horizon-view";
import type { MoveTold } from "~/views/horizon/move-words";
import { BandStripes } from "./BandStripes";
import { ROW_HEIGHT as HEIGHT, ridgeY } from "./layout";
import type { Moving, RowPlanting } from "./moving";
import { acrossRow } from "./PickButton";
import { PickHandle } from "./PickHandle";
import { usePlanActs } from "./plan-acts";

interface RidgeRowProps {
  planting: RowPlanting;
  days: HorizonView["days"];
  bands: Band[];
  /** A pick of this row that is held, and what it would cost. */
  moving?: Moving;
  told?: MoveTold;
  /** Days on which the plan would pick it after the move. */
  after?: number[];
}

/** One planting over the days: its ridge of worth, the pale skirt the weather may take, its planned picks. */
export const RidgeRow = memo(function RidgeRow({ planting, days, bands, moving, told, after }: RidgeRowProps) {
  const count = days.length;
  const held = moving && { at: moving.to, tag: told?.tag ?? "", isBlocked: told?.isBlocked ?? false };
  const planned = planting.handles.map((h) => h.day);
  const stays = (day: number) => !after || after.includes(day);
  const comes = (after ?? []).filter((day) => !planned.includes(day) && day !== moving?.to.day);
  return (
    <div className="ridge" data-ridge={planting.id}>
      <Ridge planting={planting} count={count} />
      <div className="ridge-bands" aria-hidden>
        <BandStripes bands={bands} count={count} />
      </div>
      {planting.marks.map(({ day, kind, words }) => (
        <span key={`${kind} ${day} ${words}`} className={`mark mark-${kind}`} role="img" aria-label={words} title={words} style={{ left: acrossRow({ day, slot: null }, count) }} />
      ))}
      {planting.ruledOut.map((day) => (
        <RuledOut key={`not ${day}`} planting={planting} day={days[day]!} left={acrossRow({ day, slot: null }, count)} />
      ))}
      {comes.map((day) => (
        <span key={`to ${day}`} className="pick-comes" aria-hidden style={{ left: acrossRow({ day, slot: null }, count), bottom: HEIGHT - ridgeY(planting.ridge[day]!) - 8 }} />
      ))}
      {planting.handles.map((handle, order) => (
        <span key={handle.day} className={stays(handle.day) || moving?.order === order ? undefined : "pick-leaves"}>
          <PickHandle planting={planting} order={order} days={days} {...(moving?.order === order && held && { held })} />
        </span>
      ))}
    </div>
  ); // prettier-ignore
});

/** A day that the household ruled out: a tap allows it again. */
function RuledOut({ planting, day, left }: { planting: RowPlanting; day: HorizonView["days"][number]; left: string }) {
  const { act, isBusy } = usePlanActs();
  return (
    <button
      type="button"
      className="ruled-out"
      tabIndex={-1}
      disabled={isBusy}
      aria-label={`${planting.crop}, ${day.label}: ruled out. Allow it again`}
      title="Ruled out: tap to allow it again"
      style={{ left }}
      onClick={() => act({ intent: "leave free", plantingId: planting.id, day: day.day })}
    >
      ×
    </button>
  );
}

/** A doubt of less than this is thinner than the line. */
const WORTH_DRAWING = 0.03;

function Ridge({ planting, count }: { planting: RowPlanting; count: number }) {
  const outline = (worth: number[]) => {
    const points = worth.map((w, n) => [n + 0.5, ridgeY(w)] as const);
    const first = points[0]!;
    const last = points.at(-1)!;
    return [[0, first[1]], ...points, [count, last[1]]]
      .map(([x, v], i) => `${i ? "L" : "M"}${x} ${v!.toFixed(1)}`)
      .join("");
  };
  const doubt = () => {
    const at = (n: number, sign: number) =>
      ridgeY(Math.min(1, Math.max(0, planting.ridge[n]! + sign * planting.doubt[n]!)));
    const edge = (sign: number) => [0, ...planting.ridge.keys(), count - 1].map((n, k, all) => [k === 0 ? 0 : k === all.length - 1 ? count : n + 0.5, at(n, sign)] as const); // prettier-ignore
    const points = [...edge(1), ...edge(-1).reverse()];
    return `${points.map(([x, y], n) => `${n ? "L" : "M"}${x} ${y.toFixed(1)}`).join("")}Z`;
  };
  // The foot of an area lies below the frame, so that its outline is the ridge alone.
  const area = (worth: number[]) => `${outline(worth)}L${count + 1} ${HEIGHT + 4}L-1 ${HEIGHT + 4}Z`;
  return (
    <svg viewBox={`0 0 ${count} ${HEIGHT}`} preserveAspectRatio="none" aria-hidden>
      <path className="pale" d={area(planting.clear)} />
      <path className="worth" d={area(planting.ridge)} />
      {planting.doubt.some((d) => d >= WORTH_DRAWING) && <path className="doubt" d={doubt()} />}
    </svg>
  );
}
