import { Link } from "react-router";
import { ReadinessArc } from "~/ui/arc/ReadinessArc";
import type { HorizonView } from "~/views/horizon/horizon-view";
import { RidgeRow } from "./RidgeRow";

type BedShown = HorizonView["beds"][number];

/** One bed with its plantings, a ridge each; how it looks is the board's. */
export function BedRows({ bed, view }: { bed: BedShown; view: HorizonView }) {
  const days = view.days.map((d) => d.label);
  return (
    <section className="bed" aria-label={bed.name}>
      <div className="bed-name">
        <h2>
          <a href={`/beds#${bed.id}`}>{bed.name}</a>
        </h2>
        <span className="bed-dot" aria-hidden />
      </div>
      {bed.plantings.map((p) => (
        <div key={p.id} className="planting">
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
          <RidgeRow planting={p} days={days} bands={view.bands} />
        </div>
      ))}
    </section>
  );
}
