import { useDrag } from "@use-gesture/react";
import type { RefObject } from "react";
import { placeAt, type RowPlanting } from "./moving";
import type { MovingPick } from "./useMovingPick";

/** What is known from where a drag began. */
interface Row {
  left: number;
  width: number;
}

interface PickDragProps {
  board: RefObject<HTMLElement | null>;
  pick: MovingPick;
  plantingOf: (id: string) => RowPlanting | undefined;
  /** Days along a row. */
  count: number;
}

/**
 * A pick dragged by mouse or thumb along its row: snapped to days and parts of days. One listener for the whole board;
 * it comes once the page stands.
 */
export default function PickDrag({ board, pick, plantingOf, count }: PickDragProps) {
  const { held, places, take, moveTo, drop, putBack } = pick;
  useDrag<PointerEvent>(
    ({ event, first, last, canceled, tap, xy: [x], memo, cancel }) => {
      if (tap) return undefined;
      let row = memo as Row | undefined;
      if (first) {
        const handle = (event.target as Element).closest<HTMLElement>(".pick");
        const planting = handle && plantingOf(handle.dataset.planting!);
        const ridge = handle?.closest(".ridge")?.getBoundingClientRect();
        if (!planting || !ridge) {
          cancel();
          return undefined;
        }
        row = { left: ridge.left, width: ridge.width };
        take(planting, Number(handle.dataset.order), "pointer", handle);
      }
      if (!row || held.current?.by !== "pointer") return row;
      if (canceled) putBack();
      else {
        moveTo(placeAt(places, (x - row.left) / row.width, count, row.width / count));
        if (last) drop();
      }
      return row;
    },
    { target: board, axis: "x", filterTaps: true, pointer: { keys: false } },
  );
  return null;
}
