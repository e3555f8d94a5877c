import { chakra } from "@chakra-ui/react";
import type { WalkerAt } from "~/views/round/walker";

/** "Mara", "Another phone". */
const who = ({ person }: WalkerAt) => person ?? "Another phone";

/** Where the others on the walk are; at the same planting, that both see it. */
export function OthersHere({ others, plantingId }: { others: readonly WalkerAt[]; plantingId: string }) {
  if (others.length === 0) return null;
  return (
    <chakra.p margin="4px 0" aria-live="polite">
      {others.map((other, n) => (
        <span key={n}>
          {other.plantingId === plantingId ? (
            <strong>{who(other)} is here too: one of you logs it. </strong>
          ) : (
            `${who(other)} is at ${other.bed}: ${other.name}. `
          )}
        </span>
      ))}
    </chakra.p>
  );
}

/** "Mara is still out." */
export const stillOut = (others: readonly WalkerAt[]): string =>
  `${others.map(who).join(" and ")} ${others.length === 1 ? "is" : "are"} still out.`;
