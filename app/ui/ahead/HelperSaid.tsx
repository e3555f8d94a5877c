import { useId } from "react";
import { useFetcher } from "react-router";
import type { HelperDone } from "~/views/ahead/helper-done";
import { ErrorLine } from "~/ui/forms/Field";
import { Action, Bar } from "~/ui/theme/parts";

/** Something the helper said today, to be taken back. */
export function HelperSaid({ said, withName = false }: { said: HelperDone; withName?: boolean }) {
  const fetcher = useFetcher<{ sentence: string }>();
  const id = useId();
  // A number of its own, so that what is sent twice is written down once.
  const takeBack = () => void fetcher.submit({ intent: "take back", target: said.entryId, entryId: crypto.randomUUID() }, { method: "post" }); // prettier-ignore
  return (
    <Bar gap="8px">
      <span id={id}>
        ✓ {withName && <strong>{said.name}: </strong>}
        {said.words}
      </span>
      <Action tone="bare" aria-describedby={id} disabled={fetcher.state !== "idle"} onClick={takeBack}>
        Take back
      </Action>
      {fetcher.data?.sentence && <ErrorLine>{fetcher.data.sentence}</ErrorLine>}
    </Bar>
  );
}
