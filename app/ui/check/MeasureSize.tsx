import { Box, chakra } from "@chakra-ui/react";
import { useState } from "react";
import { type UnitSystem } from "~/core/units";
import type { MeasureView } from "~/views/check/cue-view";
import { Action } from "~/ui/theme/parts";
import { Fold } from "~/ui/shell/Fold";
import { ink } from "~/ui/theme";
import { nearestObject, sayLength } from "~/views/words";

interface MeasureSizeProps {
  measure: MeasureView;
  measured: number | null;
  units: UnitSystem;
  ask: string;
  onMeasured: (mm: number, readingId: string) => void;
}

/** A size by slider and steps, drawn to scale beside the everyday object nearest to it. */
export function MeasureSize({ measure, measured, units, ask, onMeasured }: MeasureSizeProps) {
  const [mm, setMm] = useState(measured ?? measure.start);
  const { min, max, step } = measure;
  const reading = measure.readings.filter((r) => r.fromMm <= mm).at(-1);
  const clamp = (x: number) => Math.min(max, Math.max(min, x));
  const nudge = (by: number) => setMm((x) => clamp(Math.round((x + by) / step) * step));
  return (
    <Fold summary={measured ? `Measured: ${sayLength(measured, units)}` : "Measure it"} quiet>
      <SizeBeside measure={measure} mm={mm} units={units} />
      <Box display="grid" gridTemplateColumns="56px 1fr 56px" gap="10px" alignItems="center">
        <Action type="button" aria-label="Smaller" onClick={() => nudge(-step)} paddingInline="0">
          −
        </Action>
        <chakra.input
          type="range"
          aria-label={ask}
          aria-valuetext={sayLength(mm, units)}
          min={min}
          max={max}
          step={step}
          value={mm}
          onChange={(e) => setMm(Number(e.target.value))}
          width="100%"
          height="48px"
          accentColor="var(--chakra-colors-plum)"
        />
        <Action type="button" aria-label="Larger" onClick={() => nudge(step)} paddingInline="0">
          +
        </Action>
      </Box>
      <Action
        type="button"
        tone="loud"
        width="100%"
        marginTop="8px"
        onClick={() => reading && onMeasured(mm, reading.id)}
      >
        It is {sayLength(mm, units)}
      </Action>
    </Fold>
  );
}

const WIDE = 340;

/** The measured piece and the nearest everyday object, to one scale. */
function SizeBeside({ measure, mm, units }: { measure: MeasureView; mm: number; units: UnitSystem }) {
  const object = nearestObject(mm, measure.along);
  const scale = (measure.along === "length" ? WIDE - 20 : 120) / Math.max(measure.max, object.mm);
  const words = `${sayLength(mm, units)}, beside ${object.name} of ${sayLength(object.mm, units)}`;
  if (measure.along === "length")
    return (
      <svg viewBox={`0 0 ${WIDE} 92`} role="img" aria-label={words} style={{ width: "100%", maxWidth: 460 }}>
        <rect
          x="10"
          y="10"
          width={mm * scale}
          height="26"
          rx="13"
          fill={ink("ridge")}
          stroke={ink("ink")}
          strokeWidth="2"
        />
        <rect
          x="10"
          y="46"
          width={object.mm * scale}
          height="16"
          rx="8"
          fill="none"
          stroke={ink("plum")}
          strokeWidth="2"
          strokeDasharray="5 4"
        />
        <text x="10" y="84" fontSize="15" fill={ink("soft")} fontFamily="Atkinson Hyperlegible, sans-serif">
          beside {object.name}, {sayLength(object.mm, units)}
        </text>
      </svg>
    );
  const high = 134;
  return (
    <svg viewBox={`0 0 ${WIDE} ${high + 26}`} role="img" aria-label={words} style={{ width: "100%", maxWidth: 460 }}>
      <circle
        cx={WIDE * 0.28}
        cy={high - (mm * scale) / 2}
        r={(mm * scale) / 2}
        fill={ink("ridge")}
        stroke={ink("ink")}
        strokeWidth="2"
      />
      <circle
        cx={WIDE * 0.7}
        cy={high - (object.mm * scale) / 2}
        r={(object.mm * scale) / 2}
        fill="none"
        stroke={ink("plum")}
        strokeWidth="2"
        strokeDasharray="5 4"
      />
      <line x1="8" x2={WIDE - 8} y1={high} y2={high} stroke={ink("edge")} />
      <text
        x={WIDE * 0.28}
        y={high + 19}
        fontSize="15"
        textAnchor="middle"
        fill={ink("ink")}
        fontFamily="Atkinson Hyperlegible, sans-serif"
      >
        {sayLength(mm, units)}
      </text>
      <text
        x={WIDE * 0.7}
        y={high + 19}
        fontSize="15"
        textAnchor="middle"
        fill={ink("soft")}
        fontFamily="Atkinson Hyperlegible, sans-serif"
      >
        {object.name}, {sayLength(object.mm, units)}
      </text>
    </svg>
  );
}
