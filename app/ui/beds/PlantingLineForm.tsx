import { Box, chakra } from "@chakra-ui/react";
import { useEffect, useRef } from "react";
import { useFetcher } from "react-router";
import type { BedsAnswer } from "~/views/beds/beds-answer";
import { ErrorLine } from "~/ui/forms/Field";
import { Action, Bar, TextInput } from "~/ui/theme/parts";

/** A planting typed in one line, read back before it is added. */
export function PlantingLineForm({ bedId, bedName }: { bedId: string; bedName: string }) {
  const fetcher = useFetcher<BedsAnswer>();
  const field = useRef<HTMLInputElement>(null);
  const answer = fetcher.data;
  // Emptied with the answer itself: what is typed while the page catches up stays.
  useEffect(() => {
    if (answer?.done && field.current) field.current.value = "";
  }, [answer]);
  return (
    <fetcher.Form method="post">
      <input type="hidden" name="bedId" value={bedId} />
      <Box display="flex" gap="8px" alignItems="center" flexWrap={{ base: "wrap", md: "nowrap" }}>
        <TextInput
          ref={field}
          name="line"
          aria-label={`Add a planting to ${bedName}`}
          placeholder="6 courgette striped, sown 3 May"
          autoComplete="off"
          aria-invalid={Boolean(answer?.sentence)}
        />
        <Action name="intent" value="read line" flex="none">
          Read it
        </Action>
      </Box>
      <Box aria-live="polite" marginTop="6px">
        {answer?.sentence && <ErrorLine>{answer.sentence}</ErrorLine>}
        {answer?.understood && (
          <Bar
            gap="12px"
            background="card"
            border="1px solid"
            borderColor="line"
            borderRadius="10px"
            padding="8px 12px"
          >
            <span>
              Understood: <strong>{answer.understood.words}</strong>
            </span>
            <Action tone="loud" name="intent" value="add planting">
              Add it
            </Action>
          </Bar>
        )}
        {answer?.done && <chakra.span fontWeight="700">✓ {answer.done}</chakra.span>}
      </Box>
    </fetcher.Form>
  );
}
