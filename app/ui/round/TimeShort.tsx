import { Box, chakra } from "@chakra-ui/react";
import { useState } from "react";
import { Action, Bar } from "~/ui/theme/parts";
import type { RoundOutView } from "~/views/round/round-view";
import type { ShortWalk } from "./useTimeShort";

type Errand = RoundOutView["errands"][number];

/** Minutes one may say there are. */
const CHOICES = [5, 10, 15, 20, 30, 45];

interface TimeShortProps {
  short: ShortWalk | null;
  /** Not called at yet. */
  toCome: readonly Errand[];
  minutesLeft: number;
  onShorten: (minutes: number) => void;
  onAgain: () => void;
}

/** For a walk that there is not the time for: what to leave, and what that costs. */
export function TimeShort({ short, toCome, minutesLeft, onShorten, onAgain }: TimeShortProps) {
  const [isAsking, setAsking] = useState(false);
  const choices = CHOICES.filter((minutes) => minutes < minutesLeft);
  const left = short ? toCome.filter((e) => short.left.includes(e.id)) : [];
  if (short && left.length > 0)
    return (
      <Box role="group" aria-label="Short of time" margin="16px 0 0">
        <chakra.p margin="0" aria-live="polite">
          <strong>In {short.minutes} minutes leave</strong> {left.map((e) => `${e.name} (${e.leave.words})`).join("; ")}
          .{" "}
          {toCome.some((e) => e.part === "later" && short.taken.includes(e.id))
            ? "Of the rest, what loses most comes first, what must be dry last."
            : "Of the rest, what loses most comes first."}
        </chakra.p>
        <Action tone="bare" onClick={onAgain}>
          All of it after all
        </Action>
      </Box>
    );
  if (toCome.length < 2 || choices.length === 0) return null;
  if (!isAsking)
    return (
      <Box margin="16px 0 0">
        <Action tone="bare" onClick={() => setAsking(true)}>
          Short of time?
        </Action>
      </Box>
    );
  return (
    <Bar role="group" aria-label="How many minutes have you got?" gap="8px" margin="16px 0 0">
      <span>I have</span>
      {choices.map((minutes) => (
        <Action
          key={minutes}
          onClick={() => {
            setAsking(false);
            onShorten(minutes);
          }}
        >
          {minutes} min
        </Action>
      ))}
    </Bar>
  );
}
