import { memo, type CSSProperties } from "react";
import { Link } from "react-router";
import { ReadinessArc } from "~/ui/arc/ReadinessArc";
import type { HorizonView } from "~/views/horizon/horizon-view";
import type { MoveTold } from "~/views/horizon/move-words";
import type { Moving, RowPlanting } from "./moving";
import { counted } from "~/views/words";
import { BandStripes } from "./BandStripes";
import { RidgeRow } from "./RidgeRow";

type BedShown = HorizonView["beds"][number];

/** A move as the rows show it. */
export interface MoveShown {
  moving: Moving;
  told: MoveTold;
  /** Days of the plantings that the plan would move. */
  after: ReadonlyMap<string, number[]>;
}

interface BedRowsProps {
  bed: BedShown;
  view: HorizonView;
  /** Left out where it changes nothing in this bed. */
  move?: MoveShown;
  /** Days of picks that would be others if something were otherwise; left out where none of this bed would. */
  after?: ReadonlyMap<string, number[]>;
  isFolded: boolean;
  onFold: (bedId: string) => void;
}

/** One bed with its plantings, a ridge each; how it looks is the board's. */
export const BedRows = memo(function BedRows({ bed, view, move, after: supposed, isFolded, onFold }: BedRowsProps) {
  return (
    <section
      className="bed"
      aria-label={bed.name}
      data-folded={isFolded || undefined}
      style={rowsOf(isFolded ? 1 : bed.plantings.length)}
    >
      <div className="bed-bands" aria-hidden>
        <BandStripes bands={view.bands} count={view.days.length} />
      </div>
      <div className="bed-name">
        <h2>
          <a href={`/beds#${bed.id}`} tabIndex={-1}>
            {bed.name}
          </a>
        </h2>
        <span className="bed-dot" aria-hidden />
        <button
          type="button"
          className="bed-fold"
          aria-expanded={!isFolded}
          aria-label={`${isFolded ? "Unfold" : "Fold"} ${bed.name}`}
          tabIndex={isFolded ? 0 : -1}
          onClick={() => onFold(bed.id)}
        >
          {isFolded ? "▸" : "▾"}
        </button>
      </div>
      {isFolded && <p className="bed-folded">{foldedWords(bed, view)}</p>}
      {(isFolded ? [] : bed.plantings).map((p) => {
        const after = (move?.after ?? supposed)?.get(p.id);
        return (
          <div key={p.id} className="planting" data-row={p.id}>
            <PlantingName planting={p} />
            <RidgeRow
              planting={p}
              days={view.days}
              bands={view.bands}
              {...(move?.moving.planting === p && { moving: move.moving, told: move.told })}
              {...(after && { after })}
            />
          </div>
        );
      })}
    </section>
  );
});

/** How many rows a bed is high, for what is not drawn yet. */
const rowsOf = (rows: number) => ({ "--rows": rows }) as CSSProperties;

/** What a folded bed has, in a line. */
function foldedWords({ plantings }: BedShown, { days }: HorizonView): string {
  const next = plantings.flatMap((p) => p.handles.map((h) => h.day)).sort((a, b) => a - b)[0];
  const urgent = plantings.filter((p) => p.urgent).map((p) => `${p.crop}: ${p.short}`);
  return [counted(plantings.length, "planting"), ...urgent, next === undefined ? "" : `next pick ${days[next]!.label}`].filter(Boolean).join(" · "); // prettier-ignore
}

/** A planting by its name, its arc and its verdict in short. */
const PlantingName = memo(function PlantingName({ planting: p }: { planting: RowPlanting }) {
  return (
    <Link to={`/check/${p.id}`}>
      <ReadinessArc at={p.arc.at} spread={p.arc.spread} size="small" label={p.stage} urgent={p.urgent} />
      <div className="planting-words">
        <span title={`${p.crop}, ${p.variety}`}>
          {p.crop}
          {p.variety && <span className="variety">, {p.variety}</span>}
        </span>
        <span data-urgent={p.urgent || undefined}>{p.short}</span>
      </div>
    </Link>
  );
});
