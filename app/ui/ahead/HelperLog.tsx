import { Box, chakra } from "@chakra-ui/react";
import { useEffect, useRef, useState } from "react";
import { useFetcher } from "react-router";
import type { HelperDone } from "~/views/ahead/helper-done";
import { ErrorLine } from "~/ui/forms/Field";
import { Fold } from "~/ui/shell/Fold";
import { Action, Bar, Chip, QuietSpan, TextInput } from "~/ui/theme/parts";
import { HelperSaid } from "./HelperSaid";
import type { OnSheet } from "./HelperSheetPage";

/** What a helper says of one planting: how much was picked, that nothing was ready, what it looked like; each to be taken back. */
export function HelperLog({ planting: p, done }: { planting: OnSheet; done: readonly HelperDone[] }) {
  const fetcher = useFetcher<{ sentence: string }>();
  const form = useRef<HTMLFormElement>(null);
  // A number for each thing said, so that what is sent twice is written down once.
  const [number, setNumber] = useState("");
  useEffect(() => {
    if (fetcher.state !== "idle") return;
    setNumber(crypto.randomUUID());
    if (fetcher.data && !fetcher.data.sentence) form.current?.reset();
  }, [fetcher.state, fetcher.data]);
  const busy = fetcher.state !== "idle" || number === "";
  const say = (fields: Record<string, string>) => void fetcher.submit({ entryId: number, plantingId: p.plantingId, ...fields }, { method: "post" }); // prettier-ignore
  return (
    <Box marginTop="8px" css={{ "@media print": { display: "none" } }}>
      <fetcher.Form method="post" ref={form}>
        <input type="hidden" name="entryId" value={number} />
        <input type="hidden" name="plantingId" value={p.plantingId} />
        <Bar gap="8px">
          <TextInput
            name="count"
            inputMode="numeric"
            autoComplete="off"
            width="110px"
            placeholder="how many"
            aria-label={`How many of ${p.name}`}
          />{" "}
          {/* prettier-ignore */}
          <TextInput name="weight" autoComplete="off" width="130px" placeholder="or 400 g" aria-label={`Weight of ${p.name}`} />
          <Action type="submit" tone="loud" name="intent" value="picked" disabled={busy}>
            Picked
          </Action>
          <Action type="submit" name="intent" value="nothing ready" disabled={busy}>
            Nothing ready
          </Action>
        </Bar>
      </fetcher.Form>
      {p.tell.length > 0 && (
        <Fold summary="Say what it looks like" quiet>
          {p.tell.map((cue) => (
            <Bar key={cue.cueId} role="group" aria-label={cue.ask} gap="8px" marginBottom="8px">
              <chakra.span fontWeight="700">{cue.ask}</chakra.span>
              {cue.readings.map((r) => (
                <Chip
                  key={r.id}
                  aria-pressed={done.some((d) => d.cueId === cue.cueId && d.readingId === r.id)}
                  disabled={busy}
                  onClick={() => say({ intent: "looked", cueId: cue.cueId, readingId: r.id })}
                >
                  {r.words}
                </Chip>
              ))}
            </Bar>
          ))}
        </Fold>
      )}
      <Box aria-live="polite">
        {fetcher.data?.sentence && <ErrorLine>{fetcher.data.sentence}</ErrorLine>}
        {done.map((d) => (
          <HelperSaid key={d.entryId} said={d} />
        ))}
        {fetcher.state !== "idle" && <QuietSpan>Writing it down …</QuietSpan>}
      </Box>
    </Box>
  );
}
