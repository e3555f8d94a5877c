import { Box, chakra } from "@chakra-ui/react";
import { useState } from "react";
import type { CheckView } from "~/views/check/check-view";
import { Field } from "~/ui/forms/Field";
import { Action, TextInput } from "~/ui/theme/parts";

interface CountPanelProps {
  view: Pick<CheckView, "piece" | "repeats" | "countable">;
  onCount: (what: "ready" | "leaves", number: string) => Promise<void>;
}

/** What was counted: ready pieces on the planting, or leaves on a usual plant. */
export function CountPanel({ view, onCount }: CountPanelProps) {
  return (
    <Box display="grid" gap="12px">
      <CountField
        label={`Ready ${view.piece.many} in all`}
        help={view.repeats ? "Tells how freely it bears." : "Those are taken, the rest waits."}
        onSay={(n) => onCount("ready", n)}
      />
      {view.countable?.leaves && (
        <CountField
          label="Leaves on a usual plant"
          help="Tells how many may come off."
          onSay={(n) => onCount("leaves", n)}
        />
      )}
    </Box>
  );
}

function CountField({ label, help, onSay }: { label: string; help: string; onSay: (number: string) => Promise<void> }) {
  const [number, setNumber] = useState("");
  const [said, setSaid] = useState<string | null>(null);
  const error = number !== "" && !/^\d{1,6}$/.test(number) ? "Write the count as a whole number." : undefined;
  return (
    <chakra.form
      display="grid"
      gridTemplateColumns="1fr auto"
      gap="10px"
      alignItems="start"
      onSubmit={(e) => {
        e.preventDefault();
        if (number === "" || error) return;
        void onSay(number).then(() => setSaid(number));
      }}
    >
      <Field label={label} help={said ? `Counted: ${said}.` : help} error={error}>
        {(ids) => (
          <TextInput {...ids} inputMode="numeric" value={number} onChange={(e) => setNumber(e.target.value.trim())} />
        )}
      </Field>
      <Action type="submit" marginTop="26px">
        Count
      </Action>
    </chakra.form>
  );
}
