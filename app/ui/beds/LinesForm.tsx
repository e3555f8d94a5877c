import { Box, chakra } from "@chakra-ui/react";
import { useEffect, useRef } from "react";
import { useFetcher } from "react-router";
import type { UnitSystem } from "~/core/units";
import type { BedsAnswer } from "~/views/beds/beds-answer";
import { ErrorLine } from "~/ui/forms/Field";
import { Action, ActionLink, Bar, QuietSpan, TextArea, TextInput } from "~/ui/theme/parts";
import { sayInUnits } from "~/views/words";
import { LinesTable } from "./LinesTable";

interface LinesFormProps {
  /** The bed they are typed at; none: the lines name theirs. */
  bed?: { id: string; name: string };
  bedNames: readonly string[];
  units: UnitSystem;
  /** Whether there is a plan of last year to copy. */
  copies?: boolean;
  /** Nothing stands in the garden yet: the field is large. */
  empty?: boolean;
}

const EXAMPLE = `Long bed:
6 courgette, sown 3 May
3 m of carrots Nantes, sown mid April
Greenhouse:
4 Sungold, planted 20 May`;

/** Plantings typed or pasted in lines, read back in a table before they are added, and taken back as one. */
export function LinesForm({ bed, bedNames, units, copies = false, empty = false }: LinesFormProps) {
  const fetcher = useFetcher<BedsAnswer>();
  const field = useRef<HTMLInputElement>(null);
  const area = useRef<HTMLTextAreaElement>(null);
  const answer = fetcher.data;
  // Emptied with the answer itself: what is typed while the page catches up stays.
  useEffect(() => {
    const box = field.current ?? area.current;
    if (!box) return;
    if (answer?.done) box.value = "";
    if (answer?.draft) box.value = answer.draft;
  }, [answer]);
  // What was read, or done, comes into sight; the field above it may be long.
  const shown = useRef<HTMLDivElement>(null);
  const what = answer?.done ?? (answer?.lines ? "lines" : "");
  useEffect(() => {
    if (!bed && what) shown.current?.scrollIntoView({ block: what === "lines" ? "start" : "center" });
  }, [bed, what]);
  const bedId = bed?.id ?? "";
  return (
    <Box marginBottom={bed ? undefined : "22px"}>
      <fetcher.Form method="post">
        <input type="hidden" name="bedId" value={bedId} />
        {bed ? (
          <Box display="flex" gap="8px" alignItems="center" flexWrap={{ base: "wrap", md: "nowrap" }}>
            <TextInput
              ref={field}
              name="text"
              aria-label={`Add a planting to ${bed.name}`}
              placeholder={sayInUnits("6 courgette striped, sown 3 May", units)}
              autoComplete="off"
              aria-invalid={Boolean(answer?.sentence)}
            />
            <Action name="intent" value="read lines" flex="none">
              Read it
            </Action>
          </Box>
        ) : (
          <>
            <TextArea
              ref={area}
              name="text"
              aria-label="Plantings, a line each"
              placeholder={sayInUnits(
                empty ? EXAMPLE : "Long bed: 6 courgette, sown 3 May; paste as many lines as you like",
                units,
              )}
              rows={empty ? 9 : 2}
              height="auto"
              css={{ fieldSizing: "content", minHeight: empty ? "15rem" : "4rem", maxHeight: "60vh" }}
              paddingBlock="10px"
              lineHeight="1.5"
              aria-invalid={Boolean(answer?.sentence)}
            />
            <Bar gap="10px" marginTop="8px">
              <Action tone={empty ? "loud" : "quiet"} name="intent" value="read lines">
                Read them
              </Action>
              {copies && (
                <Action tone="bare" name="intent" value="last year">
                  Copy last year’s plan
                </Action>
              )}
            </Bar>
          </>
        )}
      </fetcher.Form>
      <Box ref={shown} aria-live="polite" marginTop="6px" scrollMarginTop="12px">
        {answer?.sentence && <ErrorLine>{answer.sentence}</ErrorLine>}
        {answer?.lines && (
          <LinesTable units={units} view={answer.lines} bedId={bedId} bedNames={bedNames} fetcher={fetcher} />
        )}
        {answer?.done && <Done answer={answer} bedId={bedId} large={!bed} />}
      </Box>
    </Box>
  );
}

/** What was added, the way back, and the way on. */
function Done({ answer, bedId, large }: { answer: BedsAnswer; bedId: string; large: boolean }) {
  const fetcher = useFetcher<BedsAnswer>();
  const back = fetcher.data?.done;
  if (back) return <QuietSpan>{back}</QuietSpan>;
  return (
    <fetcher.Form method="post">
      <Bar gap="12px">
        <chakra.span fontWeight="700">✓ {answer.done}</chakra.span>
        {answer.added && (
          <>
            <input type="hidden" name="bedId" value={bedId} />
            <input type="hidden" name="added" value={JSON.stringify(answer.added)} />
            <Action size="small" tone="bare" name="intent" value="take back">
              Take it back
            </Action>
            {large && (
              <ActionLink href="/" tone="loud" size="small">
                To the horizon
              </ActionLink>
            )}
          </>
        )}
      </Bar>
    </fetcher.Form>
  );
}
