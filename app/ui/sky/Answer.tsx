import { chakra } from "@chakra-ui/react";
import type { SkyAnswer } from "~/views/sky/sky-answer";
import { ErrorLine } from "~/ui/forms/Field";

/** What came of a form: what was done, or what is wrong with none of its fields. */
export function Answer({ answer, shown = [] }: { answer: SkyAnswer | undefined; shown?: string[] }) {
  const other = Object.entries(answer?.errors ?? {}).find(([field]) => !shown.includes(field))?.[1];
  return (
    <chakra.div aria-live="polite">
      {answer?.done && <chakra.p margin="6px 0 0">✓ {answer.done}</chakra.p>}
      {other && <ErrorLine>{other}</ErrorLine>}
    </chakra.div>
  );
}
