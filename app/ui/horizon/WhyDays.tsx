import { chakra } from "@chakra-ui/react";
import { ink } from "~/ui/theme";
import type { HorizonView } from "~/views/horizon/horizon-view";
import type { Band } from "~/views/sky/bands";
import { BandStripes } from "./BandStripes";
import type { RowPlanting } from "./moving";

interface WhyDaysProps {
  planting: RowPlanting;
  /** The day that is asked about. */
  day: number;
  days: HorizonView["days"];
  bands: Band[];
  /** Days on which it cannot be. */
  shut: readonly number[];
}

const WORTH = 46;
const CROWD = 18;
const COLUMN = 20;

/** Why a day, drawn: what a pick is worth day by day, what the sky has, how full the hands of each day are. */
export function WhyDays({ planting, day, days, bands, shut }: WhyDaysProps) {
  const width = days.length * COLUMN;
  const most = Math.max(1, ...days.map((d) => Math.max(d.minutesFree, d.minutesUsed)));
  const used = days[day]!;
  const label = `Worth of a pick day by day, highest ${days[planting.ridge.indexOf(Math.max(...planting.ridge))]!.label}; hands that day: ${Math.round(used.minutesUsed)} of ${Math.round(used.minutesFree)} minutes are planned.`; // prettier-ignore
  return (
    <chakra.figure margin="8px 0 0" position="relative" width={`${width}px`} maxWidth="100%">
      <svg viewBox={`0 0 ${width} ${WORTH + CROWD + 16}`} width="100%" role="img" aria-label={label}>
        {days.map((d, n) => {
          const x = n * COLUMN + 3;
          const [worth, clear] = [planting.ridge[n]! * WORTH, planting.clear[n]! * WORTH];
          const [free, taken] = [d.minutesFree, d.minutesUsed].map((m) => (m / most) * (CROWD - 3)) as [number, number];
          return (
            <g key={d.day}>
              <rect x={x} y={WORTH - clear} width={COLUMN - 6} height={clear} fill={ink("ridgePale")} />
              <rect
                x={x}
                y={WORTH - worth}
                width={COLUMN - 6}
                height={worth}
                fill={n === day ? ink("persimmonFill") : ink("ridge")}
              />
              {shut.includes(n) && (
                <text
                  x={x + (COLUMN - 6) / 2}
                  y={WORTH - 3}
                  textAnchor="middle"
                  fontSize="13"
                  fontWeight="700"
                  fill={ink("ink")}
                >
                  ×
                </text>
              )}
              <rect x={x} y={WORTH + CROWD - free} width={COLUMN - 6} height={free} fill="none" stroke={ink("plum")} />
              <rect x={x} y={WORTH + CROWD - taken} width={COLUMN - 6} height={taken} fill={ink("plum")} />
              <text
                x={x + (COLUMN - 6) / 2}
                y={WORTH + CROWD + 13}
                textAnchor="middle"
                fontSize="9.5"
                fontWeight={n === day ? 700 : 400}
                fill={ink("ink")}
              >
                {d.label.slice(0, 2)}
              </text>
            </g>
          );
        })}
      </svg>
      <chakra.div position="absolute" insetInline="0" top="0" height={`${WORTH}px`} aria-hidden>
        <BandStripes bands={bands} count={days.length} />
      </chakra.div>
      <chakra.figcaption fontSize="0.85rem" color="soft">
        Above: what a pick is worth. Below: minutes planned of those free. × cannot be.
      </chakra.figcaption>
    </chakra.figure>
  );
}
