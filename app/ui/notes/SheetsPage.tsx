import { Box, chakra } from "@chakra-ui/react";
import type { CropNotes } from "~/views/notes/field-notes-view";
import { CropYearView } from "~/ui/life/CropYearView";
import type { CropYear } from "~/views/life/crop-year";
import { Action } from "~/ui/theme/parts";
import { CropSheet } from "./CropSheet";

/** Crop sheets to print, a page each. */
export function SheetsPage({ sheets }: { sheets: { notes: CropNotes; year: CropYear }[] }) {
  return (
    <Box maxWidth="860px" margin="0 auto" padding={{ base: "14px 18px", md: "22px 28px" }}>
      <Box
        display="flex"
        justifyContent="space-between"
        alignItems="center"
        gap="16px"
        css={{ "@media print": { display: "none" } }}
      >
        <p>
          {sheets.length === 0
            ? "Nothing grows here yet: add a planting, or print a crop from its own page."
            : `${sheets.length} ${sheets.length === 1 ? "sheet" : "sheets"}, a page each.`}
        </p>
        {sheets.length > 0 && (
          <Action tone="loud" type="button" onClick={() => window.print()}>
            Print
          </Action>
        )}
      </Box>
      {sheets.map(({ notes, year }) => (
        <chakra.article
          key={notes.id}
          marginTop="18px"
          paddingTop="12px"
          borderTop="2px solid"
          borderColor="ink"
          css={{
            "@media print": { borderTop: "none", fontSize: "0.74rem", "&:not(:last-of-type)": { breakAfter: "page" } },
          }}
        >
          <chakra.h1 fontSize="1.8rem">{notes.name}</chakra.h1>
          <CropYearView year={year} brief />
          <CropSheet notes={notes} standings={false} />
        </chakra.article>
      ))}
    </Box>
  );
}
