import { Box, chakra, Popover, Portal } from "@chakra-ui/react";
import type { Band } from "~/views/sky/bands";
import type { HorizonView } from "~/views/horizon/horizon-view";
import { ink } from "~/ui/theme";
import { BandStripes } from "./BandStripes";

type RowPlanting = HorizonView["beds"][number]["plantings"][number];

const HEIGHT = 40;

const y = (worth: number) => HEIGHT - 1 - worth * (HEIGHT - 9);

/** One planting over the days: its ridge of worth, the pale skirt the weather may take, its planned picks. */
export function RidgeRow({ planting, days, bands }: { planting: RowPlanting; days: string[]; bands: Band[] }) {
  const count = days.length;
  return (
    <Box position="relative" height={`${HEIGHT + 6}px`} marginLeft={{ base: "16px", md: "0" }}>
      <Ridge planting={planting} count={count} />
      <Box position="absolute" inset="0" display={{ base: "block", md: "none" }} pointerEvents="none" aria-hidden>
        <BandStripes bands={bands} count={count} />
      </Box>
      {planting.handles.map((handle, order) => (
        <PickHandle key={handle.day} planting={planting} order={order} days={days} />
      ))}
    </Box>
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
  const area = (worth: number[]) => `${outline(worth)}L${count} ${HEIGHT}L0 ${HEIGHT}Z`;
  return (
    <svg
      viewBox={`0 0 ${count} ${HEIGHT}`}
      preserveAspectRatio="none"
      width="100%"
      height={HEIGHT}
      aria-hidden
      style={{ position: "absolute", bottom: 0, left: 0, display: "block" }}
    >
      <path d={area(planting.clear)} fill={ink("ridgePale")} fillOpacity={0.75} />
      <path d={area(planting.ridge)} fill={ink("ridge")} fillOpacity={0.9} />
      <path
        d={outline(planting.ridge)}
        fill="none"
        stroke={ink("ink")}
        strokeWidth={1.4}
        vectorEffect="non-scaling-stroke"
      />
    </svg>
  );
}

interface PickHandleProps {
  planting: RowPlanting;
  order: number;
  days: string[];
}

/** A planned pick on the ridge, to tap for its reasons. */
function PickHandle({ planting, order, days }: PickHandleProps) {
  const handle = planting.handles[order]!;
  const count = days.length;
  return (
    <Popover.Root lazyMount unmountOnExit positioning={{ placement: "bottom" }}>
      <Popover.Trigger asChild>
        <chakra.button
          type="button"
          aria-label={`${planting.crop}, ${days[handle.day]}: ${handle.label}. Why this day?`}
          position="absolute"
          bottom="0"
          width="44px"
          height="46px"
          marginLeft="-22px"
          background="transparent"
          border="none"
          cursor="pointer"
          padding="0"
          zIndex="2"
          style={{ left: `${(100 * (handle.day + 0.5)) / count}%` }}
        >
          <span
            aria-hidden
            style={{
              position: "absolute",
              left: 21,
              bottom: 0,
              width: 2,
              height: Math.max(2, HEIGHT - y(planting.ridge[handle.day]!)),
              background: ink("persimmonFill"),
            }}
          />
          <span
            aria-hidden
            style={{
              position: "absolute",
              left: 22 - 8,
              bottom: Math.max(0, HEIGHT - y(planting.ridge[handle.day]!) - 8),
              width: 16,
              height: 16,
              borderRadius: "50%",
              background: handle.day === 0 ? ink("persimmonFill") : ink("card"),
              border: `3px solid ${ink("persimmonFill")}`,
            }}
          />
          <chakra.span
            aria-hidden
            position="absolute"
            left="33px"
            whiteSpace="nowrap"
            fontSize="0.88rem"
            fontWeight="700"
            color="ink"
            textAlign="left"
            textShadow={`0 0 3px ${ink("paper")}, 0 0 3px ${ink("paper")}, 0 0 5px ${ink("paper")}`}
            style={labelPlace(planting, order, count)}
          >
            {handle.short}
          </chakra.span>
        </chakra.button>
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
