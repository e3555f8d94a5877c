import type { HorizonView } from "~/views/horizon/horizon-view";
import { ROW_HEIGHT as HEIGHT, ridgeY } from "./layout";
import { slotOffset, type Place, type RowPlanting } from "./moving";

export interface PickHandleProps {
  planting: RowPlanting;
  order: number;
  days: HorizonView["days"];
  /** Where it is held while it is moved, and its cost in a word. */
  held?: { at: Place; tag: string; isBlocked: boolean };
}

/** Across the row, per cent. */
export const acrossRow = ({ day, slot }: Place, count: number): string =>
  `${Math.round((10000 * (day + 0.5 + slotOffset(slot))) / count) / 100}%`;

/** A planned pick as it stands on its ridge. */
export function PickButton({
  planting,
  order,
  days,
  held,
  ...button
}: PickHandleProps & React.ComponentProps<"button">) {
  const handle = planting.handles[order]!;
  const at = held?.at ?? handle;
  const top = HEIGHT - ridgeY(planting.ridge[at.day]!);
  const asked = handle.isAsked ? "You asked for it. " : "";
  return (
    <button
      type="button"
      className="pick"
      tabIndex={-1}
      aria-label={`${planting.crop}, ${days[handle.day]!.label}: ${handle.label}. ${asked}Why this day?`}
      aria-describedby="how-to-move"
      data-planting={planting.id}
      data-order={order}
      data-held={held ? (held.isBlocked ? "blocked" : "") : undefined}
      style={{ left: acrossRow(at, days.length) }}
      {...button}
    >
      <span className="pick-stem" aria-hidden style={{ height: Math.round(Math.max(2, top)) }} />
      <span
        className="pick-dot"
        aria-hidden
        data-today={at.day === 0 || undefined}
        data-asked={handle.isAsked || undefined}
        style={{ bottom: Math.round(Math.max(0, top - 8)) }}
      />
      <span
        className="pick-label"
        aria-hidden
        data-edge={edgeOf(at.day, days.length)}
        style={{ bottom: labelBottom(planting, at.day) }}
      >
        {held?.tag ?? handle.short}
      </span>
    </button>
  );
}

/** Labels stand right of their handle, high enough to clear the ridge. */
const labelBottom = (planting: RowPlanting, day: number) =>
  Math.min(HEIGHT - 14, Math.max(6, planting.ridge[day]! * (HEIGHT - 9) + 2));

/** How near the right edge a label is: there it turns left, on a phone sooner. */
const edgeOf = (day: number, count: number) => (day >= count - 2 ? "near" : day >= count - 4 ? "nearing" : undefined);
