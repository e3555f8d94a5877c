import type { MoveTold } from "~/views/horizon/move-words";
import type { Moving } from "./moving";

/** What the move in hand costs, off the hand: at the foot, or on top where the row is low. Its look is the board's. */
export function MoveCard({ told, moving }: { told: MoveTold; moving: Moving }) {
  return (
    <div
      role="status"
      aria-label="What it costs"
      className="move-card"
      data-low={moving.isLow || undefined}
      data-blocked={told.isBlocked || undefined}
    >
      <p data-settled={(moving.answer?.isSettled ?? false) || undefined}>{told.headline}</p>
      {told.lines.map((line, n) => (
        <p key={n}>{line}</p>
      ))}
    </div>
  );
}
