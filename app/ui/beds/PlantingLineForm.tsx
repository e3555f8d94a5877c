import { Box, chakra } from "@chakra-ui/react";
import { useEffect, useRef } from "react";
import { useFetcher } from "react-router";
import type { BedsAnswer } from "~/routes/beds";
import { ErrorLine, TextInput } from "~/ui/forms/Field";
import { Action } from "~/ui/shell/Action";

/** A planting typed in one line, read back before it is added. */
export function PlantingLineForm({ bedId, bedName }: { bedId: string; bedName: string }) {
  const fetcher = useFetcher<BedsAnswer>();
  const field = useRef<HTMLInputElement>(null);
  const answer = fetcher.data;
  useEffect(() => {
    if (fetcher.state === "idle" && answer?.done && field.current) field.current.value = "";
  }, [fetcher.state, answer]);
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
          <Box
            display="flex"
            gap="12px"
            alignItems="center"
            flexWrap="wrap"
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
          </Box>
        )}
        {answer?.done && <chakra.span fontWeight="700">✓ {answer.done}</chakra.span>}
      </Box>
    </fetcher.Form>
  );
}
