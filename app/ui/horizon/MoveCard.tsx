import { chakra } from "@chakra-ui/react";
import type { MoveTold } from "~/views/horizon/move-words";
import { FootCard } from "./FootCard";
import type { Moving } from "./moving";

/** What the move in hand costs, off the hand: at the foot, or on top where the row is low. */
export function MoveCard({ told, moving }: { told: MoveTold; moving: Moving }) {
  return (
    <FootCard name="What it costs" onTop={moving.isLow} isWrong={told.isBlocked}>
      <chakra.p
        margin="0"
        fontFamily="heading"
        fontSize="1.15rem"
        fontWeight="600"
        data-settled={(moving.answer?.isSettled ?? false) || undefined}
      >
        {told.headline}
      </chakra.p>
      {told.lines.map((line) => (
        <chakra.p key={line} margin="2px 0 0">
          {line}
        </chakra.p>
      ))}
    </FootCard>
  );
}
