import { useState } from "react";
import type { CueView } from "~/views/check/cue-view";
import { Bar, Chip, QuietSpan } from "~/ui/theme/parts";

/** Shares as they are said over a bed. */
const SHARES = [
  [0.08, "a few"],
  [0.33, "a third"],
  [0.5, "half"],
  [0.8, "most"],
  [1, "all"],
] as const;
/** Two shares this near are the same to a thumb. */
const SAME = 0.06;

interface ShareRowProps {
  cue: CueView;
  /** The reading that was tapped last. */
  readingId: string;
  onShare: (readingId: string, share: number) => void;
}

const say = (share: number) =>
  SHARES.find(([s]) => Math.abs(s - share) <= SAME)?.[1] ?? `${Math.round(share * 10)} in 10`;

/** What is left of the whole once the other readings have their shares. */
export const restOf = (mix: CueView["mix"], readingId: string): number =>
  Math.max(0, 1 - mix.filter((m) => m.readingId !== readingId).reduce((sum, m) => sum + m.share, 0));

/** How many of them read so: a second, optional tap; several readings stand side by side with their shares. */
export function ShareRow({ cue, readingId, onShare }: ShareRowProps) {
  const [asked, setAsked] = useState(cue.mix.length > 0);
  const shared = cue.mix.find((m) => m.readingId === readingId);
  const text = (id: string) => cue.readings.find((r) => r.id === id)?.text ?? id;
  const told = cue.mix.reduce((sum, m) => sum + m.share, 0);
  if (!asked && cue.mix.length === 0)
    return (
      <Bar marginTop="6px">
        <Chip onClick={() => setAsked(true)}>Not all of them?</Chip>
      </Bar>
    );
  return (
    <Bar role="group" aria-label={`How many: ${text(readingId)}`} gap="6px" marginTop="6px">
      <QuietSpan width="100%">How many are “{text(readingId)}”?</QuietSpan>
      {SHARES.map(([share, words]) => (
        <Chip
          key={words}
          aria-pressed={shared !== undefined && Math.abs(shared.share - share) <= SAME}
          onClick={() => onShare(readingId, share)}
        >
          {words}
        </Chip>
      ))}
      {shared && !SHARES.some(([share]) => Math.abs(shared.share - share) <= SAME) && (
        <Chip aria-pressed onClick={() => onShare(readingId, shared.share)}>
          {say(shared.share)}
        </Chip>
      )}
      {cue.mix.length > 0 && (
        <QuietSpan width="100%" aria-live="polite">
          {cue.mix.length > 1 && cue.mix.map((m) => `${text(m.readingId)}: ${say(m.share)}`).join(" · ")}
          {told < 1 - SAME &&
            (cue.mix.length > 1 ? " · tap what the rest is" : "Tap above what the rest is, if you saw it.")}
        </QuietSpan>
      )}
    </Bar>
  );
}
