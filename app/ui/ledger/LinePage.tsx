import { Box, chakra } from "@chakra-ui/react";
import { Link } from "react-router";
import { Card } from "~/ui/shell/Card";
import { Page, PageName, PlainList, Quiet } from "~/ui/theme/parts";
import { CorrectLine } from "./CorrectLine";
import { LotCard } from "./LotCard";
import { WeighNow } from "./WeighNow";
import type { LineAnswer, LineOfLedger } from "./line-of-ledger";

/** One line of the ledger: corrected without losing what it said, weighed later, and what became of it. */
export function LinePage({ page, answer }: { page: LineOfLedger; answer: LineAnswer }) {
  const { line, lots } = page;
  return (
    <Page width="narrow">
      <PageName>{page.name}</PageName>
      <Quiet margin="0 0 14px">
        {line.bed} · {page.when} · {page.amount}
        {line.person && page.people.length > 0 ? ` · by ${line.person}` : ""}
        {line.withdrawnAt ? " · taken back" : ""}
      </Quiet>
      <Box display="grid" gap="14px">
        {line.outcome === "picked" && line.withdrawnAt === null && (
          <>
            <WeighNow page={page} />
            {lots.map((lot) => (
              <LotCard key={lot.id} lot={lot} others={lots} errors={answer?.at === "lot" ? answer.errors : {}} />
            ))}
          </>
        )}
        <CorrectLine page={page} errors={answer?.at === "line" ? answer.errors : {}} />
        {page.earlier.length > 0 && (
          <Card title="What it said before">
            <PlainList>
              {page.earlier.map((e, i) => (
                <chakra.li key={i}>
                  {e.was} (until {e.until})
                </chakra.li>
              ))}
            </PlainList>
          </Card>
        )}
      </Box>
      <chakra.p marginTop="16px">
        <Link to="/ledger">Back to the ledger</Link>
      </chakra.p>
    </Page>
  );
}
