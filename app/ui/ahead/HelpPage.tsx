import { Box, chakra } from "@chakra-ui/react";
import { useRevalidator } from "react-router";
import type { HelperDone } from "~/views/ahead/helper-done";
import type { HelperSheet } from "~/views/ahead/helper-sheet";
import { Action, Bar, Quiet } from "~/ui/theme/parts";
import { HelperLog } from "./HelperLog";
import { HelperSaid } from "./HelperSaid";
import { HelperSheetPage } from "./HelperSheetPage";

interface HelpPageProps {
  name: string;
  sheet: HelperSheet | null;
  done: readonly HelperDone[];
  asOf: string;
}

/** The helper's own page, on their phone: the sheet as it stands, and what they say of what is on it. */
export function HelpPage({ name, sheet, done, asOf }: HelpPageProps) {
  const { revalidate, state } = useRevalidator();
  const listed = sheet?.beds.flatMap((b) => b.plantings.map((p) => p.plantingId)) ?? [];
  // What is picked is often off the list with that.
  const offTheList = done.filter((d) => !listed.includes(d.plantingId));
  return (
    <chakra.main id="main">
      <HelperSheetPage
        sheet={sheet}
        logOf={(p) => <HelperLog planting={p} done={done.filter((d) => d.plantingId === p.plantingId)} />}
        above={
          <Bar gap="4px 14px" marginTop="8px" css={{ "@media print": { display: "none" } }}>
            <Quiet aria-live="polite">
              Hello {name}. Brought up to date at {asOf}.
            </Quiet>
            <Action onClick={() => void revalidate()} disabled={state === "loading"}>
              Bring up to date
            </Action>
            {offTheList.length > 0 && (
              <Box role="group" aria-label="Done today" flexBasis="100%">
                {offTheList.map((d) => (
                  <HelperSaid key={d.entryId} said={d} withName />
                ))}
              </Box>
            )}
          </Bar>
        }
      />
    </chakra.main>
  );
}
