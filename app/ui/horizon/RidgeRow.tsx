import { chakra, Popover, Portal } from "@chakra-ui/react";
import { useState } from "react";
import type { Band } from "~/views/sky/bands";
import type { HorizonView } from "~/views/horizon/horizon-view";
import { BandStripes } from "./BandStripes";
import { ROW_HEIGHT as HEIGHT } from "./layout";

type RowPlanting = HorizonView["beds"][number]["plantings"][number];

const y = (worth: number) => HEIGHT - 1 - worth * (HEIGHT - 9);

/** One planting over the days: its ridge of worth, the pale skirt the weather may take, its planned picks. */
export function RidgeRow({ planting, days, bands }: { planting: RowPlanting; days: string[]; bands: Band[] }) {
  const count = days.length;
  return (
    <div className="ridge">
      <Ridge planting={planting} count={count} />
      <div className="ridge-bands" aria-hidden>
        <BandStripes bands={bands} count={count} />
      </div>
      {planting.handles.map((handle, order) => (
        <PickHandle key={handle.day} planting={planting} order={order} days={days} />
      ))}
    </div>
  );
}

function Ridge({ planting, count }: { planting: RowPlanting; count: number }) {
  const outline = (worth: number[]) => {
    const points = worth.map((w, n) => [n + 0.5, y(w)] as const);
    const first = points[0]!;
    const last = points.at(-1)!;
    return [[0, first[1]], ...points, [count, last[1]]]
      .map(([x, v], i) => `${i ? "L" : "M"}${x} ${v!.toFixed(1)}`)
      .join("");
  };
  // The foot of an area lies below the frame, so that its outline is the ridge alone.
  const area = (worth: number[]) => `${outline(worth)}L${count + 1} ${HEIGHT + 4}L-1 ${HEIGHT + 4}Z`;
  return (
    <svg viewBox={`0 0 ${count} ${HEIGHT}`} preserveAspectRatio="none" aria-hidden>
      <path className="pale" d={area(planting.clear)} />
      <path className="worth" d={area(planting.ridge)} />
    </svg>
  );
}

interface PickHandleProps {
  planting: RowPlanting;
  order: number;
  days: string[];
}

/** A planned pick on the ridge, to tap for its reasons; they are made ready when they are asked for. */
function PickHandle(props: PickHandleProps) {
  const [asked, setAsked] = useState(false);
  if (!asked)
    return <PickButton {...props} aria-haspopup="dialog" aria-expanded={false} onClick={() => setAsked(true)} />;
  return <AskedHandle {...props} />;
}

function PickButton({ planting, order, days, ...button }: PickHandleProps & React.ComponentProps<"button">) {
  const handle = planting.handles[order]!;
  const top = HEIGHT - y(planting.ridge[handle.day]!);
  const left = `${Math.round((10000 * (handle.day + 0.5)) / days.length) / 100}%`;
  return (
    <button
      type="button"
      className="pick"
      aria-label={`${planting.crop}, ${days[handle.day]}: ${handle.label}. Why this day?`}
      style={{ left }}
      {...button}
    >
      <span className="pick-stem" aria-hidden style={{ height: Math.round(Math.max(2, top)) }} />
      <span className="pick-dot" aria-hidden data-today={handle.day === 0 || undefined} style={{ bottom: Math.round(Math.max(0, top - 8)) }} />
      <span className="pick-label" aria-hidden style={labelPlace(planting, order, days.length)}>
        {handle.short}
      </span>
    </button>
  ); // prettier-ignore
}

function AskedHandle(props: PickHandleProps) {
  const { planting, order, days } = props;
  const handle = planting.handles[order]!;
  return (
    <Popover.Root defaultOpen lazyMount unmountOnExit positioning={{ placement: "bottom" }}>
      <Popover.Trigger asChild>
        <PickButton {...props} />
      </Popover.Trigger>
      <Portal>
        <Popover.Positioner>
          <Popover.Content
            maxWidth="300px"
            background="card"
            border="2px solid"
            borderColor="ink"
            borderRadius="seed"
            padding="14px"
            boxShadow="lg"
            zIndex="60"
          >
            <Popover.Title fontFamily="heading" fontSize="1.1rem" fontWeight="600">
              Why {days[handle.day]}?
            </Popover.Title>
            {handle.why.map((line) => (
              <chakra.p key={line} margin="4px 0 0">
                {line}
              </chakra.p>
            ))}
          </Popover.Content>
        </Popover.Positioner>
      </Portal>
    </Popover.Root>
  );
}

/** Labels stand right of their handle, high enough to clear the ridge; at the right edge they turn left. */
function labelPlace(planting: RowPlanting, i: number, count: number): React.CSSProperties {
  const handle = planting.handles[i]!;
  const bottom = Math.min(HEIGHT - 14, Math.max(6, planting.ridge[handle.day]! * (HEIGHT - 9) + 2));
  return handle.day >= count - 2 ? { left: "auto", right: 33, bottom } : { bottom };
}
