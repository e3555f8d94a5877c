import type { KeyboardEvent, RefObject } from "react";
import type { RowPlanting } from "./moving";
import type { MovingPick } from "./useMovingPick";

/** What arrows go to within a row: the planting, its picks and the days ruled out. */
const STOPS = "a, .pick, .ruled-out";

/** The stops of a row from left to right, before them the bed's where it is the bed's first; a folded bed is a row by its name. */
function stopsOf(row: HTMLElement): HTMLElement[] {
  const left = (el: HTMLElement) => el.getBoundingClientRect().left;
  const own = [...row.querySelectorAll<HTMLElement>(STOPS)].sort((a, b) => left(a) - left(b));
  const bed = row.closest(".bed");
  const names =
    bed?.querySelector(".planting") === row ? [...bed.querySelectorAll<HTMLElement>(".bed-name :is(a, button)")] : [];
  return [...names, ...own];
}

/**
 * The board by keyboard: one stop a row, arrows between rows and within them; Space takes a pick up, arrows move it,
 * Space or Enter lets it go, Escape puts it back, Delete rules its day out.
 */
export function useRowKeys(
  board: RefObject<HTMLElement | null>,
  { held, take, step, drop, putBack, dismiss }: MovingPick,
  plantingOf: (id: string) => RowPlanting | undefined,
  act: (fields: Record<string, string>) => void,
  dayOf: (index: number) => string,
) {
  // prettier-ignore
  const rows = () => [...(board.current?.querySelectorAll<HTMLElement>(".planting, .bed[data-folded]") ?? [])];
  const stopOf = (row: HTMLElement | undefined) => row?.querySelector<HTMLElement>(row.matches(".bed") ? ".bed-fold" : "a"); // prettier-ignore
  const focus = (el: HTMLElement | null | undefined) => el?.focus();

  const onMoving = (key: string): boolean => {
    if (key === "ArrowLeft" || key === "ArrowRight") step(key === "ArrowLeft" ? -1 : 1);
    else if (key === " " || key === "Enter") drop();
    else if (key === "Escape") putBack();
    else return key !== "Tab";
    return true;
  };

  const onStanding = (key: string, target: HTMLElement): boolean => {
    const row = target.closest<HTMLElement>(".planting") ?? target.closest<HTMLElement>(".bed[data-folded]") ?? target.closest(".bed")?.querySelector<HTMLElement>(".planting"); // prettier-ignore
    if (!row) return false;
    const stops = stopsOf(row);
    const at = stops.indexOf(target);
    const all = rows();
    const pick = target.dataset.planting ? plantingOf(target.dataset.planting) : undefined;
    const order = Number(target.dataset.order);
    switch (key) {
      case "ArrowLeft":
        focus(stops[at - 1]);
        return true;
      case "ArrowRight":
        focus(stops[at + 1]);
        return true;
      case "ArrowUp":
      case "ArrowDown":
        focus(stopOf(all[all.indexOf(row) + (key === "ArrowUp" ? -1 : 1)]));
        return true;
      case "Home":
        focus(stopOf(all[0]));
        return true;
      case "End":
        focus(stopOf(all.at(-1)));
        return true;
      case " ":
        if (!pick) return false;
        take(pick, order, "keys", target);
        return true;
      case "Delete":
        if (!pick) return false;
        act({ intent: "rule out", plantingId: pick.id, day: dayOf(pick.handles[order]!.day) });
        return true;
      default:
        return false;
    }
  };

  return {
    onKeyDown: (event: KeyboardEvent<HTMLElement>) => {
      if (!held.current) dismiss();
      if (event.ctrlKey || event.metaKey || event.altKey) return;
      const isDone = held.current && !held.current.isDropped ? onMoving(event.key) : onStanding(event.key, event.target as HTMLElement); // prettier-ignore
      if (isDone) event.preventDefault();
    },
    // A button clicks when Space is let go: what it took up is not asked why.
    onKeyUp: (event: KeyboardEvent<HTMLElement>) => {
      if (event.key === " " && (event.target as HTMLElement).matches(".pick")) event.preventDefault();
    },
    onBlur: () => {
      if (held.current?.by === "keys" && !held.current.isDropped) putBack();
    },
  };
}
