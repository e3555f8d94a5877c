import { ink } from "~/ui/theme";

interface ReadinessArcProps {
  /** 0 foot left, 0.5 top, 1 foot right. */
  at: number;
  /** How unsure, one standard deviation on the same scale. */
  spread: number;
  size: "small" | "large";
  /** Said to screen readers: the stage in words. */
  label: string;
  /** Drawn in the accent: it wants doing now. */
  urgent?: boolean;
}

/** Height of the arc at a share of its width, 0 to 1 (a parabola). */
const rise = (x: number) => 4 * x * (1 - x);

/** The sign of the app: where a crop stands between not yet and gone, and how sure that is. */
export function ReadinessArc({ at, spread, size, label, urgent = false }: ReadinessArcProps) {
  const large = size === "large";
  const width = large ? 340 : 44;
  const height = large ? 104 : 22;
  const pad = large ? 22 : 6;
  const point = (x: number) => [pad + x * (width - 2 * pad), height - pad - rise(x) * (height - 2 * pad)] as const;
  // A stretch of a parabola is one curve whose middle point is where its two tangents meet.
  const line = (from: number, to: number) => {
    const [[x0, y0], [x2, y2]] = [point(from), point(to)];
    const meet = rise(from) + ((to - from) / 2) * (4 - 8 * from);
    const y1 = height - pad - meet * (height - 2 * pad);
    return `M${x0.toFixed(1)} ${y0.toFixed(1)}Q${((x0 + x2) / 2).toFixed(1)} ${y1.toFixed(1)} ${x2.toFixed(1)} ${y2.toFixed(1)}`;
  };
  const low = Math.max(0, at - spread);
  const high = Math.min(1, at + spread);
  const [cx, cy] = point(Math.min(1, Math.max(0, at)));
  const colour = urgent ? ink("persimmonFill") : ink("plum");
  return (
    <svg
      viewBox={`0 0 ${width} ${height + (large ? 8 : 0)}`}
      width={large ? "100%" : width}
      height={large ? undefined : height}
      role="img"
      aria-label={label}
      style={{ maxWidth: large ? 420 : undefined, display: "block", flexShrink: 0 }}
    >
      <path d={line(0, 1)} fill="none" stroke={ink("ink")} strokeWidth={large ? 3 : 1.6} strokeLinecap="round" />
      {high - low > 0.02 && (
        <path
          d={line(low, high)}
          fill="none"
          stroke={colour}
          strokeOpacity={0.32}
          strokeWidth={large ? 13 : 6}
          strokeLinecap="round"
        />
      )}
      <circle
        cx={Math.round(cx * 10) / 10}
        cy={Math.round(cy * 10) / 10}
        r={large ? 11 : 4.6}
        fill={colour}
        stroke={ink("paper")}
        strokeWidth={large ? 2.5 : 1}
        style={{ transition: "cx 0.35s, cy 0.35s" }}
      />
      {large && (
        <g fontSize="14" fill={ink("soft")} fontFamily="Atkinson Hyperlegible, sans-serif">
          <text x={4} y={height + 3}>
            not yet
          </text>
          <text x={width / 2} y={height + 3} textAnchor="middle">
            at its peak
          </text>
          <text x={width - 4} y={height + 3} textAnchor="end">
            gone
          </text>
        </g>
      )}
    </svg>
  );
}
