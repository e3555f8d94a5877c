import {
  Bar as Column,
  CartesianGrid,
  ComposedChart,
  Line,
  ReferenceArea,
  ResponsiveContainer,
  XAxis,
  YAxis,
} from "recharts";
import type { UnitSystem } from "~/core/units";
import { ink } from "~/ui/theme";
import { sayClock, sayTemperature } from "~/views/words";
import { runs, type Hour } from "./hour-runs";

/** Warmth, dew point, rain, wet leaves and what stops a round, hour by hour; loaded when a day is opened. */
export default function HoursChart({ hours, units }: { hours: readonly Hour[]; units: UnitSystem }) {
  return (
    <ResponsiveContainer width="100%" height="100%">
      <ComposedChart data={[...hours]} margin={{ top: 8, right: 8, bottom: 0, left: -18 }}>
        <CartesianGrid stroke={ink("line")} vertical={false} />
        {runs(hours, (h) => h.wet !== null).map(([from, to]) => (
          <ReferenceArea key={`w${from}`} yAxisId="c" x1={from} x2={to} fill={ink("slateWash")} fillOpacity={0.9} />
        ))}
        {runs(hours, (h) => h.stop !== null).map(([from, to]) => (
          <ReferenceArea
            key={`s${from}`}
            yAxisId="c"
            x1={from}
            x2={to}
            stroke={ink("persimmon")}
            fill={ink("persimmonFill")}
            fillOpacity={0.15}
          />
        ))}
        <XAxis
          dataKey="clock"
          interval="equidistantPreserveStart"
          minTickGap={14}
          tickFormatter={(clock: string) =>
            units === "us" ? sayClock(clock, units) : String(Number(clock.slice(0, 2)))
          }
          stroke={ink("soft")}
          tick={{ fill: ink("ink"), fontSize: 14 }}
        />
        <YAxis
          yAxisId="c"
          stroke={ink("soft")}
          tick={{ fill: ink("ink"), fontSize: 14 }}
          tickFormatter={(c: number) => sayTemperature(c, units)}
          domain={["dataMin - 1", "dataMax + 1"]}
          allowDecimals={false}
        />
        <YAxis yAxisId="mm" orientation="right" hide domain={[0, (max: number) => Math.max(4, max * 2)]} />
        <Column yAxisId="mm" dataKey="rainMm" fill={ink("slate")} barSize={10} isAnimationActive={false} />
        <Line yAxisId="c" dataKey="airC" stroke={ink("plum")} strokeWidth={3} dot={false} isAnimationActive={false} />
        <Line
          yAxisId="c"
          dataKey="dewPointC"
          stroke={ink("slate")}
          strokeWidth={2}
          strokeDasharray="5 4"
          dot={false}
          isAnimationActive={false}
        />
      </ComposedChart>
    </ResponsiveContainer>
  );
}
